import fc from 'fast-check'
import { isSettled, nextLook, sharesAfter, type Looks, type Weights } from '../src/diagnosis/reasoning'

const ids = ['a', 'b', 'c', 'd', 'e', 'f']
/** Every way to part the causes in two, each at a minute. */
function everySplit(causes: readonly string[]): Looks {
  const looks: Record<string, Looks[string]> = {}
  for (let mask = 1; mask < 2 ** causes.length - 1; mask++) {
    const side = (one: boolean): Weights =>
      Object.fromEntries(causes.filter((_, i) => ((mask >> i) & 1) === (one ? 1 : 0)).map((id) => [id, 1]))
    looks[`s${mask}`] = { minutes: 1, answers: { yes: side(true), no: side(false) } }
  }
  return looks
}
/** Mean length of Huffman’s code: the two least are joined again and again (Huffman 1952, by the construction itself). */
function huffmanMean(weights: readonly number[]): number {
  const heap = [...weights]
  let mean = 0
  while (heap.length > 1) {
    heap.sort((x, y) => x - y)
    const joined = (heap.shift() as number) + (heap.shift() as number)
    mean += joined
    heap.push(joined)
  }
  return mean
}
const total = (weights: Weights) => Object.values(weights).reduce((all, w) => all + w, 0)

/** Minutes until it is settled where this cause is the one, looking as it is advised. */
function walk(weights: Weights, looks: Looks, truth: string): { minutes: number; ends: Weights; excluded: boolean } {
  const answers: Record<string, string> = {}
  let minutes = 0
  let excluded = false
  for (;;) {
    const shares = sharesAfter(weights, looks, answers)
    excluded ||= !(truth in shares)
    const next = nextLook(shares, looks, Object.keys(answers))
    if (!next) return { minutes, ends: shares, excluded }
    const look = looks[next.look]
    minutes += look?.minutes ?? 0
    answers[next.look] = Object.entries(look?.answers ?? {}).find(([, fits]) => fits[truth])?.[0] ?? ''
  }
}

const someLooks = (causes: readonly string[]) =>
  fc.array(
    fc.record({
      minutes: fc.integer({ min: 1, max: 9 }),
      side: fc.array(fc.boolean(), { minLength: causes.length, maxLength: causes.length }),
    }),
    { minLength: 1, maxLength: 6 },
  )
const looksFrom = (causes: readonly string[], made: readonly { minutes: number; side: boolean[] }[]): Looks =>
  Object.fromEntries(
    made.map(({ minutes, side }, k) => [
      `look${k}`,
      {
        minutes,
        answers: {
          yes: Object.fromEntries(causes.filter((_, i) => side[i]).map((id) => [id, 1])),
          no: Object.fromEntries(causes.filter((_, i) => !side[i]).map((id) => [id, 1])),
        },
      },
    ]),
  )

