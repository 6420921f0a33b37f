import type { DeviceEvent } from '@rauta/core'
import type { Counted } from '@rauta/drivers'

/** The server's own note that events may be missing between two moments of its clock. */
export function gapEvent(controller: string, from: number, to: number, why: string): DeviceEvent {
  return {
    id: `${controller}:gap:${Math.round(to)}`,
    controller,
    boot: '',
    seq: 0,
    at: Math.round(to),
    received: Math.round(to),
    offsetMs: 0,
    kind: 'gap',
    door: '',
    reader: '',
    card: '',
    state: String(Math.round(to - from)),
    says: `Events may be missing: ${why}`,
  }
}

/** So many numbers may be awaited; a count with more left out is begun anew. */
const mostAwaited = 1000

/**
 * What a device told by its own count, so that a connection that was lost leaves no gap where the count shows that nothing
 * was told meanwhile. A number that was left out may still come late; as long as it is awaited the count shows nothing.
 */
export class Tally {
  private boot = ''
  private last = 0
  private readonly awaited = new Set<number>()

  /** Takes what was pulled. @returns whether it shows that nothing is missing since what was taken before */
  goesOn(counted: Counted | null): boolean {
    if (counted?.numbers.length === 0) return false
    const { boot, numbers } = counted ?? { boot: '', numbers: [] }
    const known = boot !== '' && boot === this.boot
    if (!known) this.begin(boot)
    return numbers.map((n) => this.take(n)).every(Boolean) && known && this.awaited.size === 0
  }

  /** Nothing that was told before is asked after any more. */
  begin(boot = ''): void {
    this.boot = boot
    this.last = 0
    this.awaited.clear()
  }

  private take(n: number): boolean {
    const leftOut = this.last === 0 ? 0 : n - this.last - 1
    const follows = leftOut + this.awaited.size <= mostAwaited
    if (!follows) this.awaited.clear()
    else for (let left = n - leftOut; left < n; left++) this.awaited.add(left)
    this.awaited.delete(n)
    this.last = Math.max(this.last, n)
    return follows
  }
}
