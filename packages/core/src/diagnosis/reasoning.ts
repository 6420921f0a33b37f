/** What may be behind a failure, each by how common it is beside the others. Weights are above 0. */
export type Weights = Readonly<Record<string, number>>

/**
 * Something that can be looked at. For each answer, how well each cause goes with it: 1 where it leads to it, less where it seldom does;
 * a cause that is not named there never does.
 */
export interface Look {
  minutes: number
  answers: Readonly<Record<string, Weights>>
}
export type Looks = Readonly<Record<string, Look>>

/** What was answered, by the look. */
export type Answers = Readonly<Record<string, string>>

/** From this share on a cause is taken for the one. */
export const settledAt = 0.95

const sum = (numbers: readonly number[]): number => numbers.reduce((all, n) => all + n, 0)

/** How likely an answer is where a cause is the one: its own fit beside those of the other answers. */
function likelihood({ answers }: Look, answer: string, cause: string): number {
  const all = sum(Object.values(answers).map((fits) => fits[cause] ?? 0))
  const own = Object.hasOwn(answers, answer) ? (answers[answer]?.[cause] ?? 0) : 0
  return all > 0 ? own / all : 0
}

const scaled = (weights: Weights): Weights => {
  const all = sum(Object.values(weights))
  return Object.fromEntries(
    Object.entries(weights)
      .filter(([, w]) => w > 0)
      .map(([id, w]) => [id, w / all]),
  )
}

function answered(weights: Weights, look: Look, answer: string): Weights {
  return Object.fromEntries(Object.entries(weights).map(([id, w]) => [id, w * likelihood(look, answer, id)]))
}

/**
 * What each cause is worth after what was answered, one cause being behind it all. Causes that an answer excludes are left out; empty
 * where the answers leave none. Answers to looks that are not asked here say nothing.
 * @returns shares that sum to 1
 */
export function sharesAfter(weights: Weights, looks: Looks, answers: Answers): Weights {
  const left = Object.entries(answers).reduce((now, [id, answer]) => {
    const look = Object.hasOwn(looks, id) ? looks[id] : undefined
    return look ? answered(now, look, answer) : now
  }, weights)
  return scaled(left)
}

/** Whether one cause stands so far above the others that it is taken for the one. */
export const isSettled = (shares: Weights): boolean => Object.values(shares).some((share) => share >= settledAt)

/** Whether an answer to a look could move anything. */
const tells = (shares: Weights, look: Look): boolean =>
  Object.keys(look.answers).some((answer) => {
    const each = Object.keys(shares).map((cause) => likelihood(look, answer, cause))
    return Math.max(...each) - Math.min(...each) > 1e-9
  })

/** What to look at next, and how many minutes of looking are to be expected from here until it is settled. */
export interface NextLook {
  look: string
  minutes: number
}

/**
 * The look to begin with so that the whole of the looking takes least time on the average; null where it is settled, or nothing that is
 * left tells the causes apart. Exact: every order of looking is weighed (as binary identification; where every question can be asked at
 * the same price, its mean is that of Huffman’s code).
 * @param asked looks that were answered
 */
export function nextLook(shares: Weights, looks: Looks, asked: readonly string[] = []): NextLook | null {
  const left = Object.keys(looks).filter((id) => !asked.includes(id))
  const { look, minutes } = searchOf(looks).from(shares, left)
  return look === null ? null : { look, minutes }
}

interface Planned {
  look: string | null
  minutes: number
}
const nothingLeft: Planned = { look: null, minutes: 0 }

/** What was worked out for these looks serves every later answer: a screen asks again whenever something happens on site. */
const searches = new WeakMap<Looks, Search>()
function searchOf(looks: Looks): Search {
  const search = searches.get(looks) ?? new Search(looks)
  searches.set(looks, search)
  return search
}

class Search {
  private readonly known = new Map<string, Planned>()
  constructor(private readonly looks: Looks) {}

  from(shares: Weights, left: readonly string[]): Planned {
    if (isSettled(shares)) return nothingLeft
    const useful = left.filter((id) => this.looks[id] && tells(shares, this.looks[id]))
    if (useful.length === 0) return nothingLeft
    const key = stateOf(shares, useful)
    const known = this.known.get(key)
    if (known) return known
    const planned = this.exact(shares, useful)
    this.known.set(key, planned)
    return planned
  }

  private exact(shares: Weights, useful: readonly string[]): Planned {
    return useful.reduce<Planned>(
      (best, id) => {
        const minutes = this.through(shares, id, useful, best.minutes)
        return minutes < best.minutes - 1e-9 ? { look: id, minutes } : best
      },
      { look: null, minutes: Infinity },
    )
  }

  /** Minutes to be expected where one begins with this look; no more is worked out once it is worse than what is known. */
  private through(shares: Weights, id: string, useful: readonly string[], worstUseful: number): number {
    const look = this.looks[id] as Look
    const rest = useful.filter((other) => other !== id)
    let minutes = look.minutes
    for (const answer of Object.keys(look.answers)) {
      if (minutes >= worstUseful) return minutes
      const branch = answered(shares, look, answer)
      const chance = sum(Object.values(branch))
      if (chance > 0) minutes += chance * this.from(scaled(branch), rest).minutes
    }
    return minutes
  }
}

const stateOf = (shares: Weights, useful: readonly string[]): string =>
  `${Object.entries(shares)
    .map(([id, s]) => `${id}${s.toFixed(6)}`)
    .sort()
    .join(' ')}|${useful.join(' ')}`
