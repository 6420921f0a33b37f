import { createHash } from 'node:crypto'
import type { Bits } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import {
  configurationTopic,
  TokenChecker,
  type Announcement,
  type DoorRadio,
  type HubSeen,
  type Notification,
  scope,
} from '@rauta/protocols'
import type { RadioHub } from '../radio/hub'
import { BusMaster } from '../bus/master'
import type { BusLine } from '../bus/line'
import type { World } from '../site/world'
import type { DeviceFile } from '../site/wiring'
import type { OwnCertificate } from './certificate'
import { DoorFirmware } from './doors'
import { PullPoints } from './events'
import { noEntities, type Memory, type MemoryStore } from './memory'

/** What the firmware does with its hubs. */
export interface RadioSide {
  seen(): HubSeen[]
  hubAt(address: number): RadioHub | null
  kept(door: DoorRadio): DoorRadio
  /** A key or a place was given or taken. */
  follow(): void
}

/** Faults that the rig's hands can put on a device; they show only through their effects. */
export interface UnitFaults {
  networkCut: boolean
  slowMs: number
  timerFactor: number
  eventDelayMs: number
  eventTimes: number
  garbage: 'none' | 'noise' | 'half' | 'silence'
  cutPowerAfterWrites: number
  /** Share of its answers, from 0 to 1, whose connection breaks before they are out. */ lostAnswers: number
  /** Operation that it answers and does not do. */ forgets: string
}
const noFaults = (): UnitFaults => ({
  networkCut: false,
  slowMs: 0,
  timerFactor: 1,
  eventDelayMs: 0,
  eventTimes: 1,
  garbage: 'none',
  cutPowerAfterWrites: 0,
  lostAnswers: 0,
  forgets: '',
})

export interface UnitHooks {
  power(serial: string): void
  relay(serial: string, relay: string, energised: boolean): void
  up(unit: Unit): void
  down(unit: Unit): void
}

const bootMs = 4000

/** One simulated device: its memory, its clock, whether it is up, and the firmware that runs in it. */
export class Unit {
  memory: Memory
  up = false
  powered = false
  private plugged = false
  jumper: DeviceFile['jumper']
  keyHeld = false
  private poweredSince = 0
  readonly faults = noFaults()
  readonly relays = new Map<string, boolean>()
  /** Last circuit state seen on each input: true is closed. */
  readonly inputs = new Map<string, boolean>()
  readonly pullPoints: PullPoints
  readonly doors: DoorFirmware
  /** By the port that they are on. */
  readonly buses = new Map<string, BusMaster>()
  /** Hubs on its bus, where the site has any. */
  radio: RadioSide | null = null
  readonly tokens = new TokenChecker(60_000)
  wrongSecrets: number[] = []
  private readonly changing = new Map<string, boolean>()
  private sequence = 0
  private saving = false
  private cancelBoot: (() => void) | null = null

  constructor(
    readonly file: DeviceFile,
    readonly world: World,
    private readonly store: MemoryStore,
    private readonly hooks: UnitHooks,
  ) {
    this.jumper = file.jumper
    this.memory = store.load(file.serial) ?? this.firstMemory()
    this.memory.entities = { ...noEntities(), ...this.memory.entities }
    this.pullPoints = new PullPoints(() => world.now())
    this.doors = new DoorFirmware(this)
  }

  get serial(): string {
    return this.file.serial
  }

  addBus(port: string, line: BusLine): void {
    this.buses.set(
      port,
      new BusMaster(port, line, this.world, {
        keys: () => this.memory.busKeys ?? {},
        wired: () => this.doors.addressesOn(port),
        card: (bits, address) => this.card(port, bits, address),
        typed: (keys, address) => this.typed(port, keys, address),
      }),
    )
  }
  /** What is wired to its doors was altered. */
  rewired(): void {
    for (const bus of this.buses.values()) bus.follow()
  }
  get sheet() {
    return shippedSheets[this.file.model]?.controller
  }
  get boot(): string {
    return `${this.serial}-${this.memory.boots}`
  }
  deviceNow(): number {
    return this.world.now() + this.memory.clockOffMs
  }

