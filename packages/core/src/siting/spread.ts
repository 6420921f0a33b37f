import { far, Transport, type Assigned } from './transport'

/** So many controllers over the cabinets, and which door goes to which cabinet. */
export interface Spread {
  /** Controllers in each cabinet. */ counts: number[]
  assigned: Assigned
  left: number[]
}
export interface SpreadInput {
  cost: readonly (readonly number[])[]
  /** Doors a new controller takes. */
  capacity: number
  /** Places that controllers which are there already still have, by cabinet. */
  free: readonly number[]
  /** New controllers at most; as many as are needed where it is not said. */
  most?: number
}
/** How far a search has come. */
export interface SoFar {
  controllers: number
  cableM: number
  done: boolean
}
/** Told now and then; `false` ends the search with the best so far. */
export type Watch = (best: SoFar) => boolean
/** A search that can be left between two steps: `next(true)` ends it with the best so far. */
export type Search<T> = Generator<SoFar, T, boolean | undefined>

/** Runs a search to its end, or until `watch` says no. */
export function finish<T>(search: Search<T>, watch: Watch = () => true): T {
  let step = search.next()
  while (!step.done) step = search.next(!watch(step.value))
  return step.value
}

/** A number of new controllers that nothing can go under: doors that share no cabinet in reach are counted apart. */
export function leastControllers({ cost, capacity, free }: SpreadInput): number {
  const m = free.length
  const root = Array.from({ length: m }, (_, i) => i)
  const find = (i: number): number => (root[i] === i ? i : (root[i] = find(root[i] ?? i)))
  for (const row of cost) {
    const reach = row.flatMap((c, i) => (c < far ? [i] : []))
    for (const c of reach) root[find(c)] = find(reach[0] ?? c)
  }
  const doors = new Map<number, number>()
  for (const row of cost) {
    const first = row.findIndex((c) => c < far)
    if (first >= 0) doors.set(find(first), (doors.get(find(first)) ?? 0) + 1)
  }
  return [...doors].reduce(
    (sum, [group, n]) =>
      sum + Math.max(0, Math.ceil((n - free.reduce((s, f, i) => s + (find(i) === group ? f : 0), 0)) / capacity)),
    0,
  )
}

/** Metres that no placing can go under: each door at the cabinet nearest to it. */
export const leastCableM = (cost: readonly (readonly number[])[]): number =>
  cost.reduce((sum, row) => {
    const near = Math.min(...row)
    return sum + (near < far ? near : 0)
  }, 0)

/** Fewest controllers, then least cable. Exact for each spread over the cabinets that it tries; moves one controller at a time while that shortens the cable. */
export function* spread(input: SpreadInput): Search<Spread> {
  const { cost, capacity, free } = input
  const least = leastControllers(input)
  const allowed = Math.min(input.most ?? far, cost.length)
  let counts = firstCounts(input, Math.min(least, allowed))
  let best = new Transport(
    cost,
    counts.map((n, c) => n * capacity + (free[c] ?? 0)),
  )
  // A door that reaches only full cabinets asks for one more controller where most such doors can go.
  while (
    best.at.some((c, d) => c < 0 && Math.min(...(cost[d] ?? [])) < far) &&
    counts.reduce((a, b) => a + b, 0) < allowed
  ) {
    const to = neediest(counts, cost, best.at)
    counts = counts.map((n, c) => n + (c === to ? 1 : 0))
    best.grow(to, capacity)
  }
  let cableM = best.result.total
  const total = counts.reduce((a, b) => a + b, 0)
  let going = !(yield { controllers: total, cableM, done: false })
  for (let improved = true; going && improved;) {
    improved = false
    for (let from = 0; from < counts.length && going; from++) {
      for (let to = 0; to < counts.length && going; to++) {
        if (from === to || !counts[from]) continue
        const next = counts.map((n, c) => n - (c === from ? 1 : 0) + (c === to ? 1 : 0))
        if (nearestOpen(cost, next, free) >= cableM - 1e-6 && best.placed === cost.length) continue
        const tried = best.clone()
        tried.grow(to, capacity)
        tried.shrink(from, capacity)
        tried.putAll()
        const triedM = tried.result.total
        if (tried.placed > best.placed || (tried.placed === best.placed && triedM < cableM - 1e-6)) {
          counts = next
          best = tried
          cableM = triedM
          improved = true
        }
        going = !(yield { controllers: total, cableM, done: false })
      }
    }
  }
  yield { controllers: total, cableM, done: true }
  return { counts, assigned: best.result, left: best.at.flatMap((c, d) => (c < 0 ? [d] : [])) }
}

/** Cable if every cabinet that is open had room for all: a spread whose figure is no better need not be worked out. */
function nearestOpen(cost: readonly (readonly number[])[], counts: readonly number[], free: readonly number[]): number {
  return cost.reduce(
    (sum, row) => sum + row.reduce((near, c, i) => ((counts[i] ?? 0) + (free[i] ?? 0) > 0 && c < near ? c : near), far),
    0,
  )
}

/** Controllers where most doors are nearest; what is over goes to the largest remainders. */
function firstCounts({ cost, capacity, free }: SpreadInput, k: number): number[] {
  const near = free.map(() => 0)
  for (const row of cost) {
    const c = row.indexOf(Math.min(...row))
    if (c >= 0 && row[c] !== far) near[c] = (near[c] ?? 0) + 1
  }
  const need = near.map((n, c) => Math.max(0, n - (free[c] ?? 0)))
  const counts = need.map((n) => Math.floor(n / capacity))
  const order = need
    .map((n, c) => ({ c, rest: n - Math.floor(n / capacity) * capacity }))
    .sort((a, b) => b.rest - a.rest || a.c - b.c)
  let left = k - counts.reduce((a, b) => a + b, 0)
  for (let i = 0; left > 0 && order.length > 0; i = (i + 1) % order.length, left--) {
    const at = order[i]?.c ?? 0
    counts[at] = (counts[at] ?? 0) + 1
  }
  for (let i = order.length - 1; left < 0 && i >= 0; i--)
    while ((counts[order[i]?.c ?? 0] ?? 0) > 0 && left < 0) {
      const at = order[i]?.c ?? 0
      counts[at] = (counts[at] ?? 0) - 1
      left++
    }
  return counts
}

function neediest(counts: readonly number[], cost: readonly (readonly number[])[], at: readonly number[]): number {
  const wanted = counts.map((_, c) =>
    at.reduce((n, where, d) => n + (where < 0 && (cost[d]?.[c] ?? far) < far ? 1 : 0), 0),
  )
  return wanted.indexOf(Math.max(...wanted))
}
