import { bitsOfText, radioPortName, radioPortOf, type Bits } from '@rauta/core'
import type { DoorRadio, HubSeen, LockKeeps } from '@rauta/protocols'
import type { MemoryStore } from '../device/memory'
import type { World } from '../site/world'
import { RadioHub, type RadioHubFile, type RadioHubMemory } from './hub'
import { RadioLock, type RadioLockFile, type RadioLockMemory } from './lock'

/** What a controller is to the hubs on its bus. */
export interface RadioController {
  up: boolean
  /** What the locks of its doors shall keep. */
  wanted(): DoorRadio[]
  card(port: string, bits: Bits): void
  /** What a lock did without it. */
  doneAlone(port: string, bits: Bits, lets: boolean, agoMs: number): void
  /** What locks last told that they keep, by their ports. */
  told: Record<string, LockKeeps>
  /** A lock of a door took what it was sent. */
  took(door: string): void
}

/** Nothing is understood that arrives weaker, dBm. */
const deafDbm = -95

/** The air of the site: which lock hears which hub, and what crosses between them. */
export class RadioAir {
  readonly hubs = new Map<string, RadioHub>()
  readonly locks = new Map<string, RadioLock>()

  constructor(
    private readonly world: World,
    private readonly controllerOf: (serial: string) => RadioController | undefined,
    private readonly stores: { hubs: MemoryStore<RadioHubMemory>; locks: MemoryStore<RadioLockMemory> },
    private readonly moved: (lock: string) => void,
  ) {}

  addHub(file: RadioHubFile): void {
    const hub = new RadioHub(
      file,
      this.stores.hubs.load(file.serial),
      (memory) => this.stores.hubs.save(file.serial, memory),
      () => this.world.now(),
    )
    this.hubs.set(file.serial, hub)
  }
  addLock(file: RadioLockFile): void {
    const lock: RadioLock = new RadioLock(file, this.stores.locks.load(file.serial), this.world, {
      keep: (memory) => this.stores.locks.save(file.serial, memory),
      moved: () => this.moved(file.serial),
      read: (bits) => this.read(lock, bits),
    })
    this.locks.set(file.serial, lock)
  }

  private hubsOf(controller: string): RadioHub[] {
    return [...this.hubs.values()].filter((h) => h.file.controller === controller && h.powered)
  }
  /** The hub at an address behind a controller; two at one address pull the bus against each other, and none is heard. */
  hubAt(controller: string, address: number): RadioHub | null {
    const there = this.hubsOf(controller).filter((h) => h.memory.address === address)
    return there.length === 1 ? (there[0] ?? null) : null
  }

  private lockAt(hub: RadioHub | null, place: number): RadioLock | undefined {
    return hub ? this.locks.get(hub.memory.places[place] ?? '') : undefined
  }
  private signal(lock: RadioLock, hub: RadioHub): number {
    return lock.file.signal[hub.serial] ?? deafDbm
  }

  /** The hub that a lock is joined to now. */
  private hubOf(lock: RadioLock): RadioHub | null {
    const { hub: serial, key, place } = lock.memory
    const hub = serial === null ? undefined : this.hubs.get(serial)
    if (!hub?.powered || key === null || hub.memory.key !== key || hub.memory.places[place] !== lock.serial) return null
    if (this.signal(lock, hub) <= deafDbm) return null
    return this.controllerOf(hub.file.controller)?.up ? hub : null
  }

  private portOf(lock: RadioLock, hub: RadioHub): string {
    return radioPortName(hub.memory.address, lock.memory.place)
  }

  private read(lock: RadioLock, bits: Bits): boolean {
    const hub = this.hubOf(lock)
    const controller = hub && this.controllerOf(hub.file.controller)
    if (!hub || !controller) return false
    this.deliver(lock, hub, controller)
    controller.card(this.portOf(lock, hub), bits)
    return true
  }

  /** While a hand is at a lock it takes what was sent. */
  private deliver(lock: RadioLock, hub: RadioHub, controller: RadioController): void {
    const port = this.portOf(lock, hub)
    for (const { token, locks } of controller.wanted()) {
      const wanted = locks.find((l) => l.port === port)
      if (!wanted || same(lock.memory.kept, wanted)) continue
      lock.remember({ kept: settingsOf(wanted) })
      controller.took(token)
    }
  }

