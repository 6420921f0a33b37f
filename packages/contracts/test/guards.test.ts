import {
  checkOff,
  expectedReading,
  marksOf,
  plannedOf,
  releaseOf,
  scriptFor,
  standings,
  stateOf,
  supplyReport,
  testDigest,
  defaultPowerPlan,
  signBasis,
  type Controller,
  type Door,
  type Proof,
} from '@rauta/core'
import { proofChanges } from '../src'
import { magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

/** Rules on which somebody's way out or somebody's signature hangs: each was once turned round and nothing failed. */

const marks = (w: World) => marksOf(w.facts, w.door(), sheets)
const controller = (w: World) => w.facts.controller['a1'] as Controller
const test = (w: World, id: string) =>
  scriptFor(w.facts, w.door(), sheets).find((t) => t.id === id) as ReturnType<typeof scriptFor>[number]
const standing =
  (w: World, wanted = w.wanted(), held = w.held()) =>
  (id: string) =>
    standings(w.facts, w.door(), sheets, wanted, held).find((s) => s.test.id === id)?.state

/** Everything measured and ticked, but for what `except` says. */
function wired(w: World, except: { cable?: string; what?: string } = {}): void {
  for (const c of w.door().cables) {
    for (const what of ['pulled', 'ended', 'tested'])
      if (!(c.id === except.cable && what === except.what))
        w.do('tick.set', { door: 'D-01', cable: c.id, what, done: true })
    const kinds = c.part === 'K1' ? (['loop', 'voltsRest', 'voltsDriven'] as const) : (['loop'] as const)
    for (const kind of kinds)
      w.do('reading.add', {
        id: `${c.id}${kind}`,
        door: 'D-01',
        cable: c.id,
        kind,
        value: expectedReading(w.door(), c.id, kind, plannedOf(w.facts, sheets))?.value,
      })
  }
  for (const item of checkOff(controller(w), w.facts, sheets))
    w.do('cabinet.check', { controller: 'a1', item: item.id, done: true })
}
const prove = (w: World, id: string, proof: string, at = w.now) =>
  w.take(
    proofChanges(
      w.facts,
      w.door(),
      id,
      { verdict: 'passed', says: '', evidence: [] },
      { id: proof, by: 'v', role: 'engineer', at, sheets },
    ),
  )

describe('Wire', () => {
  it.each([
    ['pulled', 'pulled'],
    ['ended', 'terminated'],
    ['tested', 'tested'],
  ])('is not given while one cable is not %s', (what, word) => {
    const w = smallJob()
    const cable = w.door().cables[0]?.id ?? ''
    wired(w, { cable, what })
    expect(marks(w).wire).toMatchObject({
      sign: 'underWay',
      says: expect.stringContaining(`${cable} to R1 is still to be ${word}`) as string,
    })
    w.do('tick.set', { door: 'D-01', cable, what, done: true })
    expect(marks(w).wire.sign).toBe('given')
  })
  it('is not given while one reading that it asks for is missing', () => {
    const w = smallJob()
    wired(w)
    expect(marks(w).wire.sign).toBe('given')
    for (const reading of Object.values(w.facts.reading)) {
      const { [reading.id]: _gone, ...rest } = w.facts.reading
      const without = { ...w.facts, reading: rest }
      expect([reading.id, marksOf(without, w.door(), sheets).wire.sign]).toEqual([reading.id, 'underWay'])
    }
  })
  it('is not given while one item of its cabinet is not checked off', () => {
    const w = smallJob()
    wired(w)
    w.do('cabinet.check', { controller: 'a1', item: 'earth', done: false })
    expect(marks(w).wire).toMatchObject({
      sign: 'underWay',
      says: expect.stringContaining('still to check off') as string,
    })
  })
})

describe('a proof counts', () => {
  /** A job whose release time was changed after it was loaded: wanted and held differ in it. */
  function unsent(): World {
    const w = smallJob()
    w.reached()
    w.loaded()
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 8 } } })
    return w
  }
  const proofOf = (w: World, digest: string): Proof => ({
    id: 'p',
    door: 'D-01',
    test: 'release-time',
    verdict: 'passed',
    says: '',
    digest,
    evidence: [],
    by: 'v',
    at: 1,
  })

  it('only where it proved both what is wanted and what is held', () => {
    const w = unsent()
    const held = w.held()
    for (const config of [w.wanted(), held]) {
      w.put('proof', proofOf(w, testDigest(w.facts, w.door(), test(w, 'release-time'), config)))
      expect(standing(w)('release-time')).toBe('stale')
    }
    w.loaded()
    w.put('proof', proofOf(w, testDigest(w.facts, w.door(), test(w, 'release-time'), w.wanted())))
    expect(standing(w)('release-time')).toBe('passed')
  })
  it('and falls when a wired point that it stands on moves to another port', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    for (const t of scriptFor(w.facts, w.door(), sheets)) if (!t.notApplicable) prove(w, t.id, `p-${t.id}`)
    expect(marks(w).prove.sign).toBe('given')
    const terminals = { ...w.door().placement?.terminals }
    const [contact = '', button = ''] = [terminals['C1.a'], terminals['X1.a']]
    w.put('door', {
      ...w.door(),
      placement: {
        ...(w.door().placement as NonNullable<Door['placement']>),
        terminals: { ...terminals, 'C1.a': button, 'X1.a': contact },
      },
    })
    expect(standing(w)('exit-button')).toBe('stale')
    expect(standing(w)('good-card')).toBe('stale')
    expect(standing(w)('unknown-card')).toBe('passed')
  })
})