  private firstMemory(): Memory {
    const factory = this.sheet?.factory
    const memory: Memory = {
      users: this.firstUsers(factory),
      hostname: `unit-${this.serial.slice(-4).toLowerCase()}`,
      address: this.file.address ?? factory?.address ?? '192.168.90.20',
      prefix: this.file.prefix ?? 24,
      gateway: '',
      timeServer: '',
      zone: '<+00>0',
      daylightSaving: false,
      clockOffMs: this.file.clockOffMs,
      boots: 0,
      factoryNew: !this.file.holds && !this.file.secret,
      entities: noEntities(),
    }
    for (let i = 0; i < (this.file.holds?.doors ?? 0); i++)
      memory.entities.Door[`old-${i}`] = {
        token: `old-${i}`,
        name: `Old door ${i + 1}`,
        releaseS: 4,
        openS: 25,
        relockDelayS: 0,
      }
    for (let i = 0; i < (this.file.holds?.people ?? 0); i++)
      memory.entities.CredentialData[`old-${i}`] = {
        token: `old-${i}`,
        holder: `Former holder ${i + 1}`,
        format: 'WIEGAND26',
        value: (0x0a0000 + i).toString(16).toUpperCase().padStart(6, '0'),
        profiles: [],
        enabled: true,
      }
    return memory
  }

  private firstUsers(factory: { user: string; password: string } | undefined): Memory['users'] {
    const { secret, accounts = [] } = this.file
    return [
      {
        username: factory?.user ?? 'startup',
        password: secret ?? factory?.password ?? 'factory',
        level: 'Administrator',
      },
      ...accounts.map((a) => ({ username: a.name, password: a.secret, level: 'Operator' as const })),
    ]
  }

  /** Keeps the memory; writes that come together are kept together, as a device's own flash driver does. */
  save(): void {
    if (this.saving) return
    this.saving = true
    setImmediate(() => this.keep())
  }
  keep(): void {
    this.saving = false
    this.store.save(this.serial, this.memory)
  }

  /** Null for one that only listens in clear. */
  async certificate(): Promise<OwnCertificate | null> {
    if (!this.file.https) return null
    if (!this.memory.tls) {
      this.memory.tls = await (await import('./certificate')).ownCertificate(this.serial)
      this.save()
    }
    return this.memory.tls
  }

  power(on: boolean): void {
    this.plugged = on
    this.feed()
  }
  /** A hand moves the jumper that chooses its supply. */
  setJumper(to: 'network' | 'supply'): void {
    this.jumper = to
    this.feed()
  }
  private feed(): void {
    const on = this.plugged && this.jumper !== 'supply'
    if (on === this.powered) return
    this.powered = on
    this.hooks.power(this.serial)
    this.cancelBoot?.()
    if (on) {
      this.poweredSince = this.world.now()
      this.cancelBoot = this.world.after(bootMs, () => this.bootUp())
    } else this.goDown()
  }

  /** Letting go of the SET key after it was held long enough through power-up brings the factory state back. */
  key(held: boolean): void {
    if (this.keyHeld && !held && this.powered && this.world.now() - this.poweredSince >= this.resetHoldMs())
      this.factoryReset()
    this.keyHeld = held
  }
  private resetHoldMs(): number {
    return (this.sheet?.reset.find((s) => s.holds)?.seconds ?? 8) * 1000
  }

  factoryReset(): void {
    const { boots } = this.memory
    this.memory = {
      ...this.firstMemory(),
      entities: noEntities(),
      boots,
      factoryNew: true,
      clockOffMs: this.memory.clockOffMs,
    }
    this.memory.users = [
      {
        username: this.sheet?.factory.user ?? 'startup',
        password: this.sheet?.factory.password ?? 'factory',
        level: 'Administrator',
      },
    ]
    this.memory.address = this.sheet?.factory.address ?? this.memory.address
    this.save()
    this.restart()
  }

  restart(): void {
    this.goDown()
    this.cancelBoot?.()
    this.cancelBoot = this.world.after(bootMs, () => this.bootUp())
  }

