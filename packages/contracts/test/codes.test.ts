import fc from 'fast-check'
import {
  arrivalsOf,
  behaviourFindings,
  blockerOf,
  codeFault,
  codesOf,
  decide,
  difference,
  marksOf,
  newCode,
  scriptFor,
  touching,
  twoSided,
  testDigest,
  type Behaviour,
  type CodeAsked,
  type DeviceEvent,
  type Test,
} from '@rauta/core'
import { Refusal } from '../src'
import { event, judged, sheets, smallJob, strikeHardware, type World } from './world'

const kitCodes = { good: '7391', duress: '7394', unknown: '5183' }
const entryFor: Record<CodeAsked, string> = {
  with: 'reader-card-keypad',
  instead: 'reader-card-keypad',
  alone: 'reader-keypad',
}

/** A door that asks for a code, on a controller that knows codes, with test codes and a person of code 40962. */
function job(
  code: CodeAsked | undefined,
  over: Partial<Behaviour> = {},
  entryReader = entryFor[code ?? 'with'],
): World {
  const w = smallJob({ ...strikeHardware, entryReader, exit: 'button-exit' })
  w.do('controller.put', { ...w.facts.controller['a1'], sheet: 'controller-4' })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a1' })
  w.do('testCards.put', { ...w.facts.testCards['kit'], codes: kitCodes })
  const { code: _none, ...plain } = w.door().behaviour
  w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...plain, ...(code ? { code } : {}), ...over } } })
  w.do('person.put', { ...somebody(w), code: '40962', duress: '40968' })
  return w
}
const somebody = (w: World) => {
  const found = Object.values(w.facts.person)[0]
  if (!found) throw new Error('nobody')
  const { past: _past, ...person } = found
  return person
}
const script = (w: World) => scriptFor(w.facts, w.door(), sheets)
const codeTestsOf = (w: World) =>
  script(w)
    .filter((t) => t.id.startsWith('code-'))
    .map((t) => t.id)
const stops = (w: World) =>
  marksOf(w.facts, w.door(), sheets)
    .load.findings.filter((f) => f.grade === 'stop')
    .map((f) => f.rule)
const refusalOf = (then: () => unknown): Refusal => {
  try {
    then()
  } catch (error) {
    if (error instanceof Refusal) return error
    throw error
  }
  throw new Error('not refused')
}

