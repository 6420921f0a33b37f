import { readFileSync } from 'node:fs'
import type { Bits } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import type { Clock, NetTable } from '@rauta/protocols'
import { BusLine } from '../bus/line'
import { BusReader, type BusReaderFile, type BusReaderMemory } from '../bus/peripheral'
import { AddressBook } from '../device/http'
import { MemoryStore } from '../device/memory'
import { Unit } from '../device/unit'
import { RadioAir } from '../radio/air'
import type { RadioHubMemory } from '../radio/hub'
import type { RadioLockMemory } from '../radio/lock'
import { DiscoveryResponder } from './discovery'
import { Opening } from './opening'
import { bitsOfKey } from '../device/keypads'
import { bitsSent, type ReaderSends } from './sending'
import { TimeServer } from './timeServer'
import { World } from './world'
import { MovedStore, withInput } from './moved'
import type { ReaderFile, SiteFile } from './wiring'

export interface RigOptions {
  clock: Clock
  table: NetTable
  siteFile: string
  memoryFolder: string | null
  random?: () => number
}

/** The simulated site: devices on their addresses, doors with their physics, and the hands that act on them. */
export class Rig {
  readonly world: World
  readonly units = new Map<string, Unit>()
  readonly openings = new Map<string, Opening>()
  /** Readers on buses, by their serials. */
  readonly busReaders = new Map<string, BusReader>()
  /** Buses by `controller/port`. */
  readonly lines = new Map<string, BusLine>()
  /** Hubs and wireless locks. */
  readonly air: RadioAir
  readonly cards: Record<string, string>
  private readonly busMemories: MemoryStore<BusReaderMemory>
  private readonly hubMemories: MemoryStore<RadioHubMemory>
  private readonly lockMemories: MemoryStore<RadioLockMemory>
  private readonly addresses: AddressBook
  private readonly discovery: DiscoveryResponder
  private readonly timeServer: TimeServer | null
  private readonly joining = new Set<Promise<void>>()
  private readonly store: MemoryStore
  private readonly moved: MovedStore
  private readonly setToSend = new Map<string, ReaderSends>()

  constructor(private readonly options: RigOptions) {
    const site = JSON.parse(readFileSync(options.siteFile, 'utf8')) as SiteFile
    this.world = new World(options.clock)
    this.cards = site.cards
    this.addresses = new AddressBook(options.table)
    this.discovery = new DiscoveryResponder(options.table, () => [...this.units.values()], options.random)
    this.timeServer = site.timeServer ? new TimeServer(options.table, site.timeServer, options.clock) : null
    this.store = new MemoryStore(options.memoryFolder)
    this.moved = new MovedStore(options.memoryFolder)
    this.busMemories = new MemoryStore<BusReaderMemory>(options.memoryFolder)
    this.hubMemories = new MemoryStore<RadioHubMemory>(options.memoryFolder)
    this.lockMemories = new MemoryStore<RadioLockMemory>(options.memoryFolder)
    this.air = new RadioAir(
      this.world,
      (serial) => this.radioController(serial),
      { hubs: this.hubMemories, locks: this.lockMemories },
      (lock) => {
        for (const opening of this.openings.values()) opening.relayMoved(lock)
      },
    )
    for (const file of site.devices) {
      this.units.set(
        file.serial,
        new Unit(file, this.world, this.store, {
          power: (serial) => {
            this.feedBuses(serial)
            for (const opening of this.openings.values()) opening.tell()
          },
          relay: (serial, relay, energised) => {
            this.air.drive(serial, relay, energised)
            for (const opening of this.openings.values()) opening.relayMoved(serial)
          },
          up: (unit) => {
            this.cameUp(unit)
            this.air.follow()
          },
          down: (unit) => {
            this.air.follow()
            this.addresses.leave(unit)
            if (!unit.faults.networkCut) this.discovery.bye(unit)
          },
        }),
      )
    }
    this.hangRadio(site)
    for (const file of site.doors) {
      this.openings.set(
        file.id,
        new Opening(
          this.moved.asLeft(file),
          {
            energised: (serial, relay) =>
              this.air.locks.get(serial)?.driven ?? this.units.get(serial)?.relays.get(relay) ?? false,
            powered: (serial) => this.air.locks.has(serial) || (this.units.get(serial)?.powered ?? false),
          },
          {
            input: (serial, input, closed) => this.units.get(serial)?.input(input, closed),
            after: (ms, then) => this.world.after(ms, then),
          },
        ),
      )
    }
    for (const opening of this.openings.values()) opening.tell()
    this.hangReaders(site)
  }