describe('what to look at next', () => {
  // Where every question can be asked at one price, the least mean is that of Huffman’s code. Weights stay under the share that settles.
  it('where every split can be asked, it takes no longer than Huffman’s code, and no less', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 40 }), { minLength: 2, maxLength: 5 }), (each) => {
        const causes = ids.slice(0, each.length)
        const all = each.reduce((a, b) => a + b, 0)
        const shares = Object.fromEntries(causes.map((id, i) => [id, (each[i] ?? 0) / all]))
        const mean = nextLook(shares, everySplit(causes))?.minutes ?? 0
        expect(mean).toBeCloseTo(huffmanMean(Object.values(shares)), 9)
      }),
      { numRuns: 30 },
    ))

  it('the minutes that it expects are those that the walks take, each as often as its cause', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 5 }).chain((each) => {
          const causes = ids.slice(0, each.length)
          return fc.record({ each: fc.constant(each), made: someLooks(causes) })
        }),
        ({ each, made }) => {
          const causes = ids.slice(0, each.length)
          const looks = looksFrom(causes, made)
          const weights = Object.fromEntries(causes.map((id, i) => [id, each[i] ?? 1]))
          const shares = sharesAfter(weights, looks, {})
          const expected = nextLook(shares, looks)?.minutes ?? 0
          const walks = causes.map((id) => (shares[id] ?? 0) * walk(weights, looks, id).minutes)
          expect(walks.reduce((a, b) => a + b, 0)).toBeCloseTo(expected, 9)
          // And the one that is behind it is never excluded.
          for (const id of causes) expect(walk(weights, looks, id).excluded).toBe(false)
        },
      ),
      { numRuns: 100 },
    ))

  it('no other first look would take less time, whichever one it is', () =>
    fc.assert(
      fc.property(someLooks(ids.slice(0, 4)), (made) => {
        const causes = ids.slice(0, 4)
        const looks = looksFrom(causes, made)
        const shares = sharesAfter({ a: 4, b: 3, c: 2, d: 1 }, looks, {})
        const best = nextLook(shares, looks)
        for (const [id, look] of Object.entries(looks)) {
          if (!best) break
          const branches = Object.keys(look.answers).map((answer) => {
            const after = sharesAfter(shares, looks, { [id]: answer })
            const chance = total(Object.fromEntries(Object.entries(shares).filter(([c]) => look.answers[answer]?.[c])))
            return chance * (nextLook(after, looks, [id])?.minutes ?? 0)
          })
          const halves = Object.values(look.answers).every((fits) => Object.keys(shares).some((c) => fits[c]))
          if (halves)
            expect(look.minutes + branches.reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(best.minutes - 1e-9)
        }
      }),
      { numRuns: 60 },
    ))

  it('by hand: a short look that parts the likely ones comes before a long one that parts all', () => {
    const looks: Looks = {
      lamp: { minutes: 0.2, answers: { lit: { a: 1, b: 1 }, dark: { c: 1 } } },
      ladder: { minutes: 10, answers: { one: { a: 1 }, two: { b: 1 }, three: { c: 1 } } },
      meter: { minutes: 2, answers: { there: { b: 1, c: 1 }, gone: { a: 1 } } },
    }
    // 0.2 minutes, and in two of three cases 2 more: 0.2 + 2/3 · 2.
    expect(nextLook(sharesAfter({ a: 1, b: 1, c: 1 }, looks, {}), looks)).toEqual({
      look: 'lamp',
      minutes: expect.closeTo(0.2 + 4 / 3, 9) as number,
    })
  })

  it('where nothing that is left tells the causes apart, nothing is asked', () => {
    const looks: Looks = {
      both: { minutes: 1, answers: { yes: { a: 1, b: 1 }, no: { c: 1 } } },
      half: { minutes: 1, answers: { yes: { a: 1, b: 1 }, no: { a: 1, b: 1 } } },
    }
    expect(nextLook(sharesAfter({ a: 1, b: 1 }, looks, {}), looks)).toBeNull()
    expect(nextLook(sharesAfter({ a: 1, b: 1, c: 1 }, looks, {}), looks)).toEqual({ look: 'both', minutes: 1 })
  })

  it('an answer that goes with two causes unequally leaves both, by how well', () => {
    const looks: Looks = { tape: { minutes: 0, answers: { seen: { a: 1, b: 0.1 }, none: { b: 0.9 } } } }
    expect(sharesAfter({ a: 1, b: 1 }, looks, { tape: 'seen' })).toEqual({
      a: expect.closeTo(1 / 1.1, 9) as number,
      b: expect.closeTo(0.1 / 1.1, 9) as number,
    })
    expect(sharesAfter({ a: 1, b: 1 }, looks, { tape: 'none' })).toEqual({ b: 1 })
  })

  it('answers that exclude everything leave nothing, and nothing is asked for any more; strangers’ answers say nothing', () => {
    const looks: Looks = {
      one: { minutes: 1, answers: { yes: { a: 1 }, no: { b: 1 } } },
      two: { minutes: 1, answers: { yes: { a: 1 }, no: { b: 1 } } },
    }
    const none = sharesAfter({ a: 1, b: 1 }, looks, { one: 'yes', two: 'no' })
    expect(none).toEqual({})
    expect([isSettled(none), nextLook(none, looks, ['one', 'two'])]).toEqual([false, null])
    expect(sharesAfter({ a: 3, b: 1 }, looks, { other: 'yes', constructor: 'no' })).toEqual({ a: 0.75, b: 0.25 })
    // An answer that a look does not have goes with no cause.
    expect(sharesAfter({ a: 3, b: 1 }, looks, { one: 'toString' })).toEqual({})
  })
})
