/**
 * So many pieces of work at once, each under a key; what comes while its key waits or is at work takes the place of what waited.
 * What comes to a full queue is dropped and counted: whoever floods it loses their own.
 */
export class Turns {
  private readonly waiting = new Map<string, () => Promise<void>>()
  private readonly atWork = new Set<string>()
  dropped = 0
  constructor(
    private readonly atOnce: number,
    private readonly most: number,
  ) {}

  /** @param work never rejects */
  add(key: string, work: () => Promise<void>): void {
    if (!this.waiting.has(key) && this.waiting.size >= this.most) {
      this.dropped += 1
      return
    }
    this.waiting.set(key, work)
    this.next()
  }

  private next(): void {
    for (const [key, work] of this.waiting) {
      if (this.atWork.size >= this.atOnce) return
      if (this.atWork.has(key)) continue
      this.waiting.delete(key)
      this.atWork.add(key)
      void work().finally(() => {
        this.atWork.delete(key)
        this.next()
      })
    }
  }
}
