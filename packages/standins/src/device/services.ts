import { formatFault, partFunctions, testReactions, type DoorAbility } from '@rauta/core'
import type { Element, Markup } from '@rauta/protocols'
import {
  accessPointCodec,
  announceDecider,
  busKey,
  busLoan,
  busLoanAnswer,
  busSeen,
  accessProfileCodec,
  cardFormatCodec,
  child,
  configurationTopic,
  credentialCodec,
  credentialElement,
  credentialState,
  deviceInformation,
  deviceTime,
  digitalInputCodec,
  doorBehaviourCodec,
  doorRadioCodec,
  doorReactionsCodec,
  doorCodec,
  doorWiringCodec,
  el,
  elements,
  externalAuthorization,
  fromDuration,
  hubKey,
  hubPlace,
  hubSeen,
  namespaces,
  needed,
  networkInterface,
  networkProtocol,
  readSetDeviceTime,
  readSetNetworkInterface,
  deleteUsers,
  readUsers,
  rehearsal,
  scheduleCodec,
  servicePaths,
  specialDayGroupCodec,
  textOf,
  topics,
  writeNotification,
  type DoorBehaviour,
  type EntityCodec,
  type ServicePrefix,
  type WiredReader,
} from '@rauta/protocols'
import { shippedSheets } from '@rauta/contracts'
import type { Memory } from './memory'
import type { Unit } from './unit'

/** A refusal that becomes a SOAP fault. */
export class Fault extends Error {
  constructor(
    readonly code: 'Sender' | 'Receiver',
    readonly subcode: string,
    reason: string,
  ) {
    super(reason)
  }
}

export interface Call {
  unit: Unit
  body: Element
  /** `http://host:port` by which the device was reached. */ base: string
  query: URLSearchParams
  wait(ms: number): (wake: (done: () => void) => void) => Promise<void>
}
type Handler = (call: Call) => Markup | Promise<Markup>

/** Operations that need no sign-in (ONVIF core specification: PRE_AUTH). */
export const beforeSignIn = new Set([
  'GetSystemDateAndTime',
  'GetServices',
  'GetCapabilities',
  'GetServiceCapabilities',
  'GetHostname',
])

const answer = (name: string, ...content: Parameters<typeof el>[1][]) => el(name, ...content)
const pageSize = 100

/** Set…, Get…List and Delete… of a kind of record, kept under its token; Set is an upsert and so safe to repeat. */
function entityHandlers<T extends { token: string }>(
  codec: EntityCodec<T>,
  table: keyof Memory['entities'],
): Record<string, Handler> {
  const records = (unit: Unit) => unit.memory.entities[table] as unknown as Record<string, T>
  const bare = codec.name.replace(/Data$/, '')
  return {
    [`Set${bare}`]: ({ unit, body }) => {
      const element = child(body, codec.name)
      if (!element) throw new Fault('Sender', 'ter:InvalidArgVal', `${codec.name} is missing.`)
      const value = codec.read(element)
      if (!value.token) throw new Fault('Sender', 'ter:InvalidArgVal', 'The token is empty.')
      records(unit)[value.token] = value
      unit.save()
      unit.altered(bare, value.token, false)
      return answer(`${codec.service}:Set${bare}Response`)
    },
    [codec.list]: ({ unit, body }) => {
      const all = Object.values(records(unit)).sort((a, b) => a.token.localeCompare(b.token))
      const start = Number(textOf(body, 'StartReference') || 0)
      const limit = Math.min(pageSize, Number(textOf(body, 'Limit') || pageSize))
      const page = all.slice(start, start + limit)
      const next = start + limit < all.length ? el(`${codec.service}:NextStartReference`, start + limit) : null
      return answer(
        `${codec.service}:${codec.list}Response`,
        next,
        page.map((r) => (table === 'CredentialData' ? credentialElement(r as never) : codec.write(r))),
      )
    },
    [`Delete${bare}`]: ({ unit, body }) => {
      const token = needed(body, 'Token')
      if (!records(unit)[token]) throw new Fault('Sender', 'ter:NotFound', `No ${bare} has the token ${token}.`)
      delete records(unit)[token]
      unit.save()
      unit.altered(bare, token, true)
      return answer(`${codec.service}:Delete${bare}Response`)
    },
  }
}

