import type { CauseId } from '../causes'
import type { KnownId, LookId } from '../looks'
import type { Look, Looks, Weights } from '../reasoning'

/**
 * What may be behind one kind of failure and what tells it apart. How common the causes are beside each other, and how long a look takes
 * (minutes, the way to the cabinet or up a ladder in it): common practice, no source.
 */
export interface Knowledge {
  causes: Weights
  /** What somebody looks at. */
  looks: Looks
  /** What the devices told by themselves answers. */
  known: Looks
}

/** How well causes go with an answer; `others` for each that is not named, 0 for one that never does. */
type Fits = Partial<Record<CauseId | 'others', number>>
/** Causes of an answer, or every cause that no other answer of its look has. */
type Answer = readonly CauseId[] | 'others' | Fits

export type WrittenLooks = Partial<Record<LookId, { minutes: number; answers: Readonly<Record<string, Answer>> }>>
interface Written {
  causes: Partial<Record<CauseId, number>>
  looks: WrittenLooks
  known?: Partial<Record<KnownId, Readonly<Record<string, Fits>>>>
}

/** Knowledge as it is written down, with every cause named at every answer that it goes with. */
export function written({ causes, looks, known = {} }: Written): Knowledge {
  const weights = causes as Weights
  const told = Object.entries(known).map(([id, answers]) => [id, { minutes: 0, answers }] as const)
  return { causes: weights, looks: spelled(weights, looks), known: spelled(weights, Object.fromEntries(told)) }
}

/** The same for a door that cannot have some of the causes and can be looked at in more ways. */
export function narrowed(from: Knowledge, never: readonly CauseId[], more: WrittenLooks = {}): Knowledge {
  const kept = without(from, never)
  return { ...kept, looks: { ...kept.looks, ...spelled(kept.causes, more) } }
}

type AnyLooks = Readonly<Record<string, { minutes: number; answers: Readonly<Record<string, Answer>> }>>

const spelled = (causes: Weights, looks: AnyLooks): Looks =>
  Object.fromEntries(
    Object.entries(looks).map(([id, { minutes, answers }]) => {
      const named = Object.values(answers).flatMap((a) => (Array.isArray(a) ? (a as string[]) : []))
      const rest = Object.keys(causes).filter((cause) => !named.includes(cause))
      const fits = Object.entries(answers).map(([answer, a]) => [answer, fitsOf(a, rest, Object.keys(causes))])
      return [id, { minutes, answers: Object.fromEntries(fits) as Look['answers'] }]
    }),
  )

function fitsOf(answer: Answer, rest: readonly string[], causes: readonly string[]): Weights {
  if (answer === 'others') return each(1, rest)
  if (Array.isArray(answer)) return each(1, answer as string[])
  const { others, ...named } = answer as Fits
  const fits: Weights = { ...each(others ?? 0, causes), ...named }
  return Object.fromEntries(Object.entries(fits).filter(([, fit]) => fit > 0))
}
const each = (fit: number, causes: readonly string[]): Weights => Object.fromEntries(causes.map((id) => [id, fit]))

/** Looks lose the answers that only these causes gave, and fall away where one answer is left. */
function without(from: Knowledge, never: readonly CauseId[]): Knowledge {
  const kept = (weights: Weights) =>
    Object.fromEntries(Object.entries(weights).filter(([id]) => !never.some((n) => n === id)))
  const looks = (these: Looks): Looks =>
    Object.fromEntries(
      Object.entries(these).flatMap(([id, look]) => {
        const answers = Object.entries(look.answers)
          .map(([answer, fits]) => [answer, kept(fits)] as const)
          .filter(([, fits]) => Object.keys(fits).length > 0)
        return answers.length > 1 ? [[id, { ...look, answers: Object.fromEntries(answers) }]] : []
      }),
    )
  return { causes: kept(from.causes), looks: looks(from.looks), known: looks(from.known) }
}
