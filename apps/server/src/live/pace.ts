/** Events of one device that are taken in a second of this computer's time, and how many may come at once before that counts. */
const perSecond = 500
const burst = 5_000
/** A look that comes back with nothing sooner than this is not one that waited for something to happen, ms. */
const soonMs = 200

/**
 * Keeps a device that tells more than anything can happen at its doors, or that answers at once with nothing, from taking
 * all of the computer. It loses nothing by itself: what is not asked for stays with the device.
 */
export class Pace {
  private credit = burst
  private at: number
  /** Since when it has been too much without a pause, or null. */
  private floodSince: number | null = null
  private told = 0

  /** @param now ms of this computer's own time */
  constructor(now: number) {
    this.at = now
  }

  /** After a look that told so many events and took so long: how long to wait before the next, ms of this computer's own time. */
  after(events: number, tookMs: number, now: number): number {
    this.credit = Math.min(burst, this.credit + ((now - this.at) / 1000) * perSecond) - events
    this.at = now
    if (this.credit >= 0) {
      this.floodSince = null
      this.told = 0
      return events === 0 && tookMs < soonMs ? soonMs : 0
    }
    this.floodSince ??= now
    this.told += events
    return (-this.credit / perSecond) * 1000
  }

  /** What is to be said of a flood that has lasted so long, once for each such time; null while there is none. */
  flood(now: number, everyMs: number): { told: number; ms: number } | null {
    if (this.floodSince === null || now - this.floodSince < everyMs) return null
    const said = { told: this.told, ms: now - this.floodSince }
    this.floodSince = now
    this.told = 0
    return said
  }
}