/** As many of a kind as this type of device holds, and no more. */
function limited<T extends { token: string }>(
  codec: EntityCodec<T>,
  table: 'Schedule' | 'SpecialDayGroup' | 'CardFormat',
  limitOf: (unit: Unit) => number | undefined,
  subcode: string,
): Record<string, Handler> {
  const handlers = entityHandlers(codec, table)
  const set = `Set${codec.name}`
  return {
    ...handlers,
    [set]: (call) => {
      const held = call.unit.memory.entities[table]
      const element = child(call.body, codec.name)
      const token = element ? codec.read(element).token : ''
      const limit = limitOf(call.unit) ?? Infinity
      if (!held[token] && Object.keys(held).length >= limit)
        throw new Fault('Receiver', subcode, `${limit} are held at most.`)
      return (handlers[set] as Handler)(call)
    },
  }
}

const services = (base: string) =>
  (Object.entries(servicePaths) as [ServicePrefix, string][]).map(([prefix, path]) =>
    el(
      'tds:Service',
      el('tds:Namespace', namespaces[prefix]),
      el('tds:XAddr', `${base}${path}`),
      el('tds:Version', el('tt:Major', 1), el('tt:Minor', 0)),
    ),
  )

const device: Record<string, Handler> = {
  GetSystemDateAndTime: ({ unit }) =>
    deviceTime.write({ utcMs: unit.deviceNow(), zone: unit.memory.zone, daylightSaving: unit.memory.daylightSaving }),
  SetSystemDateAndTime: ({ unit, body }) => {
    const wanted = readSetDeviceTime(body)
    const exact = textOf(body, 'UTCDateTime', 'UtcMs')
    unit.memory.clockOffMs = (exact ? Number(exact) : wanted.utcMs) - unit.world.now()
    unit.memory.zone = wanted.zone
    unit.memory.daylightSaving = wanted.daylightSaving
    unit.save()
    unit.doors.lookAtHours()
    return answer('tds:SetSystemDateAndTimeResponse')
  },
  GetDeviceInformation: ({ unit }) =>
    deviceInformation.write({
      manufacturer: 'Rig',
      model: unit.file.model,
      firmware: unit.file.firmware,
      serial: unit.serial,
      hardware: unit.file.model,
    }),
  GetServices: ({ base }) => answer('tds:GetServicesResponse', services(base)),
  GetCapabilities: ({ base }) =>
    answer(
      'tds:GetCapabilitiesResponse',
      el(
        'tds:Capabilities',
        el('tt:Device', el('tt:XAddr', `${base}${servicePaths.tds}`)),
        el(
          'tt:Events',
          el('tt:XAddr', `${base}${servicePaths.tev}`),
          el('tt:WSSubscriptionPolicySupport', false),
          el('tt:WSPullPointSupport', true),
          el('tt:WSPausableSubscriptionManagerInterfaceSupport', false),
        ),
      ),
    ),
  GetServiceCapabilities: () =>
    answer('tds:GetServiceCapabilitiesResponse', el('tds:Capabilities', el('tds:Security', { UsernameToken: 'true' }))),
  GetScopes: ({ unit, base }) =>
    answer(
      'tds:GetScopesResponse',
      unit.announcement(base).scopes.map((s) => el('tds:Scopes', el('tt:ScopeDef', 'Fixed'), el('tt:ScopeItem', s))),
    ),
  GetHostname: ({ unit }) =>
    answer(
      'tds:GetHostnameResponse',
      el('tds:HostnameInformation', el('tt:FromDHCP', false), el('tt:Name', unit.memory.hostname)),
    ),
  SetHostname: ({ unit, body }) => {
    unit.memory.hostname = needed(body, 'Name')
    unit.save()
    return answer('tds:SetHostnameResponse')
  },
  GetNetworkInterfaces: ({ unit }) =>
    answer(
      'tds:GetNetworkInterfacesResponse',
      networkInterface.write({
        token: 'eth0',
        mac: unit.file.mac,
        address: unit.memory.address,
        prefix: unit.memory.prefix,
        dhcp: false,
      }),
    ),
  GetNetworkProtocols: ({ unit }) =>
    answer('tds:GetNetworkProtocolsResponse', [
      networkProtocol.write({ name: 'HTTP', enabled: true, port: 80 }),
      networkProtocol.write({ name: 'HTTPS', enabled: unit.file.https === true, port: 443 }),
    ]),
  SetNetworkInterfaces: ({ unit, body }) => {
    const wanted = readSetNetworkInterface(body)
    unit.memory.address = wanted.address
    unit.memory.prefix = wanted.prefix
    unit.save()
    return answer('tds:SetNetworkInterfacesResponse', el('tds:RebootNeeded', true))
  },
  SetNetworkDefaultGateway: ({ unit, body }) => {
    unit.memory.gateway = needed(body, 'IPv4Address')
    unit.save()
    return answer('tds:SetNetworkDefaultGatewayResponse')
  },
  GetNetworkDefaultGateway: ({ unit }) =>
    answer('tds:GetNetworkDefaultGatewayResponse', el('tds:NetworkGateway', el('tt:IPv4Address', unit.memory.gateway))),
  SetNTP: ({ unit, body }) => {
    unit.memory.timeServer = textOf(body, 'NTPManual', 'IPv4Address')
    unit.save()
    return answer('tds:SetNTPResponse')
  },
  GetUsers: ({ unit }) =>
    answer(
      'tds:GetUsersResponse',
      unit.memory.users.map((u) => el('tds:User', el('tt:Username', u.username), el('tt:UserLevel', u.level))),
    ),
  DeleteUsers: ({ unit, body }) => {
    const names = deleteUsers.read(body)
    const missing = names.find((n) => !unit.memory.users.some((u) => u.username === n))
    if (missing !== undefined) throw new Fault('Sender', 'ter:UsernameMissing', `No user is called ${missing}.`)
    const left = unit.memory.users.filter((u) => !names.includes(u.username))
    if (!left.some((u) => u.level === 'Administrator'))
      throw new Fault('Sender', 'ter:FixedUser', 'One administrator has to stay.')
    unit.memory.users = left
    unit.save()
    return answer('tds:DeleteUsersResponse')
  },
  SetUser: ({ unit, body }) => {
    for (const user of readUsers(body)) {
      const own = unit.memory.users.find((u) => u.username === user.username)
      if (!own) throw new Fault('Sender', 'ter:UsernameMissing', `No user is called ${user.username}.`)
      if (user.password.length < 8) throw new Fault('Sender', 'ter:PasswordTooWeak', 'The password is too short.')
      own.password = user.password
      unit.memory.factoryNew = false
    }
    unit.save()
    return answer('tds:SetUserResponse')
  },
  SetSystemFactoryDefault: ({ unit, body }) => {
    if (textOf(body, 'FactoryDefault') === 'Hard') setImmediate(() => unit.factoryReset())
    else {
      for (const table of Object.values(unit.memory.entities))
        for (const key of Object.keys(table)) delete (table as Record<string, unknown>)[key]
      delete unit.memory.busKeys
      unit.rewired()
    }
    unit.doors.restart()
    unit.save()
    return answer('tds:SetSystemFactoryDefaultResponse')
  },
  SystemReboot: ({ unit }) => {
    setTimeout(() => unit.restart(), 20)
    return answer('tds:SystemRebootResponse', el('tds:Message', 'Restarting'))
  },
}

