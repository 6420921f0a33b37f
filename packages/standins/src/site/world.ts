import type { Clock } from '@rauta/protocols'

/**
 * Time of the simulated site. While something that was due runs, `now` is the moment it was due at, so that a busy
 * computer does not put its own delays into the site's physics.
 */
export class World {
  private due: number | null = null
  constructor(readonly clock: Clock) {}

  now(): number {
    return this.due ?? this.clock.now()
  }

  after(ms: number, then: () => void): () => void {
    const due = this.now() + ms
    return this.clock.after(due - this.clock.now(), () => {
      const outer = this.due
      this.due = due
      try {
        then()
      } finally {
        this.due = outer
      }
    })
  }
}
