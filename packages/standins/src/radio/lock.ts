import { bitsText, cardData, cardSent, sentFormats, type Bits } from '@rauta/core'
import { formatOfType, type LockKeeps } from '@rauta/protocols'
import type { World } from '../site/world'

/** A wireless lock as it is screwed to a leaf: its label, and how well each hub hears it there. */
export interface RadioLockFile {
  serial: string
  /** Id of its device sheet. */
  model: string
  firmware: string
  /** dBm at each hub that hears it at all, by the hub's serial. */
  signal: Record<string, number>
  batteryLow?: boolean
  /** Radio key that somebody paired it with before, hex. */
  key?: string
}

/** Something that it did while it was out of radio, told when it is back. */
export interface DoneAlone {
  bits: string
  let: boolean
  at: number
}

/** What it keeps when its cells are taken out. */
export interface RadioLockMemory {
  key: string | null
  hub: string | null
  place: number
  kept: LockKeeps
  alone: DoneAlone[]
  batteryLow: boolean
}

/** How long it lets go by itself, ms. */
const aloneMs = 5000
/** What it did alone and has not told is no more than this. */
const mostAlone = 50

/** Firmware of a wireless lock: reader and bolt in one, asleep until a card is at it. */
export class RadioLock {
  memory: RadioLockMemory
  /** Its bolt is drawn. */
  driven = false
  private end: (() => void) | null = null

  constructor(
    readonly file: RadioLockFile,
    kept: RadioLockMemory | null,
    private readonly world: World,
    private readonly hooks: {
      keep(memory: RadioLockMemory): void
      /** Its bolt moved. */
      moved(): void
      /** Hands a reading to its hub; false where none answers. */
      read(bits: Bits): boolean
    },
  ) {
    this.memory = kept ?? {
      key: file.key ?? null,
      hub: null,
      place: 0,
      kept: {},
      alone: [],
      batteryLow: file.batteryLow ?? false,
    }
  }
  get serial(): string {
    return this.file.serial
  }

  remember(now: Partial<RadioLockMemory>): void {
    this.memory = { ...this.memory, ...now }
    this.hooks.keep(this.memory)
  }

  /** A card at it: its hub decides, or where none answers it does by itself. */
  present(bits: Bits): void {
    if (this.hooks.read(bits)) return
    const lets = this.knows(bits)
    this.remember({
      alone: [...this.memory.alone, { bits: bitsText(bits), let: lets, at: this.world.now() }].slice(-mostAlone),
    })
    if (lets) this.drive(true, aloneMs)
  }

  private knows(bits: Bits): boolean {
    const { format, standby } = this.memory.kept
    if (format === undefined || standby === undefined) return false
    const known = sentFormats.find((f) => f.id === formatOfType(format))
    const card = known && cardSent(known, undefined, bits)
    return !!card && cardData(card) === standby
  }

  /** @param ms after which it throws its bolt again by itself */
  drive(on: boolean, ms?: number): void {
    this.end?.()
    this.end = on && ms !== undefined ? this.world.after(ms, () => this.drive(false)) : null
    if (this.driven === on) return
    this.driven = on
    this.hooks.moved()
  }

  /** By hand, at the lock: as it left the factory. */
  reset(): void {
    this.remember({ key: null, hub: null, place: 0, kept: {}, alone: [] })
    this.drive(false)
  }
}
