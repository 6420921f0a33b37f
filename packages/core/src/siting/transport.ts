/** Doors to cabinets at least total length, each cabinet with so many places. `cost[d][c]` is Infinity where a door cannot reach a cabinet. */
export interface Assigned {
  /** Cabinet of each door, -1 where none had room in reach. */ at: number[]
  total: number
}

/** No way there. */
export const far = Infinity

interface Hop {
  door: number
  more: number
}

/**
 * Successive shortest paths on the graph of cabinets: a door that comes in may push others on from cabinet to cabinet, so
 * each step leaves the least total for the doors and places that it knows. Places can be added and taken away again.
 */
export class Transport {
  readonly at: number[]
  private readonly inside: number[][]
  private readonly places: number[]

  constructor(
    private readonly cost: readonly (readonly number[])[],
    places: readonly number[],
    from?: Transport,
  ) {
    this.places = [...places]
    this.at = from ? [...from.at] : cost.map(() => -1)
    this.inside = from ? from.inside.map((doors) => [...doors]) : places.map(() => [])
    if (!from) this.putAll()
  }

  clone(): Transport {
    return new Transport(this.cost, this.places, this)
  }

  get result(): Assigned {
    return { at: [...this.at], total: this.at.reduce((sum, c, d) => sum + (c < 0 ? 0 : this.price(d, c)), 0) }
  }
  get placed(): number {
    return this.at.reduce((n, c) => n + (c >= 0 ? 1 : 0), 0)
  }

  /** Doors that still stand outside, each by the cheapest chain of moves that ends at a free place. */
  putAll(): void {
    this.at.forEach((c, door) => {
      if (c < 0) this.follow(this.cost[door] ?? [], door)
    })
  }

  /** More places in a cabinet: others move towards it while that is shorter. */
  grow(cabinet: number, by: number): void {
    this.places[cabinet] = (this.places[cabinet] ?? 0) + by
    while (this.improve()) {
      /* each chain shortens the total */
    }
    this.putAll()
  }

  /** Fewer places: who is too many goes out by the cheapest chain, or stands outside. */
  shrink(cabinet: number, by: number): void {
    this.places[cabinet] = (this.places[cabinet] ?? 0) - by
    while ((this.inside[cabinet]?.length ?? 0) > (this.places[cabinet] ?? 0)) {
      const prices = this.places.map((_, c) => (c === cabinet ? 0 : far))
      if (this.follow(prices, null)) continue
      const worst = this.inside[cabinet]?.reduce((a, b) => (this.price(b, cabinet) > this.price(a, cabinet) ? b : a))
      if (worst === undefined) return
      this.leave(worst, cabinet)
      this.at[worst] = -1
    }
  }

  private price(door: number, cabinet: number): number {
    return this.cost[door]?.[cabinet] ?? far
  }

  private leave(door: number, cabinet: number): void {
    this.inside[cabinet] = (this.inside[cabinet] ?? []).filter((d) => d !== door)
  }

  private hasRoom(cabinet: number): boolean {
    return (this.inside[cabinet]?.length ?? 0) < (this.places[cabinet] ?? 0)
  }

  /** A chain of moves from anywhere to a free place that shortens the total; false where there is none. */
  private improve(): boolean {
    return this.follow(
      this.places.map(() => 0),
      null,
      -1e-6,
    )
  }

  /** Finds and makes the cheapest chain that starts at one of `starts` (its price) and ends at a free place, if it costs less than `under`. */
  private follow(starts: readonly number[], door: number | null, under = far): boolean {
    const m = this.places.length
    const price = [...starts]
    const came: ({ from: number; door: number } | null)[] = price.map(() => null)
    const hops = this.hops()
    // Prices settle within as many rounds as there are cabinets.
    for (let round = 0, moved = true; moved && round < m; round++) {
      moved = false
      for (let a = 0; a < m; a++) {
        const here = price[a] ?? far
        if (here === far) continue
        for (let b = 0; b < m; b++) {
          const hop = hops[a]?.[b]
          if (!hop || here + hop.more >= (price[b] ?? far) - 1e-9 || passes(came, a, b)) continue
          price[b] = here + hop.more
          came[b] = { from: a, door: hop.door }
          moved = true
        }
      }
    }
    let end = -1
    for (let c = 0; c < m; c++)
      if (this.hasRoom(c) && (price[c] ?? far) < (end < 0 ? under : (price[end] ?? far))) end = c
    if (end < 0 || (door === null && !came[end])) return false
    for (let hop = came[end]; hop; hop = came[end]) {
      this.leave(hop.door, hop.from)
      this.inside[end]?.push(hop.door)
      this.at[hop.door] = end
      end = hop.from
    }
    if (door !== null) {
      this.inside[end]?.push(door)
      this.at[door] = end
    }
    return true
  }

  /** For each pair of cabinets the door whose move between them costs least. */
  private hops(): (Hop | null)[][] {
    const m = this.places.length
    return this.inside.map((doors, a) => {
      const best: (Hop | null)[] = Array.from({ length: m }, () => null)
      for (const door of doors) {
        const row = this.cost[door] ?? []
        const own = row[a] ?? 0
        for (let b = 0; b < m; b++) {
          const more = (row[b] ?? far) - own
          if (b !== a && more < (best[b]?.more ?? far)) best[b] = { door, more }
        }
      }
      return best
    })
  }
}

/** Whether the chain that leads to `a` comes through `b`: it may not bite its own tail. */
function passes(came: readonly ({ from: number } | null)[], a: number, b: number): boolean {
  for (
    let at: number | undefined = a, steps = 0;
    at !== undefined && steps <= came.length;
    at = came[at]?.from, steps++
  )
    if (at === b) return true
  return false
}

/** Exact for the places given. */
export function assign(cost: readonly (readonly number[])[], places: readonly number[]): Assigned {
  return new Transport(cost, places).result
}
