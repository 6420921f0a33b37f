import { causeWords, noNames, type CauseId } from '../src/diagnosis/causes'
import { knowledge, type Knowledge } from '../src/diagnosis/knowledge'
import { knownWords, lookWords } from '../src/diagnosis/looks'
import { isSettled, nextLook, sharesAfter, type Answers, type Looks } from '../src/diagnosis/reasoning'

const subjects = Object.entries(knowledge) as [string, Knowledge][]
const words = lookWords as Record<
  string,
  { asks(n: typeof noNames): string; answers: Record<string, (n: typeof noNames) => string> }
>

/** Every way in which truthful eyes may answer where this is the cause, looking as it is advised; and what remains each time. */
function walks(looks: Looks, weights: Knowledge['causes'], truth: string, answers: Answers = {}): Answers[] {
  const next = nextLook(sharesAfter(weights, looks, answers), looks, Object.keys(answers))
  if (!next) return [answers]
  const truthful = Object.entries(looks[next.look]?.answers ?? {}).filter(([, fits]) => (fits[truth] ?? 0) > 0)
  return truthful.flatMap(([answer]) => walks(looks, weights, truth, { ...answers, [next.look]: answer }))
}

describe.each(subjects)('what is known of %s', (_name, { causes, looks, known }) => {
  const every = Object.entries({ ...looks, ...known })
  it('each look says something of each cause, and of no other', () => {
    for (const [look, { answers }] of every) {
      const named = new Set(Object.values(answers).flatMap((fits) => Object.keys(fits)))
      expect([look, [...named].sort()]).toEqual([look, Object.keys(causes).sort()])
      for (const fits of Object.values(answers))
        for (const fit of Object.values(fits)) expect(fit > 0 && fit <= 1).toBe(true)
    }
  })
  it('each look is asked in words, with each of its answers, and takes some time', () => {
    for (const [look, { answers, minutes }] of Object.entries(looks)) {
      expect(words[look]?.asks(noNames)).toMatch(/[.?]$/)
      for (const answer of Object.keys(answers))
        expect([look, answer, words[look]?.answers[answer]?.(noNames)]).not.toContain(undefined)
      expect(minutes).toBeGreaterThan(0)
    }
  })
  it.each(Object.keys(causes))(
    'truthful answers lead to %s, whichever way they go, and never away from it',
    (truth) => {
      for (const answers of walks(looks, causes, truth)) {
        const left = sharesAfter(causes, looks, answers)
        expect([answers, Object.keys(left)]).toEqual([answers, [truth]])
        expect(isSettled(left)).toBe(true)
      }
    },
  )
  it('what devices tell of it is told in words', () => {
    const told = knownWords as Record<string, Record<string, (n: typeof noNames) => string>>
    for (const [look, { answers }] of Object.entries(known))
      for (const answer of Object.keys(answers))
        expect([look, answer, told[look]?.[answer]?.(noNames)]).not.toContain(undefined)
  })
  it('what to look at first is known at once', () => {
    const began = performance.now()
    expect(nextLook(sharesAfter(causes, looks, {}), looks)?.look).toBeDefined()
    expect(performance.now() - began).toBeLessThan(1000)
  })
})

describe('what goes wrong', () => {
  it('each cause is looked for in some subject, says what it is and how to mend it; forty and more', () => {
    const looked = new Set(subjects.flatMap(([, k]) => Object.keys(k.causes)))
    for (const [id, { says, mend }] of Object.entries(causeWords)) {
      expect([id, looked.has(id)]).toEqual([id, true])
      for (const text of [says(noNames), mend(noNames)]) {
        expect(text).toMatch(/^\S.*\.$/)
        expect(text).not.toContain('undefined')
      }
    }
    expect(Object.keys(causeWords).length).toBeGreaterThanOrEqual(40)
  })
  it('a lock that lets go without volts is not searched for a cut cable that keeps it shut, nor the other way round', () => {
    const has = (subject: keyof typeof knowledge, id: CauseId) => id in knowledge[subject].causes
    expect([has('leafStaysSafe', 'lockCut'), has('leafStaysSecure', 'lockCut')]).toEqual([false, true])
    expect([has('leafStaysSafe', 'lockBridged'), has('leafStaysSecure', 'lockBridged')]).toEqual([true, false])
    expect([has('leafGivesSafe', 'feedOff'), has('leafGivesSecure', 'feedOff')]).toEqual([true, false])
  })
})