  private hangRadio({ radio }: SiteFile): void {
    for (const file of radio?.locks ?? []) this.air.addLock(file)
    for (const file of radio?.hubs ?? []) {
      this.air.addHub(file)
      const unit = this.units.get(file.controller)
      if (unit)
        unit.radio = {
          seen: () => this.air.seenBy(unit.serial),
          hubAt: (address) => this.air.hubAt(unit.serial, address),
          kept: (door) => this.air.keptBy(unit.serial, door),
          follow: () => this.air.follow(),
        }
    }
  }

  private radioController(serial: string) {
    const unit = this.units.get(serial)
    return (
      unit && {
        up: unit.up,
        wanted: () => Object.values(unit.memory.entities.DoorRadio),
        card: (port: string, bits: Bits) => unit.card(port, bits),
        doneAlone: (port: string, bits: Bits, lets: boolean, agoMs: number) => unit.doneAlone(port, bits, lets, agoMs),
        told: (unit.memory.radioTold ??= {}),
        took: (door: string) => unit.altered('DoorRadio', door, false),
      }
    )
  }

  /** Readers hang on the bus of their controller in the order of the site's file. */
  private hangReaders(site: SiteFile): void {
    for (const { serial, port, bus } of site.doors.flatMap((d) => d.readers)) {
      const unit = this.units.get(serial)
      if (!bus || !unit) continue
      const at = `${serial}/${port}`
      let line = this.lines.get(at)
      if (!line) {
        this.lines.set(at, (line = new BusLine(this.world)))
        unit.addBus(port, line)
      }
      line.readers.push(this.madeReader(bus, (address) => unit.buses.get(port)?.attention(address)))
    }
  }

  private madeReader(file: BusReaderFile, attention: (address: number) => void): BusReader {
    const reader: BusReader = new BusReader(
      file,
      this.busMemories.load(file.serial),
      (memory) => this.busMemories.save(file.serial, memory),
      () => attention(reader.address),
    )
    this.busReaders.set(file.serial, reader)
    return reader
  }

  /** Hands take a reader off its bus and put another one in its place. */
  exchange(serial: string, by: BusReaderFile): void {
    for (const [at, line] of this.lines) {
      const place = line.readers.findIndex((r) => r.file.serial === serial)
      const [controller = '', port = ''] = at.split('/')
      if (place < 0) continue
      this.busReaders.delete(serial)
      line.readers[place] = this.madeReader(by, (address) =>
        this.units.get(controller)?.buses.get(port)?.attention(address),
      )
    }
    for (const opening of this.openings.values())
      opening.rewire({
        ...opening.file,
        readers: opening.file.readers.map((r) => (r.bus?.serial === serial ? { ...r, bus: by } : r)),
      })
  }

  /** Readers on a bus take their supply from its controller. */
  private feedBuses(serial: string): void {
    const powered = this.units.get(serial)?.powered ?? false
    for (const [at, line] of this.lines)
      if (at.startsWith(`${serial}/`)) for (const reader of line.readers) reader.power(powered)
  }

  async start(): Promise<void> {
    await this.discovery.open()
    await this.timeServer?.open()
    for (const unit of this.units.values()) if (unit.file.powered) unit.power(true)
    for (const hub of this.air.hubs.values()) if (hub.file.powered) this.air.power(hub.serial, true)
  }

  /** A hand pulls the network cable of a device, or plugs it in: without it nothing of the device can be reached. */
  cable(unit: Unit, on: boolean): void {
    if (unit.faults.networkCut === !on) return
    unit.faults.networkCut = !on
    if (!on) this.addresses.leave(unit)
    else if (unit.up) this.join(unit, () => undefined)
  }

  private cameUp(unit: Unit): void {
    if (!unit.faults.networkCut) this.join(unit, () => this.discovery.hello(unit))
  }