function unitFor(unit: Unit, token: string) {
  const wiring = unit.memory.entities.DoorWiring[token]
  if (!wiring) throw new Fault('Sender', 'ter:NotFound', `No door has the token ${token}.`)
  return wiring
}

function stand({ unit, body }: Call, operation: string, mode: 'Locked' | 'LockedOpen' | 'LockedDown'): Markup {
  unit.doors.stand(unitFor(unit, needed(body, 'Token')), mode)
  return answer(`tdc:${operation}Response`)
}

/** A door that is released for a moment is told as that. */
function modeNow(unit: Unit, token: string): string {
  const told = unit.doors.modeOf(token)
  return told === 'Locked' && unit.doors.state(token).unlocked ? 'Accessed' : told
}

const doorControl: Record<string, Handler> = {
  ...entityHandlers(doorCodec, 'Door'),
  GetDoorState: ({ unit, body }) => {
    const wiring = unitFor(unit, needed(body, 'Token'))
    const state = unit.doors.state(wiring.token)
    return answer(
      'tdc:GetDoorStateResponse',
      el(
        'tdc:DoorState',
        el('tdc:DoorPhysicalState', state.leafOpen ? 'Open' : 'Closed'),
        el('tdc:LockPhysicalState', state.unlocked ? 'Unlocked' : 'Locked'),
        el('tdc:Alarm', state.alarm),
        el('tdc:DoorMode', modeNow(unit, wiring.token)),
      ),
    )
  },
  AccessDoor: ({ unit, body }) => {
    const wiring = unitFor(unit, needed(body, 'Token'))
    if (unit.doors.state(wiring.token).mode === 'LockedDown')
      throw new Fault('Sender', 'ter:ActionNotSupported', 'The door is locked down.')
    unit.doors.release(wiring)
    return answer('tdc:AccessDoorResponse')
  },
  LockOpenDoor: (call) => stand(call, 'LockOpenDoor', 'LockedOpen'),
  LockOpenReleaseDoor: (call) => stand(call, 'LockOpenReleaseDoor', 'Locked'),
  LockDownDoor: (call) => stand(call, 'LockDownDoor', 'LockedDown'),
  LockDownReleaseDoor: (call) => stand(call, 'LockDownReleaseDoor', 'Locked'),
  LockDoor: ({ unit, body }) => {
    unit.doors.lock(unitFor(unit, needed(body, 'Token')))
    return answer('tdc:LockDoorResponse')
  },
}