  private bootUp(): void {
    if (!this.powered) return
    this.memory.boots += 1
    this.sequence = 0
    this.wrongSecrets = []
    this.save()
    this.doors.restart()
    this.up = true
    this.doors.lookAtHours()
    for (const bus of this.buses.values()) bus.start()
    this.hooks.up(this)
  }

  private goDown(): void {
    const wasUp = this.up
    this.up = false
    for (const bus of this.buses.values()) bus.stop()
    this.pullPoints.endAll()
    for (const relay of [...this.relays.keys()]) this.setRelay(relay, false)
    this.doors.restart()
    if (wasUp) this.hooks.down(this)
  }

  energised(relay: string): boolean {
    return this.relays.get(relay) ?? false
  }
  setRelay(relay: string, energised: boolean): void {
    this.relays.set(relay, energised)
    this.hooks.relay(this.serial, relay, energised)
  }

  input(port: string, closed: boolean): void {
    if ((this.changing.get(port) ?? this.inputs.get(port)) === closed) return
    // The firmware compares with what the input was before, so the new state is kept last. A relay that it drives meanwhile
    // moves things on site, which are told again: what is changing already is no change.
    this.changing.set(port, closed)
    if (this.up) this.doors.inputChanged(port, closed)
    if (this.changing.get(port) !== closed) return
    this.changing.delete(port)
    this.inputs.set(port, closed)
  }

  card(port: string, bits: Bits, address?: number): void {
    if (this.up) this.doors.cardRead(port, bits, address)
  }

  /** A wireless lock tells what it did while it was out of radio. */
  doneAlone(port: string, bits: Bits, lets: boolean, agoMs: number): void {
    if (this.up) this.doors.doneAlone(port, bits, lets, agoMs)
  }

  typed(port: string, keys: string, address?: number): void {
    if (this.up) this.doors.typed(port, keys, address)
  }

  /** Tells whoever listens that a record of the configuration was set or taken away. */
  altered(record: string, token: string, gone: boolean): void {
    if (record === 'DoorWiring') this.rewired()
    if (this.up) this.doors.lookAtHours()
    this.emit(configurationTopic(record, gone), { [`${record}Token`]: token }, {})
  }

  /** Equal as long as nothing of the configuration is altered. */
  configurationMark(): string {
    return createHash('sha256')
      .update(JSON.stringify([this.memory.entities, this.radioKept()]))
      .digest('hex')
      .slice(0, 16)
  }

  private radioKept(): DoorRadio[] {
    const { radio } = this
    return radio ? Object.values(this.memory.entities.DoorRadio).map((door) => radio.kept(door)) : []
  }

  emit(
    topic: string,
    source: Record<string, string>,
    data: Record<string, string>,
    operation: Notification['operation'] = 'Changed',
    only?: string,
  ): void {
    const notification: Notification = {
      topic,
      utcMs: this.deviceNow(),
      operation,
      source,
      data: { ...data, Boot: this.boot, Sequence: String(++this.sequence) },
    }
    const send = () =>
      only ? this.pullPoints.push(only, notification) : this.pullPoints.publish(notification, this.faults.eventTimes)
    if (this.faults.eventDelayMs) this.world.after(this.faults.eventDelayMs, send)
    else send()
  }

  /** Called before each write; a hand may have asked for the power to go in the middle of one. */
  beforeWrite(): boolean {
    if (this.faults.cutPowerAfterWrites > 0 && --this.faults.cutPowerAfterWrites === 0) {
      this.power(false)
      return false
    }
    return true
  }

  announcement(xaddr: string): Announcement {
    return {
      endpoint: `urn:uuid:${endpointUuid(this.file.mac)}`,
      types: 'tds:Device dn:NetworkVideoTransmitter',
      xaddrs: [xaddr],
      scopes: [
        scope('name', this.memory.hostname),
        scope('hardware', this.file.model),
        scope('MAC', this.file.mac),
        scope('serial', this.serial),
        'onvif://www.onvif.org/Profile/A',
        'onvif://www.onvif.org/Profile/C',
        'onvif://www.onvif.org/Profile/D',
      ],
    }
  }
}

function endpointUuid(mac: string): string {
  return `00000000-0000-4000-8000-${mac.replaceAll(':', '').toLowerCase()}`
}
