import { causeWords, type CauseId, type Names } from './causes'
import { knowledge, type SubjectId } from './knowledge'
import { knownWords, lookWords, type KnownId, type LookId } from './looks'
import { isSettled, nextLook, sharesAfter, type Answers, type Looks } from './reasoning'

/** A failure as a value: what it is of, what the devices told of it, and what its words may name. */
export interface Failure {
  /** By which what was looked at is kept: an answer is of one failure alone. */
  id: string
  subject: SubjectId
  /** Answers from before say nothing of it. */
  since: number
  known: Partial<Record<KnownId, string>>
  names: Names
}

export interface LeftCause {
  id: CauseId
  share: number
  says: string
  mend: string
}

export interface Diagnosis {
  /** What may still be behind it, the likeliest first; empty where the answers contradict each other. */
  left: LeftCause[]
  /** The one that it is taken for; null while there are several. */
  settled: LeftCause | null
  /** What is excluded, each by the answer that alone does so. */
  out: { id: CauseId; says: string; by: string }[]
  /** The next thing to look at, the whole of the looking taking least time on the average. */
  next: { look: LookId; minutes: number; asks: string; answers: { id: string; says: string }[] } | null
  /** Minutes of looking to be expected from here. */
  minutes: number
  /** What was looked at, in the words of its answers, in the order in which looks are written down. */
  found: { look: LookId; asks: string; says: string }[]
}

const causeOf = (id: string, share: number, names: Names): LeftCause => {
  const words = causeWords[id as CauseId]
  return { id: id as CauseId, share, says: capital(words.says(names)), mend: capital(words.mend(names)) }
}
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

type Told = Readonly<Record<string, Readonly<Record<string, (n: Names) => string>>>>

/** What is behind a failure as far as the answers go, what they exclude and by what, and the look that is next. @param answers of those who looked, by look */
export function diagnose({ subject, known, names }: Failure, answers: Answers): Diagnosis {
  const { causes, looks, known: told } = knowledge[subject]
  const every: Looks = { ...told, ...looks }
  const given: Answers = { ...known, ...ofThese(answers, looks) }
  const shares = sharesAfter(causes, every, given)
  const left = Object.entries(shares)
    .map(([id, share]) => causeOf(id, share, names))
    .sort((a, b) => b.share - a.share)
  const out = Object.keys(causes)
    .filter((id) => !Object.hasOwn(shares, id))
    .map((id) => {
      const by = Object.entries(given).find(([look, answer]) => !every[look]?.answers[answer]?.[id])
      return { id: id as CauseId, says: causeOf(id, 0, names).says, by: by ? answerWords(by[0], by[1], names) : '' }
    })
  const next = nextLook(shares, looks, Object.keys(given))
  return {
    left,
    settled: isSettled(shares) ? (left[0] ?? null) : null,
    out,
    next: next && asked(next.look as LookId, looks, names),
    minutes: next?.minutes ?? 0,
    found: (Object.keys(looks) as LookId[]).flatMap((look) =>
      given[look] === undefined
        ? []
        : [{ look, asks: capital(lookWords[look].asks(names)), says: answerWords(look, given[look], names) }],
    ),
  }
}

/** Answers that belong to these looks, and that they have. */
const ofThese = (answers: Answers, looks: Looks): Answers =>
  Object.fromEntries(Object.entries(answers).filter(([look, answer]) => isAnswer(looks, look, answer)))

const isAnswer = (looks: Looks, look: string, answer: string): boolean =>
  Object.hasOwn(looks, look) && Object.hasOwn(looks[look]?.answers ?? {}, answer)

/** Whether a look of this subject has such an answer. */
export const answersLook = (subject: SubjectId, look: string, answer: string): boolean =>
  isAnswer(knowledge[subject].looks, look, answer)

function answerWords(look: string, answer: string, names: Names): string {
  const words =
    (knownWords as Told)[look]?.[answer] ??
    (lookWords as unknown as Record<string, { answers: Told[string] }>)[look]?.answers[answer]
  return words ? capital(words(names)) : ''
}

function asked(look: LookId, looks: Looks, names: Names): Diagnosis['next'] {
  const { minutes, answers } = looks[look] ?? { minutes: 0, answers: {} }
  return {
    look,
    minutes,
    asks: capital(lookWords[look].asks(names)),
    answers: Object.keys(answers).map((id) => ({ id, says: answerWords(look, id, names) })),
  }
}

/** What the devices told of a failure, in words. */
export const toldWords = ({ known, names }: Failure): string[] =>
  Object.entries(known).map(([look, answer]) => answerWords(look, answer, names))