const credentials: Record<string, Handler> = {
  ...entityHandlers(credentialCodec, 'CredentialData'),
  GetCredentialState: ({ unit, body }) => {
    const credential = unit.memory.entities.CredentialData[needed(body, 'Token')]
    if (!credential) throw new Fault('Sender', 'ter:NotFound', 'No credential has this token.')
    return answer('tcr:GetCredentialStateResponse', el('tcr:State', credentialState(credential)))
  },
  ResetAntipassbackViolation: ({ unit, body }) => {
    const token = needed(body, 'CredentialToken')
    if (!unit.memory.entities.CredentialData[token])
      throw new Fault('Sender', 'ter:NotFound', 'No credential has this token.')
    unit.doors.forget(token)
    return answer('tcr:ResetAntipassbackViolationResponse')
  },
}

const subscriptionSeconds = (body: Element) => {
  const asked = textOf(body, 'InitialTerminationTime') || textOf(body, 'TerminationTime') || 'PT60S'
  return asked.startsWith('P') ? fromDuration(asked) : 60
}
const until = (unit: Unit, ms: number) => [
  el('wsnt:CurrentTime', new Date(unit.deviceNow()).toISOString()),
  el('wsnt:TerminationTime', new Date(ms + unit.memory.clockOffMs).toISOString()),
]

