import { addressRange, switchesFor } from '../devices/coding'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Door, Part } from '../doors/door'
import { isItsController } from '../doors/ownUnit'
import { all, type Facts } from '../job/facts'
import { jobOf, type SiteNetwork } from '../job/records'
import { byRef } from '../job/order'
import { busDevicesOn } from './busDevices'
import type { BusRun } from './records'
import { segmentFaults, segmentLimits } from '../power/segment'
import { addressFault, ipv4, ipv4Text } from './address'
import { addressRanges, type AddressRange } from './ranges'

/** A planned device with an address on the site's network. `key` says where the address is kept. */
export interface AddressLine {
  key: { kind: 'controller' | 'unit'; id: string } | { kind: 'part'; door: string; part: string }
  ref: string
  what: string
  address: string
  /** As it comes from the factory; empty for one that asks a server. */ factory: string
  fault: string | null
  proposed: string
}
export interface AddressPlan {
  lines: AddressLine[]
  /** Devices that leave the factory on one address: only one of them may be on the network at a time. */ collisions: {
    address: string
    refs: string[]
  }[]
  free: number
  faults: string[]
}

const hasAddress = (sheet: DeviceSheet): boolean =>
  !!sheet.network || sheet.reading?.by === 'network' || !!sheet.controller || !!sheet.networkSource

/** A planned device that has, or is to get, an address on the site's network. */
export interface AddressedDevice {
  key: AddressLine['key']
  ref: string
  sheet: DeviceSheet
  address: string
}

/** Where an address is kept, as one word. */
export const addressKey = (key: AddressLine['key']): string =>
  key.kind === 'part' ? `part/${key.door}/${key.part}` : `${key.kind}/${key.id}`

/** Addresses that are planned for controllers and units, and for whom. @param except id of a device that does not count */
export function takenAddresses(facts: Facts, except: string): Map<string, string> {
  return new Map(
    [...all(facts, 'controller'), ...all(facts, 'unit')]
      .filter((c) => c.id !== except && c.address)
      .map((c) => [c.address, c.ref]),
  )
}

/** Every planned device with an address, in order of controllers, units, doors. */
export function addressedDevices(facts: Facts, sheets: Sheets): AddressedDevice[] {
  const own = (kind: 'controller' | 'unit') =>
    all(facts, kind)
      .sort(byRef)
      .map(({ id, ref, sheet, address }): AddressedDevice => ({
        key: { kind, id },
        ref,
        sheet: sheetOf(sheets, sheet),
        address,
      }))
  const parts = all(facts, 'door')
    .sort(byRef)
    .flatMap((d) =>
      d.parts
        .filter((p) => !isItsController(d, p, facts.controller, sheets))
        .map((p): AddressedDevice => ({
          key: { kind: 'part', door: d.id, part: p.id },
          ref: `${d.ref} ${p.id}`,
          sheet: sheetOf(sheets, p.sheet),
          address: p.ip ?? '',
        })),
    )
  return [
    ...own('controller'),
    ...own('unit').filter(({ sheet }) => hasAddress(sheet)),
    ...parts.filter(({ sheet: s }) => s.kind !== 'module' && (s.network || s.reading?.by === 'network')),
  ]
}

/** Every device with an address, in order of controllers, units, doors; what is wrong with each, and what it would be given. */
export function addressPlan(facts: Facts, sheets: Sheets): AddressPlan {
  const network = jobOf(facts)?.network
  const lines = addressedDevices(facts, sheets).map(({ key, ref, sheet, address }) => ({
    key,
    ref,
    what: sheet.name,
    address,
    factory: (key.kind === 'controller' && sheet.controller?.factory.address) || '',
  }))
  if (!network)
    return {
      lines: lines.map((l) => ({ ...l, fault: null, proposed: '' })),
      collisions: [],
      free: 0,
      faults: ['The job has no network yet. Enter its subnet under Job.'],
    }
  const { ranges, faults } = addressRanges(network.reserved ?? '')
  const owners = new Map<string, string[]>()
  for (const l of lines) if (l.address) owners.set(l.address, [...(owners.get(l.address) ?? []), l.ref])
  const open = new FreeAddresses(network, owners.keys())
  const take = () => open.take()
  const out = lines.map((l): AddressLine => {
    const fault = l.address ? faultOf(l, network, owners, ranges) : 'It has no address yet.'
    return { ...l, fault, proposed: fault === null ? l.address : take() }
  })
  if (out.some((l) => l.fault && !l.proposed))
    faults.push(
      `The subnet ${network.address}/${network.prefix} is full. Ask for a larger one, or take reserved addresses back.`,
    )
  return { lines: out, collisions: collisionsOf(lines), free: open.count(), faults }
}