  /** A set-up card at a lock: a hub that waits for one and hears it takes it. @returns what the lock shows */
  setUp(serial: string): 'green' | 'red' | 'nothing' {
    const lock = this.locks.get(serial)
    if (!lock) return 'nothing'
    const hub = [...this.hubs.values()].find(
      (h) =>
        h.powered && h.pairing !== null && this.signal(lock, h) > deafDbm && this.controllerOf(h.file.controller)?.up,
    )
    if (!hub || hub.pairing === null) return 'nothing'
    // What somebody else paired gives itself to nobody before it is reset by hand.
    if (lock.memory.key !== null && lock.memory.key !== hub.memory.key) return 'red'
    const place = hub.pairing
    for (const other of this.hubs.values())
      other.remember({
        places: Object.fromEntries(Object.entries(other.memory.places).filter(([, s]) => s !== serial)),
      })
    hub.remember({ places: { ...hub.memory.places, [place]: serial } })
    lock.remember({ key: hub.memory.key, hub: hub.serial, place })
    hub.endPairing()
    this.follow()
    return 'green'
  }

  /** A hub, a controller, a key came or went: locks that are joined again tell what they did alone, others let nobody in by order. */
  follow(): void {
    for (const lock of this.locks.values()) {
      const hub = this.hubOf(lock)
      const controller = hub && this.controllerOf(hub.file.controller)
      if (!hub || !controller) {
        if (lock.driven) lock.drive(false)
        continue
      }
      const { alone } = lock.memory
      if (alone.length) lock.remember({ alone: [] })
      for (const { bits, let: lets, at } of alone)
        controller.doneAlone(this.portOf(lock, hub), bitsOfText(bits) ?? [], lets, this.world.now() - at)
    }
  }

  power(serial: string, on: boolean): boolean {
    const hub = this.hubs.get(serial)
    if (!hub) return false
    hub.powered = on
    hub.endPairing()
    this.follow()
    return true
  }

  /** A controller drives the output behind which a lock is. */
  drive(controller: string, port: string, on: boolean): void {
    const at = radioPortOf(port)
    const hub = at && this.hubAt(controller, at.address)
    const lock = at && this.lockAt(hub, at.place)
    if (lock && this.hubOf(lock) === hub) lock.drive(on)
  }

  /** As a controller sees its hubs. */
  seenBy(controller: string): HubSeen[] {
    const addresses = [...new Set(this.hubsOf(controller).map((h) => h.memory.address))]
    return addresses
      .flatMap((address) => this.hubAt(controller, address) ?? [])
      .map((hub) =>
        hub.seen(
          Object.entries(hub.memory.places).flatMap(([place, serial]) => {
            const lock = this.locks.get(serial)
            if (!lock) return []
            return [
              {
                place: Number(place),
                serial,
                model: lock.file.model,
                firmware: lock.file.firmware,
                joined: this.hubOf(lock) === hub,
                signal: this.signal(lock, hub),
                batteryLow: lock.memory.batteryLow,
              },
            ]
          }),
        ),
      )
  }

  /** What the locks of a door keep, as they last told: one that is out of radio is believed to keep it. */
  keptBy(controller: string, { token, locks }: DoorRadio): DoorRadio {
    const told = this.controllerOf(controller)?.told ?? {}
    return {
      token,
      locks: locks.map((wanted) => {
        const { port } = wanted
        const at = radioPortOf(port)
        const hub = at && this.hubAt(controller, at.address)
        const lock = at ? this.lockAt(hub, at.place) : undefined
        if (lock && this.hubOf(lock) === hub) told[port] = lock.memory.kept
        else if (hub && !lock) delete told[port]
        const kept = told[port]
        return { part: wanted.part, port, ...kept, ...(kept && same(kept, wanted) ? {} : { sent: settingsOf(wanted) }) }
      }),
    }
  }
}

const settingsOf = ({ format, standby }: LockKeeps): LockKeeps => ({
  ...(format === undefined ? {} : { format }),
  ...(standby === undefined ? {} : { standby }),
})
const same = (kept: LockKeeps, wanted: LockKeeps): boolean =>
  kept.format === wanted.format && kept.standby === wanted.standby