const events: Record<string, Handler> = {
  GetEventProperties: () =>
    answer(
      'tev:GetEventPropertiesResponse',
      el('tev:TopicNamespaceLocation', 'http://www.onvif.org/onvif/ver10/topics/topicns.xml'),
      el('wsnt:FixedTopicSet', true),
      el(
        'tev:TopicSet',
        [
          ...Object.values(topics),
          ...recordNames.flatMap((r) => [false, true].map((gone) => configurationTopic(r, gone))),
        ].map((t) => el('tev:Topic', t)),
      ),
    ),
  CreatePullPointSubscription: ({ unit, body, base }) => {
    const made = unit.pullPoints.create(subscriptionSeconds(body))
    return answer(
      'tev:CreatePullPointSubscriptionResponse',
      el('tev:SubscriptionReference', el('wsa:Address', `${base}${servicePaths.tev}?subscription=${made.id}`)),
      until(unit, made.until),
    )
  },
  PullMessages: async ({ unit, body, query, wait }) => {
    const seconds = Math.min(20, fromDuration(textOf(body, 'Timeout') || 'PT5S'))
    const found = await unit.pullPoints.pull(
      query.get('subscription') ?? '',
      Number(textOf(body, 'MessageLimit') || 50),
      wait(seconds * 1000),
    )
    if (!found) throw new Fault('Sender', 'ter:InvalidArgVal', 'This subscription is no more.')
    return answer(
      'tev:PullMessagesResponse',
      el('tev:CurrentTime', new Date(unit.deviceNow()).toISOString()),
      el('tev:TerminationTime', new Date(unit.deviceNow() + 60000).toISOString()),
      found.map(writeNotification),
    )
  },
  Renew: ({ unit, body, query }) => {
    const end = unit.pullPoints.renew(query.get('subscription') ?? '', subscriptionSeconds(body))
    if (end === null) throw new Fault('Sender', 'ter:InvalidArgVal', 'This subscription is no more.')
    return answer('wsnt:RenewResponse', [...until(unit, end)].reverse())
  },
  Unsubscribe: ({ unit, query }) => {
    unit.pullPoints.end(query.get('subscription') ?? '')
    return answer('wsnt:UnsubscribeResponse')
  },
  SetSynchronizationPoint: ({ unit, query }) => {
    const only = query.get('subscription') ?? ''
    for (const wiring of Object.values(unit.memory.entities.DoorWiring)) {
      const state = unit.doors.state(wiring.token)
      const source = { DoorToken: wiring.token }
      unit.emit(topics.leaf, source, { State: state.leafOpen ? 'Open' : 'Closed' }, 'Initialized', only)
      unit.emit(topics.lock, source, { State: state.unlocked ? 'Unlocked' : 'Locked' }, 'Initialized', only)
      unit.emit(topics.mode, source, { State: unit.doors.modeOf(wiring.token) }, 'Initialized', only)
    }
    return answer('tev:SetSynchronizationPointResponse')
  },
}

const io: Record<string, Handler> = {
  GetDigitalInputs: ({ unit }) =>
    answer(
      'tmd:GetDigitalInputsResponse',
      Object.values(unit.memory.entities.DigitalInput).map(digitalInputCodec.write),
    ),
  SetDigitalInputConfigurations: ({ unit, body }) => {
    for (const element of elements(body, 'DigitalInputs')) {
      const input = digitalInputCodec.read(element)
      unit.memory.entities.DigitalInput[input.token] = input
    }
    unit.save()
    return answer('tmd:SetDigitalInputConfigurationsResponse')
  },
  GetRelayOutputs: ({ unit }) =>
    answer(
      'tmd:GetRelayOutputsResponse',
      [...unit.relays.keys()].map((token) =>
        el('tmd:RelayOutputs', { token }, el('tt:Properties', el('tt:Mode', 'Bistable'), el('tt:IdleState', 'open'))),
      ),
    ),
}

/** Records whose alterations are told as events. */
const recordNames = [
  'Door',
  'AccessPoint',
  'Schedule',
  'SpecialDayGroup',
  'AccessProfile',
  'Credential',
  'CardFormat',
  'DoorWiring',
  'DoorBehaviour',
  'DoorReactions',
]

/** Whether this type of controller knows a reader's format, by itself or because it was told, and the order of its bits. */
function readsHere({ sheet, memory }: Unit, { format, order }: WiredReader): boolean {
  const known: readonly string[] | undefined = sheet?.cardFormats
  const orders: readonly string[] = sheet?.bitOrders ?? []
  const told = format !== undefined && !!memory.entities.CardFormat[format]
  return (
    (format === undefined || told || !known || known.includes(format)) &&
    (order === undefined || orders.includes(order))
  )
}