describe('a code', () => {
  it.each([
    '1111',
    '0000',
    '1234',
    '7890',
    '9012',
    '4321',
    '2109',
    '99999999',
    '123',
    '123456789',
    '12a4',
    '',
    ' 739',
    '١٢٣٥',
  ])('“%s” is none', (code) => expect(codeFault(code)).not.toBeNull())
  it.each(['7391', '1235', '1122', '1212', '00001', '90123457'])('“%s” is one', (code) =>
    expect(codeFault(code)).toBeNull(),
  )
  it('is drawn so that nobody has it, it is sound, and it has as many digits as asked for', () => {
    const w = job('with')
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 8 }),
        fc.infiniteStream(fc.integer({ min: 0, max: 9 })),
        (digits, stream) => {
          let left = 400
          const code = newCode(w.facts, digits, () =>
            left-- > 0 ? (stream.next().value as number) : ([7, 3, 5][left & 1] ?? 2),
          )
          expect([code.length, codeFault(code)]).toEqual([digits, null])
          expect(codesOf(w.facts).map((c) => c.code)).not.toContain(code)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('stands once in the job, whoever has it and whether it is under duress; each refusal names its field', () => {
    const w = job('with')
    const put = (over: object) => () =>
      w.do('person.put', { id: 'p9', number: '9', name: 'Nine', cards: [], groups: [], ...over })
    expect(refusalOf(put({ code: '40962' }))).toMatchObject({
      field: 'code',
      message: expect.stringMatching(/is the code of /) as string,
    })
    expect(refusalOf(put({ code: '40968' }))).toMatchObject({
      field: 'code',
      message: expect.stringMatching(/under duress/) as string,
    })
    expect(refusalOf(put({ code: '5183' }))).toMatchObject({
      field: 'code',
      message: expect.stringMatching(/test cards/) as string,
    })
    expect(refusalOf(put({ code: '5555' }))).toMatchObject({ field: 'code' })
    expect(refusalOf(put({ duress: '8261' }))).toMatchObject({
      field: 'duress',
      message: expect.stringMatching(/Give a code first/) as string,
    })
    expect(refusalOf(put({ code: '8261', duress: '8261' }))).toMatchObject({
      field: 'duress',
      message: expect.stringMatching(/same person/) as string,
    })
    expect(refusalOf(put({ code: '8261', duress: '7394' }))).toMatchObject({ field: 'duress' })
    put({ code: '8261', duress: '8264' })()
    expect(w.facts.person['p9']).toMatchObject({ code: '8261', duress: '8264' })
    put({ code: '8261' })()
    expect(w.facts.person['p9']).not.toHaveProperty('duress')
    const kit = w.facts.testCards['kit']
    expect(refusalOf(() => w.do('testCards.put', { ...kit, codes: { ...kitCodes, unknown: '8261' } }))).toMatchObject({
      field: 'codes.unknown',
    })
    expect(refusalOf(() => w.do('testCards.put', { ...kit, codes: { ...kitCodes, duress: '7391' } }))).toMatchObject({
      field: 'codes.duress',
    })
  })
})

describe('a door that asks for a code', () => {
  it('tells its controller of codes, and of none that no door of it asks for', () => {
    const person = somebody(job(undefined)).id
    const card = somebody(job(undefined)).cards[0]?.id ?? ''
    const told = (code: CodeAsked | undefined) => {
      const wanted = job(code).wanted()
      return {
        asked: wanted['behaviour/D-01'] ?? null,
        card: wanted[`credential/${card}`],
        alone: wanted[`credential/code.${person}`] ?? null,
        kit: wanted['test/credential/rauta-code'] ?? null,
      }
    }
    expect(JSON.stringify(job(undefined).wanted())).not.toMatch(/40962|7391/)
    const withCard = told('with')
    expect(withCard).toMatchObject({
      asked: { code: 'with' },
      card: { code: '40962', duress: '40968' },
      alone: null,
      kit: null,
    })
    for (const code of ['instead', 'alone'] as const) {
      const found = told(code)
      expect(found).toMatchObject({
        asked: { code },
        alone: { format: 'code', code: '40962', duress: '40968', profiles: ['g'], enabled: true },
        kit: { code: '7391', duress: '7394' },
      })
      expect(found.card).not.toHaveProperty('code')
    }
    for (const code of ['with', 'instead', 'alone'] as const)
      expect(JSON.stringify(job(code).wanted())).not.toContain('5183')
  })

  it('has a test for all that it asks, and says at the keypad what is to be entered', () => {
    expect(codeTestsOf(job(undefined))).toEqual([])
    expect(codeTestsOf(job('with'))).toEqual(['code-missing', 'code-wrong', 'code-duress'])
    expect(codeTestsOf(job('instead'))).toEqual(['code-alone', 'code-unknown', 'code-duress'])
    expect(codeTestsOf(job('alone'))).toEqual(['code-unknown', 'code-duress'])
    for (const code of ['with', 'instead', 'alone'] as const) expect([code, stops(job(code))]).toEqual([code, []])
    const good = (code: CodeAsked | undefined) => script(job(code)).find((t) => t.id === 'good-card')?.instruction
    expect(good('with')).toMatch(/^Present card .* at R1 and enter 7391 and #, open/)
    expect(good('instead')).toMatch(/^Present card [^#]*, open/)
    expect(good('alone')).toMatch(/^Enter 7391 and # at R1, open/)
  })

  it('what was proved at its way in counts no more once it asks otherwise', () => {
    const digests = (code: CodeAsked | undefined) => {
      const w = job(code, {}, 'reader-card-keypad')
      return Object.fromEntries(script(w).map((t) => [t.id, testDigest(w.facts, w.door(), t, w.wanted())]))
    }
    const [none, asked, instead] = [digests(undefined), digests('with'), digests('instead')]
    for (const id of ['reader-R1', 'good-card', 'lost-card', 'held-open'])
      expect([id, new Set([none[id], asked[id], instead[id]]).size]).toEqual([id, 3])
    expect(new Set([none['exit-button'], asked['exit-button'], instead['exit-button']]).size).toBe(1)
  })

  it.each([
    ['with', {}, 'reader-wall', 'code-no-keys'],
    ['instead', {}, 'reader-wall', 'code-no-keys'],
    ['alone', {}, 'reader-card-keypad', 'code-card-unasked'],
    ['with', {}, 'reader-keypad', 'code-cardless-reader'],
    ['instead', {}, 'reader-keypad', ''],
    [undefined, {}, 'reader-keypad', 'code-not-asked'],
    [undefined, {}, 'reader-card-keypad', ''],
    ['alone', { pairWithinS: 8 }, 'reader-keypad', 'code-alone-pair'],
  ] as const)('asked %s with %j of %s: %s', (code, over, entry, rule) => {
    const found = stops(job(code, over, entry)).filter((r) => r.startsWith('code'))
    expect(found).toEqual(rule ? [rule] : [])
  })

  it('stops where a second reader has no keys, and goes with that reader', () => {
    const w = job('with')
    const entry = w.door().parts.find((part) => part.role === 'entryReader')
    if (!entry) throw new Error('no entry reader')
    const both = { ...w.door(), parts: [...w.door().parts, { ...entry, id: 'R9', sheet: 'reader-wall' }] }
    const found = behaviourFindings(w.facts, both, sheets).filter((f) => f.rule.startsWith('code'))
    expect(found).toMatchObject([{ rule: 'code-keyless-reader', grade: 'stop', at: 'R9' }])
  })

  it('no code stands in what Load would send, in words', () => {
    const w = job('with')
    const before = w.wanted()
    w.do('person.put', { ...somebody(w), code: '51840', duress: '51847' })
    const lines = twoSided(difference(before, w.wanted()), w.facts)
    expect(lines.map((l) => l.what.split(': ')[1])).toEqual(['Code', 'Code under duress'])
    expect(JSON.stringify(lines)).not.toMatch(/40962|40968|51840|51847/)
    const alone = job('alone')
    expect(JSON.stringify(twoSided(difference({}, alone.wanted()), alone.facts))).not.toMatch(/40962|40968|7391|7394/)
  })

  it('is stopped on a controller that knows no codes, which is told of none', () => {
    const w = job('with')
    w.do('controller.put', { ...w.facts.controller['a1'], sheet: 'controller-2' })
    expect(stops(w)).toContain('not-kept')
    expect(JSON.stringify(w.wanted())).not.toMatch(/40962|7391/)
  })

  it('says who passes it, and who cannot for want of a code', () => {
    const at = Date.parse('2027-01-04T10:00:00+02:00')
    const of = (w: World) => decide(w.facts, somebody(w), w.door(), at)
    const without = (w: World, over: object = {}) => {
      const { code: _c, duress: _d, ...rest } = somebody(w)
      w.do('person.put', { ...rest, ...over })
      return w
    }
    for (const code of ['with', 'instead', 'alone'] as const) expect([code, of(job(code)).passes]).toEqual([code, true])
    expect(of(job('with')).says).toMatch(/Only with their code besides/)
    expect(of(without(job('with')))).toMatchObject({ passes: false, reason: 'no code' })
    expect(of(without(job('alone')))).toMatchObject({ passes: false, reason: 'no code' })
    expect(of(without(job('instead')))).toMatchObject({ passes: true })
    const lost = (code: CodeAsked) => {
      const w = job(code)
      w.do('person.put', { ...somebody(w), cards: somebody(w).cards.map((c) => ({ ...c, state: 'lost' as const })) })
      return of(w)
    }
    expect(lost('with')).toMatchObject({ passes: false, reason: 'card lost' })
    expect(lost('instead').passes).toBe(true)
    expect(lost('alone').passes).toBe(true)
    const arrival = (w: World) =>
      arrivalsOf(
        w.facts,
        somebody(w),
        sheets,
        () => ({ held: {}, wanted: {}, known: true, differences: () => [] }) as never,
        at,
      )[0]
    expect(arrival(without(job('with')))).toMatchObject({
      code: 'noCode',
      says: 'D-01 asks for a code, and they have none.',
    })
    expect(arrival(job('with'))?.code).toBe('arrived')
    expect(arrival(job('alone'))?.code).toBe('arrived')
    const cardless = without(job('alone'), { cards: [] })
    expect(blockerOf(cardless.facts, somebody(cardless), at)?.code).toBe('noCard')
    cardless.do('person.put', { ...somebody(cardless), code: '40962' })
    expect(blockerOf(cardless.facts, somebody(cardless), at)).toBeNull()
  })

  it('a code that changes is of the doors that ask for it, and of no other door of its holder', () => {
    const w = smallJob({ ...strikeHardware, entryReader: 'reader-card-keypad', exit: 'button-exit' })
    w.do('controller.put', { ...w.facts.controller['a1'], sheet: 'controller-4' })
    const asks: Record<string, CodeAsked | undefined> = { 'D-01': 'with', 'D-02': 'instead', 'D-03': undefined }
    for (const [id, code] of Object.entries(asks)) {
      const { id: _id, placement: _p, ...door } = w.door('D-01')
      const hardware = { ...strikeHardware, entryReader: 'reader-card-keypad', exit: 'button-exit' }
      const { code: _c, ...behaviour } = door.behaviour
      const fields = { hardware, behaviour: { ...behaviour, ...(code ? { code } : {}) } }
      if (id === 'D-01') w.do('door.edit', { id, fields })
      else w.do('door.add', { id, fields: { ref: id, name: id, from: door.from, to: door.to, ...fields } })
      w.do('door.placeProposed', { id, controller: 'a1' })
    }
    w.do('rule.put', { id: 'every', group: 'g', doors: Object.keys(asks), schedule: 'day' })
    const person = somebody(w).id
    const card = somebody(w).cards[0]?.id ?? ''
    w.do('person.put', { ...somebody(w), code: '40962' })
    const held = w.wanted()
    const touched = (over: object) => {
      const before = somebody(w)
      w.do('person.put', { ...before, ...over })
      const wanted = w.wanted()
      const differing = [`credential/${card}`, `credential/code.${person}`]
        .map((key) => ({ key, held: held[key], wanted: wanted[key] }))
        .filter((c) => JSON.stringify(c.held) !== JSON.stringify(c.wanted))
      w.do('person.put', before)
      return Object.keys(asks).map((id) => touching(differing, id, held, wanted).map((d) => d.key.split('/')[1]))
    }
    expect(touched({ code: '51840' })).toEqual([[card], [`code.${person}`], []])
    expect(touched({ duress: '51840' })).toEqual([[card], [`code.${person}`], []])
    expect(touched({ longer: true })).toEqual([[card], [card, `code.${person}`], [card]])
  })

  it('nothing proves a code where the test cards have none, and that is said', () => {
    const w = job('with')
    const { codes: _codes, ...kit } = w.facts.testCards['kit'] ?? { id: 'kit' as const }
    w.do('testCards.put', kit)
    expect(marksOf(w.facts, w.door(), sheets).plan.findings.map((f) => f.rule)).toContain('kit-codes')
    expect(script(w).find((t) => t.id === 'good-card')?.instruction).toMatch(/enter its code/)
  })
})

describe('the verdict on a code under duress', () => {
  const t0 = Date.parse('2026-11-24T09:00:00Z')
  const verdict = (test: Test, events: DeviceEvent[]) => judged(test, t0, events).state
  const duress = (w: World) => script(w).find((t) => t.id === 'code-duress') as Test
  const granted = (card: string) => event(t0, 1, 'granted', 'granted', { card })
  const told = event(t0, 2, 'notice', 'duress', { reader: 'R1' })
  it('is given once it was let in and told, and not for an alarm that others hear', () => {
    const w = job('with')
    const test = duress(w)
    const { card } = test.judge as { card: string }
    expect(verdict(test, [granted(card)])).toBe('waiting')
    expect(verdict(test, [granted(card), told])).toBe('passed')
    expect(verdict(test, [granted(card), told, event(t0, 3, 'alarm', 'forced')])).toBe('failed')
    expect(verdict(test, [event(t0, 1, 'refused', 'wrongCode', { card })])).toBe('failed')
  })
  it('is never given from what was heard before the test began, however near', () => {
    const w = job('with')
    const { card } = duress(w).judge as { card: string }
    const before = { ...event(t0, -0.2, 'refused', 'noCode', { card }), received: t0 - 100 }
    expect(verdict(duress(w), [before])).toBe('waiting')
    expect(verdict(duress(w), [before, granted(card), told])).toBe('passed')
    const near = { ...event(t0, -0.2, 'granted', 'granted', { card }), received: t0 + 10 }
    expect(verdict(duress(w), [near, told])).toBe('passed')
  })
  it('of a code that nobody has is not disturbed by one that is tried at another keypad', () => {
    const w = job('alone')
    const test = script(w).find((t) => t.id === 'code-unknown') as Test
    const tried = (door: string) => event(t0, 1, 'refused', 'unknownCode', { card: 'code:', door })
    expect(verdict(test, [tried('D-09')])).toBe('waiting')
    expect(verdict(test, [tried('D-09'), tried('D-01')])).toBe('passed')
  })
  it('is of the test code alone where a code comes alone', () => {
    const w = job('alone')
    expect(verdict(duress(w), [granted('code:rauta-code'), told])).toBe('passed')
    expect(verdict(duress(w), [granted('code:code.p1'), told])).toBe('waiting')
  })
})
