import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'

/** Wrong tries that are let through, and in how many seconds. */
const limits = {
  /** Of one name from one address: whoever mistypes is held up, and nobody else. */
  pair: { points: 5, duration: 60 },
  /** From one address, whatever the name. */
  address: { points: 40, duration: 600 },
  /** Of one name from all addresses from which it never signed in: many phones guess together. */
  name: { points: 25, duration: 900 },
}

/** Wrong passwords, counted so that guessing leads nowhere and nobody can lock somebody else out of where they work. */
export class Tries {
  private readonly pair = new RateLimiterMemory(limits.pair)
  private readonly address = new RateLimiterMemory(limits.address)
  private readonly name = new RateLimiterMemory(limits.name)
  /** Addresses from which a name has signed in since the start: what others do elsewhere does not count there. */
  private readonly known = new Map<string, Set<string>>()
  /** Wrong tries that are not told yet, by name and address. */
  private readonly untold = new Map<string, { count: number; told: number }>()

  /** Begins a try, which counts until it turns out to be right. @returns how long to wait before another, in seconds; 0 where it may be made now */
  async begin(name: string, address: string): Promise<number> {
    const waits = await Promise.all(
      this.counted(name, address).map(([limiter, key]) =>
        limiter.consume(key).then(
          () => 0,
          (refused: RateLimiterRes) => Math.ceil(refused.msBeforeNext / 1000),
        ),
      ),
    )
    return Math.max(...waits)
  }

  private counted(name: string, address: string): [RateLimiterMemory, string][] {
    return [
      [this.pair, `${address} ${name}`],
      [this.address, address],
      ...(this.known.get(name)?.has(address) ? [] : ([[this.name, name]] as [RateLimiterMemory, string][])),
    ]
  }

  /** @returns how many wrong tries are to be told now, or null while the last telling is less than a minute ago */
  wrong(name: string, address: string, now: number): number | null {
    const key = `${address} ${name}`
    if (this.untold.size > mostKept) this.untold.clear()
    const kept = this.untold.get(key) ?? { count: 0, told: -Infinity }
    const due = now - kept.told >= toldEveryMs
    this.untold.set(key, due ? { count: 0, told: now } : { ...kept, count: kept.count + 1 })
    return due ? kept.count + 1 : null
  }

  /** @returns how many wrong tries came before that nobody was told of */
  async right(name: string, address: string): Promise<number> {
    const key = `${address} ${name}`
    for (const [limiter, of] of this.counted(name, address))
      await (limiter === this.pair ? limiter.delete(of) : limiter.reward(of))
    const addresses = this.known.get(name) ?? new Set()
    addresses.add(address)
    this.known.set(name, addresses)
    const count = this.untold.get(key)?.count ?? 0
    this.untold.delete(key)
    return count
  }
}

const toldEveryMs = 60_000
/** Names and addresses of wrong tries that are counted one by one. */
const mostKept = 10_000
