import { keyCheck, type HubSeen } from '@rauta/protocols'

/** A hub as it is mounted: its label, what its switches say, and the controller whose bus it is on. */
export interface RadioHubFile {
  serial: string
  /** Id of its device sheet. */
  model: string
  firmware: string
  /** Serial of the controller. */
  controller: string
  address: number
  powered: boolean
  /** Radio key that somebody gave it before, hex. */
  key?: string
}

/** What it keeps when its power goes. */
export interface RadioHubMemory {
  address: number
  key: string | null
  /** Serials of its locks, by place. */
  places: Record<string, string>
}

/** A hub that waits for a lock gives up after so long, ms. */
const pairingMs = 180_000

/** Firmware of a hub: hands on what its locks read, and what they shall do. */
export class RadioHub {
  memory: RadioHubMemory
  powered = false
  /** Times it was told to flash. */
  shown = 0
  private waiting: { place: number; until: number } | null = null

  constructor(
    readonly file: RadioHubFile,
    kept: RadioHubMemory | null,
    private readonly keep: (memory: RadioHubMemory) => void,
    private readonly now: () => number,
  ) {
    this.memory = kept ?? { address: file.address, key: file.key ?? null, places: {} }
  }
  get serial(): string {
    return this.file.serial
  }

  remember(now: Partial<RadioHubMemory>): void {
    this.memory = { ...this.memory, ...now }
    this.keep(this.memory)
  }

  /** Place for which it waits for a lock, if any. */
  get pairing(): number | null {
    if (this.waiting && this.now() > this.waiting.until) this.waiting = null
    return this.waiting?.place ?? null
  }
  pair(place: number): void {
    this.waiting = { place, until: this.now() + pairingMs }
  }
  endPairing(): void {
    this.waiting = null
  }

  /** By hand: as it left the factory, its switches as they stand. */
  reset(): void {
    this.remember({ key: null, places: {} })
    this.endPairing()
  }

  seen(locks: HubSeen['locks']): HubSeen {
    const { address, key } = this.memory
    const { pairing } = this
    return {
      address,
      serial: this.serial,
      model: this.file.model,
      firmware: this.file.firmware,
      keyCheck: key === null ? '' : keyCheck(new Uint8Array(Buffer.from(key, 'hex'))),
      ...(pairing === null ? {} : { pairing }),
      locks,
    }
  }
}