describe('a signature', () => {
  it('stands only on the proofs and readings that it was given on', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    wired(w)
    for (const t of scriptFor(w.facts, w.door(), sheets)) if (!t.notApplicable) prove(w, t.id, `p-${t.id}`)
    const tests = () => standings(w.facts, w.door(), sheets, w.wanted(), w.held())
    const basis = signBasis(w.facts, w.door(), tests())
    for (const role of ['engineer', 'witness'] as const)
      w.put('signature', { id: role, door: 'D-01', role, name: role, stroke: '', head: '', basis, snags: [], at: 1 })
    expect(marks(w).sign.sign).toBe('given')
    // The same test passed once more is another proof than the one that was signed.
    prove(w, 'holds', 'p-holds-again', w.now + 1000)
    expect(marks(w).prove.sign).toBe('given')
    expect(marks(w).sign).toMatchObject({ sign: 'stale', says: 'Proofs are newer than the signature. Sign again.' })
  })
  it('is neither given nor kept while the plan is stopped, whatever is wired and proved', () => {
    const w = smallJob({ ...strikeHardware, exit: 'button-exit' }, { handle: true })
    w.reached()
    w.loaded()
    wired(w)
    const proveAll = () => {
      for (const t of scriptFor(w.facts, w.door(), sheets)) if (!t.notApplicable) prove(w, t.id, `p-${t.id}`)
    }
    proveAll()
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    w.do('door.edit', { id: 'D-01', fields: { escapeRoute: true, handle: false } })
    expect([marks(w).plan.sign, marks(w).wire.sign, marks(w).prove.sign]).toEqual(['stopped', 'given', 'given'])
    const tests = standings(w.facts, w.door(), sheets, w.wanted(), w.held())
    for (const role of ['engineer', 'witness'] as const)
      w.put('signature', {
        id: role,
        door: 'D-01',
        role,
        name: role,
        stroke: '',
        head: '',
        basis: signBasis(w.facts, w.door(), tests),
        snags: [],
        at: 1,
      })
    expect(marks(w).sign.sign).toBe('stale')
    const sign = () =>
      w.do('sign', {
        id: 's',
        door: 'D-01',
        as: 'engineer',
        name: 'x',
        stroke: 'M10 10 L20 20 L30 10',
        head: 'f'.repeat(64),
      })
    expect(sign).toThrow('D-01 cannot be signed: On an escape route')
  })
})

