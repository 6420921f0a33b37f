import type { DoorBehaviour, OnvifAccessPoint, OnvifCredential } from '@rauta/protocols'

/** What the firmware keeps of who went where; it is gone with the power. */
export class Whereabouts {
  private readonly areas = new Map<string, { area: string; at: number }>()
  private readonly entries = new Map<string, number>()

  constructor(private readonly now: () => number) {}

  /** Why somebody is not to come in again, if so: in a moment ago, or in already. */
  objection(
    door: string,
    { reentryS, passback, passbackS }: DoorBehaviour,
    point: OnvifAccessPoint | undefined,
    credential: string,
  ): 'ReentryTooSoon' | 'AntipassbackViolation' | null {
    const entered = this.entries.get(`${door} ${credential}`)
    if (reentryS !== undefined && entered !== undefined && this.now() - entered < reentryS * 1000)
      return 'ReentryTooSoon'
    const last = this.areas.get(credential)
    const known = last && (passbackS === undefined || this.now() - last.at < passbackS * 1000)
    return passback !== undefined && known && last.area === point?.areaTo ? 'AntipassbackViolation' : null
  }

  passed(door: string, point: OnvifAccessPoint | undefined, credential: string, entering: boolean): void {
    if (point) this.areas.set(credential, { area: point.areaTo, at: this.now() })
    if (entering) this.entries.set(`${door} ${credential}`, this.now())
  }

  forget(credential: string): void {
    this.areas.delete(credential)
    for (const key of [...this.entries.keys()]) if (key.endsWith(` ${credential}`)) this.entries.delete(key)
  }

  clear(): void {
    this.areas.clear()
    this.entries.clear()
  }
}

/** A reading that was found good, on its way to a release. */
export interface Reading {
  credential: OnvifCredential
  /** Where it was read, and what: source and data of its event. */
  at: Record<string, string>
  data: Record<string, string>
}

/** At doors that two people pass together: who came first and waits for the second. */
export class Pairs {
  private readonly waiting = new Map<string, { reading: Reading; end: () => void }>()

  /** The first of the two if this is the second; otherwise this one waits, and `over` is called if nobody comes. */
  meet(door: string, reading: Reading, later: (then: () => void) => () => void, over: () => void): Reading | null {
    const before = this.waiting.get(door)
    before?.end()
    this.waiting.delete(door)
    // The same person's other card is not a second person.
    if (before && before.reading.credential.holder !== reading.credential.holder) return before.reading
    const end = later(() => {
      this.waiting.delete(door)
      over()
    })
    this.waiting.set(door, { reading, end })
    return null
  }

  clear(): void {
    for (const { end } of this.waiting.values()) end()
    this.waiting.clear()
  }
}