const formatRecords = limited(cardFormatCodec, 'CardFormat', (unit) => unit.sheet?.ownFormats, 'ter:MaxCardFormats')
/** Formats by fields; one that contradicts itself is refused, and one that a reader is set to stays. */
const cardFormatHandlers: Record<string, Handler> = Object.fromEntries(
  Object.entries(formatRecords).map(([name, handler]): [string, Handler] => [
    name,
    (call) => {
      if (!call.unit.sheet?.ownFormats)
        throw new Fault('Sender', 'ter:ActionNotSupported', `${name} is not supported here.`)
      const element = child(call.body, 'CardFormat')
      const format = element && cardFormatCodec.read(element)
      const fault = format && formatFault({ ...format, id: format.token })
      if (fault) throw new Fault('Sender', 'ter:InvalidArgVal', fault.says)
      const token = name.startsWith('Delete') ? textOf(call.body, 'Token') : ''
      const used = Object.values(call.unit.memory.entities.DoorWiring).flatMap((w) => w.readers.map((r) => r.format))
      if (token && used.includes(token)) throw new Fault('Sender', 'ter:ReferenceInUse', `A reader is set to ${token}.`)
      return handler(call)
    },
  ]),
)

/** Wiring is refused where it speaks of a function that this type of controller does not know. */
const wiring: Record<string, Handler> = {
  ...entityHandlers(doorWiringCodec, 'DoorWiring'),
  GetConfigurationMark: ({ unit }) =>
    answer('cx:GetConfigurationMarkResponse', el('cx:Mark', unit.configurationMark())),
  SetDoorWiring: (call) => {
    const element = child(call.body, 'DoorWiring')
    const value = element && doorWiringCodec.read(element)
    const known: readonly string[] = call.unit.sheet?.functions ?? partFunctions
    const odd = value && [...value.readers, ...value.inputs, ...value.outputs].find((p) => !known.includes(p.function))
    const strange = value?.readers.find((r) => !readsHere(call.unit, r))
    if (strange)
      throw new Fault(
        'Sender',
        'ter:InvalidArgVal',
        `${strange.part}: cards of ${strange.format} ${strange.order ?? ''} are not read here.`,
      )
    if (odd)
      throw new Fault('Sender', 'ter:InvalidArgVal', `${odd.part}: the function ${odd.function} is not known here.`)
    return (entityHandlers(doorWiringCodec, 'DoorWiring')['SetDoorWiring'] as Handler)(call)
  },
}

const behaviourRecords = entityHandlers(doorBehaviourCodec, 'DoorBehaviour')
/** A type of controller that can do none of it does not know of such records; one that can do some refuses the rest. */
const asAble =
  (name: string): Handler =>
  (call) => {
    const able = call.unit.sheet?.abilities ?? []
    if (!able.some((a) => a !== 'preAlarm'))
      throw new Fault('Sender', 'ter:ActionNotSupported', `${name} is not supported here.`)
    const element = child(call.body, 'DoorBehaviour')
    const asked = element ? askedOf(doorBehaviourCodec.read(element)) : []
    const odd = asked.find((a) => !able.includes(a))
    if (odd) throw new Fault('Sender', 'ter:InvalidArgVal', `${odd} is not known here.`)
    return (behaviourRecords[name] as Handler)(call)
  }

function askedOf(b: DoorBehaviour): DoorAbility[] {
  const asked: [DoorAbility, unknown][] = [
    ['unlockDelay', b.unlockAfterS],
    ['relockAtOpening', b.relockAt],
    ['ownHours', b.freeOn ?? b.barredOn],
    ['firstPerson', b.firstPerson],
    ['twoPeople', b.pairWithinS],
    ['reentry', b.reentryS],
    ['passback', b.passback],
    ['codes', b.code],
    ['serverDecides', b.decidedBy],
  ]
  return asked.flatMap(([ability, value]) => (value === undefined ? [] : [ability]))
}

