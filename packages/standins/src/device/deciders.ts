import type { DoorBehaviour } from '@rauta/protocols'

export type Decision = { granted: boolean; reason: string } | 'unanswered'

interface Watched {
  /** Ends the wait for the next sign of life. */
  end: () => void
  reachS: number
  away: boolean
}

/** Somebody who waits at a reader until whoever decides has answered. */
interface Waiting {
  door: string
  credential: string
  end: () => void
  then: (decision: Decision) => void
}

/** Doors that ask somebody else who may come in: whether that one is there, and who waits for an answer. */
export class Deciders {
  private readonly watched = new Map<string, Watched>()
  private readonly waiting = new Map<string, Waiting>()

  constructor(
    private readonly after: (ms: number, then: () => void) => () => void,
    private readonly changed: (door: string, away: boolean) => void,
  ) {}

  /** Follows what its doors are set to; one that asks from now on has its time until it counts as unheard. */
  follow(doors: readonly DoorBehaviour[]): void {
    const asking = new Map(doors.flatMap((d) => (d.decidedBy === 'Server' ? [[d.token, d.reachS ?? 0] as const] : [])))
    for (const [door, { reachS, end }] of this.watched)
      if (asking.get(door) !== reachS) {
        end()
        this.watched.delete(door)
        this.answerAll(door)
      }
    for (const [door, reachS] of asking) if (!this.watched.has(door)) this.hear(door, reachS)
  }

  isAway(door: string): boolean {
    return this.watched.get(door)?.away === true
  }

  /** A sign of life. @returns whether this door asks anybody */
  heard(door: string): boolean {
    const watched = this.watched.get(door)
    if (!watched) return false
    watched.end()
    this.hear(door, watched.reachS)
    if (watched.away) this.changed(door, false)
    return true
  }

  private hear(door: string, reachS: number): void {
    const end = this.after(reachS * 1000, () => this.lose(door))
    this.watched.set(door, { reachS, away: false, end })
  }

  private lose(door: string): void {
    const watched = this.watched.get(door)
    if (!watched || watched.away) return
    watched.end()
    watched.away = true
    this.changed(door, true)
    this.answerAll(door)
  }

  private answerAll(door: string): void {
    for (const [point, waiting] of this.waiting)
      if (waiting.door === door) this.answer(point, waiting.credential, 'unanswered')
  }

  /** Asks about somebody at an access point; whoever waited there before is given up. No answer in time is none. */
  ask(point: string, door: string, credential: string, then: (decision: Decision) => void): void {
    const before = this.waiting.get(point)
    if (before) this.answer(point, before.credential, 'unanswered')
    const seconds = this.watched.get(door)?.reachS ?? 0
    const end = this.after(seconds * 1000, () => {
      this.answer(point, credential, 'unanswered')
      this.lose(door)
    })
    this.waiting.set(point, { door, credential, end, then })
  }

  /** @returns whether anybody waited for it there */
  answer(point: string, credential: string, decision: Decision): boolean {
    const waiting = this.waiting.get(point)
    if (waiting?.credential !== credential) return false
    this.waiting.delete(point)
    waiting.end()
    if (decision !== 'unanswered') this.heard(waiting.door)
    waiting.then(decision)
    return true
  }

  clear(): void {
    for (const { end } of [...this.watched.values(), ...this.waiting.values()]) end()
    this.watched.clear()
    this.waiting.clear()
  }
}