describe('Load', () => {
  it('wants a rule for this door, not for another', () => {
    const w = smallJob()
    w.reached()
    w.do('door.add', {
      id: 'D-02',
      fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: strikeHardware },
    })
    w.do('rule.put', { id: 'r', group: 'g', doors: ['D-02'], schedule: 'day' })
    w.loaded()
    expect(marks(w).load).toMatchObject({
      sign: 'todo',
      says: expect.stringContaining('No rule means refused') as string,
    })
  })
  it('does not fall when only the test cards are not held', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    const kept = Object.entries(w.held()).filter(([key]) => !key.startsWith('test/'))
    w.holds(Object.fromEntries(kept))
    expect(marks(w).load.sign).toBe('given')
  })
})

describe('a door that stands open or locked because somebody told it', () => {
  it('is neither tested nor signed until it is back', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    wired(w)
    for (const t of scriptFor(w.facts, w.door(), sheets)) if (!t.notApplicable) prove(w, t.id, `p-${t.id}`)
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    w.put('doorMode', { id: 'D-01', mode: 'heldOpen', by: 'vesa', reason: 'benches', at: w.now })
    expect(() => w.do('trial.start', { door: 'D-01', test: 'exit-button' })).toThrow('D-01 stands held open')
    const sign = {
      id: 's',
      door: 'D-01',
      as: 'engineer',
      name: 'x',
      stroke: 'M10 10 L20 20 L30 10',
      head: 'f'.repeat(64),
    }
    expect(() => w.do('sign', sign)).toThrow('D-01 stands held open')
  })
})

describe('a test', () => {
  it('is not begun while its cards are not held', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    const { 'test/credential/rauta-lost': _gone, ...rest } = w.held()
    w.holds(rest)
    expect(() => w.do('trial.start', { door: 'D-01', test: 'good-card' })).toThrow('does not hold the test cards yet')
    // What asks for no card does not wait for them.
    w.do('trial.start', { door: 'D-01', test: 'exit-button' })
    expect(w.facts.trial['D-01']?.test).toBe('exit-button')
  })
})

describe('a supervised input', () => {
  const ohms = { shortBelow: 500, closedBelow: 1700, cutAbove: 6000 }
  it.each([
    [0, 'short'],
    [499, 'short'],
    [500, 'closed'],
    [1699, 'closed'],
    [1700, 'open'],
    [6000, 'open'],
    [6001, 'cut'],
    [Infinity, 'cut'],
  ] as const)('takes %s Ω for %s', (ohm, state) => {
    expect(stateOf(ohm, ohms)).toBe(state)
  })
})

describe('on battery and in a fire', () => {
  const moved = (hardware: Record<string, string>) => {
    const w = smallJob(hardware, { handle: true })
    const report = (movements: number) =>
      supplyReport(controller(w), [w.door()], sheets, { ...defaultPowerPlan('a1'), movements }).battery?.need
        .arithmeticAh ?? 0
    return report(1000) - report(0)
  }
  it('only fail-secure locks take more when they move: a fail-safe one lets go', () => {
    expect(moved(strikeHardware)).toBeCloseTo((1000 * 0.4 * 5) / 3600, 6)
    expect(moved(magnetHardware)).toBe(0)
  })
  it('the fire relay frees what hangs on its supply, and never a wireless lock', () => {
    const fire = (w: World, id: string) =>
      releaseOf(w.door(), w.facts.controller[id], sheets, { ...defaultPowerPlan(id), fireRelay: true })?.find(
        (a) => a.case === 'fire',
      )
    expect(fire(smallJob(), 'a1')).toMatchObject({ in: 'free', out: 'free' })
    expect(fire(smallJob(strikeHardware, { handle: true }), 'a1')).toMatchObject({ in: 'shut', out: 'handle' })
    const w = smallJob({}, { handle: true })
    w.controller('a7', 'controller-radio')
    w.do('door.edit', { id: 'D-01', fields: { hardware: { lock: 'wireless-handle' } } })
    w.do('door.placeProposed', { id: 'D-01', controller: 'a7' })
    expect(fire(w, 'a7')).toMatchObject({
      in: 'works',
      out: 'works',
      says: expect.stringContaining('does not reach a wireless lock') as string,
    })
  })
})