/** Addresses of a subnet that nobody has and that are ours, from .21 on where the subnet is large enough. */
export class FreeAddresses {
  private readonly first: number
  private readonly end: number
  private readonly ranges: AddressRange[]
  private readonly closed: Set<number | null>
  private next: number

  /** @param from place in the subnet at which giving begins */
  constructor(network: SiteNetwork, taken: Iterable<string>, from = 21) {
    const base = ipv4(network.address) ?? 0
    // A pair of two gives both (RFC 3021).
    const pair = network.prefix === 31
    this.first = pair ? base : base + 1
    this.end = base + 2 ** (32 - network.prefix) - (pair ? 0 : 1)
    this.next = base + from < this.end ? base + from : this.first
    this.ranges = addressRanges(network.reserved ?? '').ranges
    this.closed = new Set([network.gateway, network.timeServer, ...taken].map((a) => ipv4(a)))
  }

  private isFree(n: number): boolean {
    return !this.closed.has(n) && !this.ranges.some((r) => n >= r.from && n <= r.to)
  }

  /** The next one, which is then taken; empty where none is left. */
  take(): string {
    for (
      let tried = this.first;
      tried < this.end;
      tried++, this.next = this.next + 1 < this.end ? this.next + 1 : this.first
    ) {
      if (this.isFree(this.next)) {
        this.closed.add(this.next)
        return ipv4Text(this.next)
      }
    }
    return ''
  }

  count(): number {
    let free = 0
    for (let n = this.first; n < this.end; n++) if (this.isFree(n)) free++
    return free
  }
}

function faultOf(
  line: Omit<AddressLine, 'fault' | 'proposed'>,
  network: SiteNetwork,
  owners: ReadonlyMap<string, string[]>,
  ranges: readonly { from: number; to: number }[],
): string | null {
  const other =
    owners.get(line.address)?.find((ref) => ref !== line.ref) ??
    ((owners.get(line.address)?.length ?? 0) > 1 ? line.ref : undefined)
  if (other) return `${line.address} is planned for ${other} as well.`
  const n = ipv4(line.address)
  if (n !== null && ranges.some((r) => n >= r.from && n <= r.to)) return `${line.address} is reserved by the client.`
  return addressFault(line.address, network, new Map())
}

function collisionsOf(lines: readonly { ref: string; factory: string }[]): { address: string; refs: string[] }[] {
  const by = new Map<string, string[]>()
  for (const l of lines) if (l.factory) by.set(l.factory, [...(by.get(l.factory) ?? []), l.ref])
  return [...by].filter(([, refs]) => refs.length > 1).map(([address, refs]) => ({ address, refs }))
}

/** A device whose address is set on it: on a bus, or by switches alone. */
export interface BusLine {
  door: string
  part: string
  ref: string
  what: string
  sheet: string
  address: number | null
  fault: string | null
  proposed: number | null
  words: string
  /** Where it ends the chain, its terminator is on. */ terminator: {
    jumper: string
    position: string
    factory: string
  } | null
  unitLoad: number
}
export interface BusPlan {
  controller: string
  ref: string
  bus: string
  lines: BusLine[]
  unitLoads: number
  faults: string[]
  /** Whether somebody has said how the chain is run. */ known: boolean
}

/** Addresses of the devices on each bus, one after the other from nought, kept where they are right; within what each one's switches can show. */
export function busPlans(facts: Facts, sheets: Sheets): BusPlan[] {
  const plans: BusPlan[] = []
  for (const controller of all(facts, 'controller').sort(byRef)) {
    const buses = new Map<string, Hanging[]>()
    for (const { door, part, port } of busDevicesOn(facts, sheets, controller.id)) {
      const sheet = sheetOf(sheets, part.sheet)
      if (sheet.reading?.by !== 'osdp') continue
      const bus = port || 'no bus'
      buses.set(bus, [...(buses.get(bus) ?? []), { door, part, sheet }])
    }
    for (const [bus, stations] of buses)
      plans.push(busPlan(controller, bus, stations, facts.busRun[`${controller.id}/${bus}`]))
  }
  return plans
}