const reactionRecords = entityHandlers(doorReactionsCodec, 'DoorReactions')
/** A type of controller that keeps no reactions does not know of them; one that does keeps so many. */
const reactionHandlers: Record<string, Handler> = Object.fromEntries(
  Object.entries(reactionRecords).map(([name, handler]): [string, Handler] => [
    name,
    (call) => {
      const most = call.unit.sheet?.reactions ?? 0
      if (most === 0) throw new Fault('Sender', 'ter:ActionNotSupported', `${name} is not supported here.`)
      const element = child(call.body, 'DoorReactions')
      const wanted = element && doorReactionsCodec.read(element)
      if (wanted) {
        // What stands beside a door's own for its tests takes no place.
        const own = ({ token }: { token: string }) => (token.startsWith(testReactions) ? 0 : 1)
        const held = Object.values(call.unit.memory.entities.DoorReactions).filter((r) => r.token !== wanted.token)
        const count = [...held, wanted].reduce((sum, r) => sum + r.reactions.length * own(r), 0)
        if (count > most) throw new Fault('Receiver', 'ter:MaxReactions', `${most} reactions are held at most.`)
      }
      return handler(call)
    },
  ]),
)

/** Longest time for which a door may be made to stand for a test, s. */
const longestRehearsalS = 3600

const behaviours: Record<string, Handler> = {
  ...Object.fromEntries(Object.keys(behaviourRecords).map((name) => [name, asAble(name)])),
  RehearseDoor: ({ unit, body }) => {
    const { token, state, seconds } = rehearsal.read(body)
    if (!unit.sheet?.abilities?.includes('ownHours'))
      throw new Fault('Sender', 'ter:ActionNotSupported', 'A door here has no hours of its own.')
    if (!(seconds > 0 && seconds <= longestRehearsalS))
      throw new Fault('Sender', 'ter:InvalidArgVal', `A test takes ${longestRehearsalS} s at most.`)
    unit.doors.rehearse(unitFor(unit, token), state, seconds)
    return answer('cx:RehearseDoorResponse')
  },
  AnnounceDecider: ({ unit, body }) => {
    const wiring = unitFor(unit, announceDecider.read(body))
    if (!unit.doors.deciderHeard(wiring.token))
      throw new Fault('Sender', 'ter:ActionNotSupported', 'This door asks nobody.')
    return answer('cx:AnnounceDeciderResponse')
  },
  EndRehearsal: ({ unit, body }) => {
    unit.doors.rehearse(unitFor(unit, needed(body, 'Token')), null, 0)
    return answer('cx:EndRehearsalResponse')
  },
}

const deciding: Record<string, Handler> = {
  ExternalAuthorization: ({ unit, body }) => {
    const { accessPoint, credential, ...decision } = externalAuthorization.read(body)
    if (!unit.doors.decided(accessPoint, credential, decision))
      throw new Fault('Sender', 'ter:NotFound', `Nobody waits at ${accessPoint} for that.`)
    return answer('tac:ExternalAuthorizationResponse')
  },
}

function busOf(unit: Unit, port: string) {
  const bus = unit.buses.get(port)
  if (!bus) throw new Fault('Sender', 'ter:InvalidArgVal', `There is no bus called ${port}.`)
  return bus
}

/** What the controller lets others do with its buses: see what hangs there, send on them, give it their keys. */
const buses: Record<string, Handler> = {
  GetBusDevices: ({ unit }) =>
    answer('cx:GetBusDevicesResponse', [...unit.buses.values()].flatMap((bus) => bus.seen()).map(busSeen.write)),
  ExchangeOnBus: async ({ unit, body }) => {
    const { port, speed, waitMs, bytes } = busLoan.read(body)
    return busLoanAnswer.write(await busOf(unit, port).lend(bytes, speed, waitMs))
  },
  SetBusKey: ({ unit, body }) => {
    const { port, address, key } = busKey.read(body)
    const bus = busOf(unit, port)
    const { [`${port}/${address}`]: _before, ...others } = unit.memory.busKeys ?? {}
    unit.memory.busKeys = key ? { ...others, [`${port}/${address}`]: Buffer.from(key).toString('hex') } : others
    unit.save()
    bus.rekeyed(address)
    return answer('cx:SetBusKeyResponse')
  },
}

