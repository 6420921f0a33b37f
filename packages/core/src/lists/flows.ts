import type { DeviceSheet, Sheets } from '../devices/sheet'
import type { Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { addressedDevices, addressKey } from '../network/plan'

/** One side of a flow. */
export interface FlowEnd {
  kind: 'here' | 'phones' | 'device' | 'timeServer' | 'group' | 'other'
  name: string
  /** Empty where it is not known yet. */ address: string
}

/** What a flow is there for. */
export type FlowUse = 'configure' | 'secure' | 'device' | 'time' | 'find' | 'screens' | 'name' | 'call'

/** Traffic that somebody has to let through: who begins it, with whom, over what. */
export interface Flow {
  /** The same as long as the plan is the same. */
  id: string
  use: FlowUse
  from: FlowEnd
  to: FlowEnd
  transport: 'tcp' | 'udp'
  /** Of the side that is called; null where nobody says. */
  port: number | null
  /** What is spoken, with what it is laid down in. */
  protocol: string
  /** How it can be tried from this computer; null where only the device itself could. */
  test: 'connect' | 'time' | null
  /** Only needed where the device turns out to offer it. */
  maybe: boolean
  /** Why the line is not whole yet, and how to mend it. */
  fault: string | null
}

/** Ports and groups as they are registered; from memory of the standards named. */
export const registered = {
  discovery: { address: '239.255.255.250', port: 3702, protocol: 'WS-Discovery 1.1, multicast' },
  names: { address: '224.0.0.251', port: 5353, protocol: 'multicast DNS, RFC 6762' },
  time: { port: 123, protocol: 'NTP, RFC 5905' },
} as const

/** Where this computer serves its screens to phones; null while it serves nobody but itself. */
export interface ScreensAt {
  address: string
  port: number
  secure: boolean
  /** It answers for a name of its own on the local network. */ named: boolean
}

const here: FlowEnd = { kind: 'here', name: 'this computer', address: '' }
const phones: FlowEnd = { kind: 'phones', name: 'phones and tablets', address: '' }

/** Everything that the client's IT must let through for a job, worked out from its devices and their sheets. */
export function networkFlows(facts: Facts, sheets: Sheets, screens: ScreensAt | null): Flow[] {
  const devices = devicesOf(facts, sheets)
  const timeServer = jobOf(facts)?.network.timeServer ?? ''
  return [
    ...screenFlows(screens),
    ...devices.flatMap((device) => [...listening(device), ...timeOf(device, timeServer), ...calling(device)]),
    ...(devices.length ? findFlows() : []),
  ]
}

interface Addressed {
  key: string
  end: FlowEnd
  sheet: DeviceSheet
  /** Whether it talks so that nobody listens; null before it was taken into service. */
  secured: boolean | null
}

/** Every planned device with an address, in the order of the address plan. */
const devicesOf = (facts: Facts, sheets: Sheets): Addressed[] =>
  addressedDevices(facts, sheets).map(({ key, ref, sheet, address }) => {
    const reach = key.kind === 'controller' ? facts.reach[key.id] : undefined
    return {
      key: addressKey(key),
      end: { kind: 'device', name: `${ref} ${sheet.name}`, address },
      sheet,
      secured: reach?.owned ? !!reach.secured : null,
    }
  })

const noAddress = 'It has no address yet. Give it one under Addresses.'
const whole = (end: FlowEnd): string | null => (end.address ? null : noAddress)

/** What a device takes from this computer: as its sheet says, or a fault that names what is missing. */
function listening({ key, end, sheet, secured }: Addressed): Flow[] {
  if (!sheet.listens?.length) {
    // A switch forwards, whether or not it listens for anything itself.
    if (sheet.networkSource) return []
    return [
      {
        id: `listens/${key}`,
        use: 'device',
        from: here,
        to: end,
        transport: 'tcp',
        port: null,
        protocol: '',
        test: null,
        maybe: false,
        fault: `The device sheet ${sheet.name} does not say on which ports it listens. Enter them there, from the maker’s data.`,
      },
    ]
  }
  return sheet.listens.flatMap(({ transport, port, protocol }): Flow[] => {
    const use = useOf(sheet, port)
    // It was asked when it was taken into service.
    if (use === 'secure' && secured === false) return []
    return [
      {
        id: `listens/${key}/${transport}/${port}`,
        use,
        from: here,
        to: end,
        transport,
        port,
        protocol,
        test: transport === 'tcp' && end.address ? 'connect' : null,
        maybe: use === 'secure' && secured === null,
        fault: whole(end),
      },
    ]
  })
}

/** HTTP and HTTPS of a controller are what it is configured over; any other port is the device's own. */
function useOf(sheet: DeviceSheet, port: number): FlowUse {
  if (!sheet.controller) return 'device'
  if (port === 80) return 'configure'
  return port === 443 ? 'secure' : 'device'
}

function timeOf({ key, end }: Addressed, timeServer: string): Flow[] {
  return [
    {
      id: `time/${key}`,
      use: 'time',
      from: end,
      to: { kind: 'timeServer', name: 'time server', address: timeServer },
      transport: 'udp',
      ...registered.time,
      test: timeServer ? 'time' : null,
      maybe: false,
      fault: timeServer ? whole(end) : 'The job names no time server. Enter it under Job, or devices drift apart.',
    },
  ]
}

/** Whom a device calls by itself, an exchange for example; that side's address is its owner's to say. */
const calling = ({ key, end, sheet }: Addressed): Flow[] =>
  (sheet.calls ?? []).map(({ transport, port, protocol, whom }) => ({
    id: `calls/${key}/${transport}/${port}`,
    use: 'call',
    from: end,
    to: { kind: 'other', name: whom, address: '' },
    transport,
    port,
    protocol,
    test: null,
    maybe: false,
    fault: whole(end),
  }))

const findFlows = (): Flow[] =>
  [
    { id: 'find/asks', from: here },
    { id: 'find/tells', from: { kind: 'device' as const, name: 'every device', address: '' } },
  ].map(({ id, from }) => ({
    id,
    use: 'find',
    from,
    to: { kind: 'group', name: 'discovery group', address: registered.discovery.address },
    transport: 'udp',
    port: registered.discovery.port,
    protocol: registered.discovery.protocol,
    test: null,
    maybe: false,
    fault: null,
  }))

function screenFlows(screens: ScreensAt | null): Flow[] {
  if (!screens) return []
  const to: FlowEnd = { ...here, address: screens.address }
  const group: FlowEnd = { kind: 'group', name: 'names on the local network', address: registered.names.address }
  return [
    {
      id: 'screens',
      use: 'screens',
      from: phones,
      to,
      transport: 'tcp',
      port: screens.port,
      protocol: screens.secure ? 'HTTPS, RFC 9110' : 'HTTP, RFC 9110',
      test: null,
      maybe: false,
      fault: null,
    },
    ...(screens.named
      ? ([
          {
            id: 'name',
            use: 'name',
            from: phones,
            to: group,
            transport: 'udp',
            port: registered.names.port,
            protocol: registered.names.protocol,
            test: null,
            maybe: false,
            fault: null,
          },
        ] satisfies Flow[])
      : []),
  ]
}

/** What a flow is there for, in words. */
export const flowUseWords: Readonly<Record<FlowUse, string>> = {
  configure: 'configures and watches the device',
  secure: 'the same over HTTPS, where offered',
  device: 'talks to the device',
  time: 'asks the time',
  find: 'finds devices; within the segment, not filtered by switches',
  screens: 'opens Rauta',
  name: 'finds Rauta by its name; within the segment',
  call: 'calls',
}

/** Flows that are one line of a firewall: the same ends, transport, port and protocol, with everybody it is about. */
export interface FlowRule {
  id: string
  flows: Flow[]
}
export function flowRules(flows: readonly Flow[]): FlowRule[] {
  const rules = new Map<string, Flow[]>()
  for (const flow of flows) {
    const ends = `${flow.from.kind} ${flow.to.kind}`
    const id = [ends, flow.transport, flow.port ?? '', flow.protocol, flow.maybe ? 'maybe' : ''].join(' ')
    rules.set(id, [...(rules.get(id) ?? []), flow])
  }
  return [...rules].map(([id, list]) => ({ id, flows: list }))
}

/** What came of trying a flow from this computer. */
export interface FlowTest {
  outcome: 'open' | 'refused' | 'silent' | 'noWay'
  tookMs: number
  /** Of a time server's clock less this computer's, ms. */
  offsetMs?: number
}

/** What came of it in words, with what to do. @param clockS how far a clock may be off, s */
export function flowTestSays(flow: Flow, test: FlowTest, clockS: number): string {
  const at = `${flow.to.address}, ${flow.transport.toUpperCase()} ${flow.port ?? ''}`
  switch (test.outcome) {
    case 'open':
      return flow.test === 'time' ? timeSays(test, clockS) : `Open: ${at} took the connection.`
    case 'refused':
      if (flow.maybe)
        return `Refused: ${at} is not offered, or a firewall refuses it. No matter as long as the other port is open.`
      return `Refused: something answers for ${at} and says no. Either nothing listens there, or a firewall refuses in its name.`
    case 'silent':
      return `Silent: nothing came back from ${at}. A firewall throws it away, or the device is off or not there yet.`
    case 'noWay':
      return `No way there: this computer knows no route to ${flow.to.address}. Give its network adapter an address in that subnet, or ask IT for the gateway.`
  }
}

function timeSays({ offsetMs = 0 }: FlowTest, clockS: number): string {
  const off = Math.abs(offsetMs) / 1000
  const heard =
    'Open: the time server answers this computer; each device shows by its own clock whether it is answered too.'
  if (off <= clockS) return heard
  return `${heard} Its clock is ${off.toFixed(0)} s ${offsetMs > 0 ? 'ahead of' : 'behind'} this computer’s: one of the two is wrong.`
}

/** Whether a flow that was tried is as it should be. */
export const flowIsOpen = (flow: Flow, { outcome, offsetMs = 0 }: FlowTest, clockS: number): boolean =>
  outcome === 'open' && (flow.test !== 'time' || Math.abs(offsetMs) / 1000 <= clockS)

/** Where phones open this computer's screens, by the origin that they use; null for one that only this computer itself can open. */
export function screensAt(origin: string): ScreensAt | null {
  // It may come from a header, which anybody writes as they like.
  if (!URL.canParse(origin)) return null
  const { hostname, port, protocol } = new URL(origin)
  if (/^(127\.|localhost$|\[::1\])/.test(hostname)) return null
  const secure = protocol === 'https:'
  return { address: hostname, port: Number(port || (secure ? 443 : 80)), secure, named: !/^[\d.]+$|^\[/.test(hostname) }
}