type Hanging = { door: Door; part: Part; sheet: DeviceSheet }

/** As the chain is run where that was said; what it does not name comes after, by reference. */
function chained(stations: readonly Hanging[], run: BusRun | undefined): Hanging[] {
  const place = (s: Hanging) => {
    const at = run?.order.indexOf(`${s.door.id}/${s.part.id}`) ?? -1
    return at < 0 ? Infinity : at
  }
  return [...stations].sort((a, b) => (place(a) === place(b) ? 0 : place(a) - place(b)))
}

function busPlan(
  controller: { id: string; ref: string },
  bus: string,
  hanging: readonly Hanging[],
  run: BusRun | undefined,
): BusPlan {
  const stations = chained(hanging, run)
  const used = new Map<number, string>()
  const faults: string[] = []
  const unitLoads = stations.reduce((sum, s) => sum + (s.sheet.reading?.unitLoad ?? 1), 0)
  const lines = stations.map(({ door, part, sheet }, i): BusLine => {
    const ref = `${door.ref} ${part.id}`
    const range = sheet.coding ? addressRange(sheet.coding) : { from: 0, to: segmentLimits.highestOsdpAddress }
    const address = part.address ?? null
    const twin = address === null ? undefined : used.get(address)
    const fault = busAddressFault(address, twin, range)
    if (fault === null && address !== null) used.set(address, ref)
    return {
      unitLoad: sheet.reading?.unitLoad ?? 1,
      terminator: terminatorOf(sheet, i === stations.length - 1),
      door: door.id,
      part: part.id,
      ref,
      what: sheet.name,
      sheet: sheet.id,
      address,
      fault,
      proposed: address,
      words: '',
    }
  })
  for (const line of lines) {
    const sheet = stations.find((s) => s.door.id === line.door && s.part.id === line.part)?.sheet
    const range = sheet?.coding ? addressRange(sheet.coding) : { from: 0, to: segmentLimits.highestOsdpAddress }
    if (line.fault !== null) {
      line.proposed = null
      for (let n = range.from; n <= Math.min(range.to, segmentLimits.highestOsdpAddress); n++)
        if (!used.has(n)) {
          line.proposed = n
          used.set(n, line.ref)
          break
        }
      if (line.proposed === null)
        faults.push(`No address is left for ${line.ref}: its switches stand for ${range.from} to ${range.to} only.`)
    }
    const set = sheet?.coding && line.proposed !== null ? switchesFor(sheet.coding, line.proposed) : null
    line.words = set?.ok ? set.words : ''
  }
  // The chain as it will be when it is set as told here; lengths from device to device count where they are known.
  const chain = [
    { id: controller.ref, address: null, unitLoad: 0, at: {} as BusRun['stations'][string] },
    ...lines
      .filter((l) => l.proposed !== null)
      .map((l) => ({
        id: l.ref,
        address: l.proposed,
        unitLoad: l.unitLoad,
        at: run?.stations[`${l.door}/${l.part}`] ?? {},
      })),
  ]
  faults.push(
    ...segmentFaults(
      chain.map(({ at, ...s }, i) => ({
        ...s,
        terminator: i === 0 || i === chain.length - 1,
        fromPreviousM: at.fromPreviousM ?? 0,
        stubM: at.stubM ?? 0,
        reference: !at.noReference,
      })),
    ),
  )
  return { controller: controller.id, ref: controller.ref, bus, lines, unitLoads, faults, known: run !== undefined }
}

/** The jumper that switches the terminator, and where it must stand: on at the end of the chain and nowhere else. */
function terminatorOf(sheet: DeviceSheet, last: boolean): BusLine['terminator'] {
  const jumper = sheet.jumpers?.find((j) => j.does === 'terminator')
  return jumper ? { jumper: jumper.id, position: last ? 'on' : 'off', factory: jumper.factory } : null
}

function busAddressFault(
  address: number | null,
  twin: string | undefined,
  range: { from: number; to: number },
): string | null {
  if (address === null) return 'It has no bus address yet.'
  if (twin) return `${twin} has address ${address} as well.`
  return address < range.from || address > range.to
    ? `Its switches stand for ${range.from} to ${range.to}; ${address} is not among them.`
    : null
}
