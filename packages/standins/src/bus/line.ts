import type { World } from '../site/world'
import type { BusReader } from './peripheral'

/** A device turns round from hearing to speaking in so long, ms. */
const turnMs = 3
const bitsOfByte = 10
/** Share of replies that are hurt on a line whose ends are not terminated as they should be: what the controller's end sends still arrives. */
const hurtShare = 0.75

/** Two wires with readers on them: what crosses them is what copper and drivers make of it. */
export class BusLine {
  /** In the order in which the cable runs past them. */
  readonly readers: BusReader[] = []
  /** The cable is off its screws at the controller. */
  cut = false
  /** Somebody else uses the line until then. */
  private busyUntil = 0
  private state: number

  constructor(
    private readonly world: World,
    seed = 1,
  ) {
    this.state = seed
  }

  /** The same noise every time, so that a lesson is the same for everybody. */
  private random(): number {
    this.state = (Math.imul(this.state, 1664525) + 1013904223) >>> 0
    return this.state / 2 ** 32
  }

  /** The far end alone has a terminator, besides the controller's own. */
  get terminated(): boolean {
    return this.readers.every((r, i) => r.memory.terminator === (i === this.readers.length - 1))
  }

  /**
   * Sends bytes and hands over what comes back.
   * @param speed bits a second; who listens at another one hears nothing that makes sense @param waitMs after the last byte has gone out
   */
  send(bytes: Uint8Array, speed: number, waitMs: number, then: (came: Uint8Array) => void): void {
    const begins = Math.max(this.world.now(), this.busyUntil)
    const out = begins + (bytes.length * bitsOfByte * 1000) / speed
    const replies = this.cut ? [] : this.heard(bytes, speed)
    const came = collided(replies).map((reply) => this.hurt(reply))[0] ?? new Uint8Array()
    const back = came.length ? turnMs + (came.length * bitsOfByte * 1000) / speed : waitMs
    this.busyUntil = out + back
    this.world.after(this.busyUntil - this.world.now(), () => then(came))
  }

  private heard(bytes: Uint8Array, speed: number): Uint8Array[] {
    const replies: Uint8Array[] = []
    for (const reader of this.readers) {
      if (!reader.powered) continue
      // Swapped leads turn every level over; another speed cuts the bits elsewhere: no frame is left of either.
      if (reader.memory.dataSwapped || reader.memory.speed !== speed) continue
      const reply = reader.hear(bytes)
      if (reply) replies.push(reply)
    }
    return replies
  }

  private hurt(bytes: Uint8Array): Uint8Array {
    if (this.terminated || this.random() >= hurtShare) return bytes
    const at = Math.floor(this.random() * bytes.length)
    return bytes.map((byte, i) => (i === at ? byte ^ (1 << Math.floor(this.random() * 8)) : byte))
  }
}

/** Drivers that speak at the same moment pull the wires against each other: a nought wins. */
function collided(replies: readonly Uint8Array[]): Uint8Array[] {
  const [first, ...others] = replies
  if (!first || others.length === 0) return first ? [first] : []
  const longest = Math.max(...replies.map((r) => r.length))
  return [Uint8Array.from({ length: longest }, (_, i) => replies.reduce((all, r) => all & (r[i] ?? 0xff), 0xff))]
}