  private join(unit: Unit, then: () => void): void {
    const joined = this.addresses
      .join(unit)
      .then(then)
      .catch((error: Error) =>
        console.error(`rig: ${unit.serial} cannot listen at ${unit.memory.address}: ${error.message}`),
      )
    this.joining.add(joined)
    void joined.finally(() => this.joining.delete(joined))
  }

  /** How a reader sends now: as a hand set it, or as the site has it. */
  sendsOf(door: string, reader: string): ReaderSends {
    const file = this.openings.get(door)?.file.readers.find((r) => r.id === reader)
    return this.setToSend.get(`${door}/${reader}`) ?? file?.sends ?? {}
  }

  /** A hand sets a reader's own switches, or puts them back as the site has them; until the rig starts anew. */
  setSends(door: string, reader: string, sends: ReaderSends | null): void {
    if (!this.openings.get(door)?.file.readers.some((r) => r.id === reader))
      throw new Error(`Door ${door} has no reader ${reader}.`)
    if (sends) this.setToSend.set(`${door}/${reader}`, sends)
    else this.setToSend.delete(`${door}/${reader}`)
  }

  /** A card at a reader: read by whatever the reader's leads really end at. Swapped data lines turn every bit over. */
  presentCard(door: string, reader: string, card: string): void {
    const file = this.readerOf(door, reader)
    const sent = bitsSent(this.cards[card] ?? card, this.sendsOf(door, reader))
    if (file.bus) this.busReaders.get(file.bus.serial)?.present(sent)
    else if (this.air.locks.has(file.serial)) this.air.locks.get(file.serial)?.present(sent)
    else this.overLeads(door, file, sent)
  }

  /** Presses keys of a reader, one after the other: digits, the star, the hash. */
  typeKeys(door: string, reader: string, keys: string): void {
    const file = this.readerOf(door, reader)
    if (!/^[0-9*#]{1,20}$/.test(keys)) throw new Error('Keys are digits, * and #, twenty at most.')
    if (file.bus) this.busReaders.get(file.bus.serial)?.type(keys)
    else for (const key of keys) this.overLeads(door, file, bitsOfKey(key))
  }

  private readerOf(door: string, reader: string): ReaderFile {
    const file = this.openings.get(door)?.file.readers.find((r) => r.id === reader)
    if (!file) throw new Error(`Door ${door} has no reader ${reader}.`)
    return file
  }
  private overLeads(door: string, { id, serial, port, dataSwapped }: ReaderFile, sent: Bits): void {
    const harm = this.openings.get(door)?.harms.of(id)
    if (harm === 'dark' || harm === 'loose') return
    const left = dataSwapped ? sent.map((b) => (b === 1 ? 0 : 1)) : sent
    // A line that is off takes its bits with it: noughts go over data 0, ones over data 1.
    const dead = { data0Loose: 0, data1Loose: 1 }[harm as string]
    const arrived = left.filter((b) => b !== dead)
    if (arrived.length) this.units.get(serial)?.card(port, arrived)
  }

  /** Inputs that a controller has. */
  inputsOn(serial: string): string[] {
    const sheet = shippedSheets[this.units.get(serial)?.file.model ?? '']
    return (sheet?.terminals ?? []).filter((t) => t.kind === 'input').map((t) => t.port)
  }

  /** A hand puts a part's conductor on another input of its controller. It stays there. */
  move(door: string, part: string, input: string): void {
    const opening = this.openings.get(door)
    const next = opening && withInput(opening.file, part, input)
    if (!opening || !next) throw new Error(`Door ${door} has no ${part} on an input.`)
    const { serial } = opening.file.lock
    if (!this.inputsOn(serial).includes(input)) throw new Error(`${serial} has no ${input}.`)
    opening.rewire(next)
    this.moved.keep(door, part, input)
  }

  async stop(): Promise<void> {
    await Promise.all(this.joining)
    this.discovery.close()
    this.timeServer?.close()
    this.addresses.close()
    for (const unit of this.units.values()) {
      unit.power(false)
      unit.keep()
    }
    this.store.flush()
    this.busMemories.flush()
    this.hubMemories.flush()
    this.lockMemories.flush()
  }
}