const radioOf = (unit: Unit) => {
  if (unit.radio) return unit.radio
  throw new Fault('Sender', 'ter:ActionNotSupported', 'No hub for wireless locks hangs here.')
}
function hubAt(unit: Unit, address: number) {
  const hub = radioOf(unit).hubAt(address)
  if (!hub) throw new Fault('Receiver', 'ter:HubNotFound', `No hub answers at address ${address}.`)
  return hub
}

const radioRecords = entityHandlers(doorRadioCodec, 'DoorRadio')
/** What the controller lets others do with its hubs, and through them with their locks. */
const radio: Record<string, Handler> = {
  ...Object.fromEntries(
    Object.entries(radioRecords).map(([name, handler]): [string, Handler] => [
      name,
      (call) => {
        radioOf(call.unit)
        return handler(call)
      },
    ]),
  ),
  // What is listed is what the locks keep, and not what was sent for them.
  GetDoorRadioList: ({ unit }) => {
    const side = radioOf(unit)
    const doors = Object.values(unit.memory.entities.DoorRadio).map((door) => side.kept(door))
    return answer('cx:GetDoorRadioListResponse', doors.map(doorRadioCodec.write))
  },
  GetRadio: ({ unit }) => answer('cx:GetRadioResponse', radioOf(unit).seen().map(hubSeen.write)),
  SetRadioKey: ({ unit, body }) => {
    const { address, key } = hubKey.read(body)
    hubAt(unit, address).remember({ key: Buffer.from(key).toString('hex') })
    radioOf(unit).follow()
    return answer('cx:SetRadioKeyResponse')
  },
  PairLock: ({ unit, body }) => {
    const { address, place } = hubPlace.read(body)
    const hub = hubAt(unit, address)
    const most = shippedSheets[hub.file.model]?.carries?.find((c) => c.kind === 'wirelessLock')?.most ?? 0
    if (hub.memory.key === null) throw new Fault('Sender', 'ter:NoRadioKey', 'The hub has no radio key yet.')
    if (place < 1 || place > most) throw new Fault('Sender', 'ter:InvalidArgVal', `The hub has ${most} places.`)
    hub.pair(place)
    return answer('cx:PairLockResponse')
  },
  EndPairing: ({ unit, body }) => {
    hubAt(unit, hubPlace.read(body).address).endPairing()
    return answer('cx:EndPairingResponse')
  },
  RemoveLock: ({ unit, body }) => {
    const { address, place } = hubPlace.read(body)
    const hub = hubAt(unit, address)
    const { [place]: _gone, ...places } = hub.memory.places
    hub.remember({ places })
    radioOf(unit).follow()
    return answer('cx:RemoveLockResponse')
  },
  BlinkHub: ({ unit, body }) => {
    hubAt(unit, hubPlace.read(body).address).shown += 1
    return answer('cx:BlinkHubResponse')
  },
}

const handlers: Record<string, Record<string, Handler>> = {
  [servicePaths.tds]: device,
  [servicePaths.tmd]: io,
  [servicePaths.tev]: events,
  [servicePaths.tdc]: doorControl,
  [servicePaths.tcr]: credentials,
  [servicePaths.tac]: { ...entityHandlers(accessPointCodec, 'AccessPoint'), ...deciding },
  [servicePaths.tar]: entityHandlers(accessProfileCodec, 'AccessProfile'),
  [servicePaths.tsc]: {
    ...limited(scheduleCodec, 'Schedule', (unit) => unit.sheet?.times?.schedules, 'ter:MaxSchedules'),
    ...limited(
      specialDayGroupCodec,
      'SpecialDayGroup',
      (unit) => unit.sheet?.times?.specialDays,
      'ter:MaxSpecialDayGroups',
    ),
  },
  [servicePaths.cx]: { ...cardFormatHandlers, ...wiring, ...behaviours, ...reactionHandlers, ...buses, ...radio },
}

export const isWrite = (operation: string) =>
  /^(Set(?!SynchronizationPoint)|Delete|Create(?!PullPoint))/.test(operation)

export function handlerFor(path: string, operation: string): Handler | undefined {
  const found = handlers[path]
  return found && Object.hasOwn(found, operation) ? found[operation] : undefined
}
