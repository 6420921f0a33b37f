import {
  all,
  expectedReading,
  judgeReading,
  loopOhm,
  plannedOf,
  readingsBesides,
  readingsFor,
  type Cause,
  type CableType,
  type ReadingKind,
  type ReadingVerdict,
} from '@rauta/core'
import fc from 'fast-check'
import { solveSpice } from '../../core/test/spice'
import { sheets, smallJob, strikeHardware, type World } from './world'

const doubled: CableType = { kind: 'iec', conductorClass: 2, mm2: 1, cores: 4, perConductor: 2 }
const lockCable = (w: World) => w.door().cables.find((c) => c.part === 'K1')?.id ?? ''
const judged = (
  w: World,
  kind: ReadingKind,
  value: number,
  cable = lockCable(w),
  more: { leadsOhm?: number } = {},
): ReadingVerdict => {
  const verdict = judgeReading(
    { id: 'r', door: 'D-01', cable, kind, value, by: 'Maija', at: w.now, ...more },
    w.door(),
    plannedOf(w.facts, sheets),
    all(w.facts, 'reading').filter((r) => r.cable === cable),
  )
  if (!verdict) throw new Error('nothing to judge by')
  return verdict
}
const rules = (causes: readonly Cause[]) => causes.map((c) => c.rule)
const withLock = (type: CableType, lengthM: number): World => {
  const w = smallJob(strikeHardware)
  w.do('cable.set', { door: 'D-01', cable: lockCable(w), type, lengthM })
  return w
}

describe('loop readings: what is behind one that is wrong', () => {
  // Worked by hand for 40 m of 1.0 mm² class 2 (18.1 ohm/km, IEC 60228 from memory), two cores a conductor: 0.724 ohm out and back.
  it('one core of a doubled conductor open: half of the way has twice the ohms, as ngspice has it', () => {
    const w = withLock(doubled, 40)
    expect(loopOhm(doubled, 40)).toBeCloseTo(0.724, 6)
    // Two cores of 0.724 ohm each side by side out, one back, 1 A through them.
    const spice = solveSpice('* one core open\nI1 0 far 1\nR1 far near 0.724\nR2 far near 0.724\nR3 near 0 0.724\n', [
      'far',
    ])
    expect(spice['far']).toBeCloseTo(1.086, 5)
    expect(judged(w, 'loop', 1.086 + 0.4).in).toBe(false)
    const verdict = judged(w, 'loop', 1.086 + 0.2, undefined, { leadsOhm: 0.2 })
    expect(verdict.value).toBeCloseTo(1.086, 9)
    expect(rules(verdict.causes)[0]).toBe('core')
    expect(verdict.causes[0]?.tell).toContain('Whole again it reads 0.72 Ω')
  })
  it('a whole pair missing doubles it', () => {
    expect(rules(judged(withLock(doubled, 40), 'loop', 1.448, undefined, { leadsOhm: 0 }).causes)[0]).toBe('pair')
  })
  it('thinner cable, copper-clad aluminium and the lock left on are told by their ohms', () => {
    const plain: CableType = { kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 }
    const w = withLock(plain, 100) // 3.62 ohm
    expect(rules(judged(w, 'loop', 4.9, undefined, { leadsOhm: 0 }).causes)[0]).toBe('thinner') // 0.75 mm²: 2 × 100 × 24.5 / 1000
    expect(rules(judged(w, 'loop', (3.62 * 100) / 63, undefined, { leadsOhm: 0 }).causes)[0]).toBe('clad')
    const lock = sheets['strike-secure']?.lock
    expect(rules(judged(w, 'loop', 3.62 + (lock?.nominalV ?? 0) / (lock?.pullA ?? 1)).causes)[0]).toBe('coil')
  })
  it('where nothing planned fits, says the length that would, or the joint, and what tells them apart', () => {
    const verdict = judged(
      withLock({ kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 }, 100),
      'loop',
      4.35,
      undefined,
      { leadsOhm: 0 },
    )
    expect(rules(verdict.causes)).toEqual(['length', 'joint'])
    expect(verdict.causes[0]?.says).toContain('120 m long, not 100 m')
    expect(verdict.causes[1]?.says).toContain('0.73 Ω')
    expect(new Set(verdict.causes.map((c) => c.tell)).size).toBe(2)
  })
  it('a reading inside has no cause, one outside always has one, and each names another reading to take', () => {
    const w = withLock({ kind: 'awg', gauge: 22, cores: 4 }, 35)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (value) => {
        const verdict = judged(w, 'loop', value)
        expect(verdict.causes.length > 0).toBe(!verdict.in)
        for (const cause of verdict.causes) {
          expect(cause.says).not.toBe('')
          expect(cause.tell).not.toBe('')
        }
      }),
    )
  })
})

describe('across a break glass', () => {
  const glassCable = (w: World) =>
    w.door().cables.find((c) => c.part === w.door().parts.find((p) => p.role === 'breakGlass')?.id)?.id ?? ''
  it('nothing while it is whole, the board’s volts once it is pressed in, as worked by hand', () => {
    const w = smallJob()
    expect(readingsBesides(w.door(), glassCable(w), sheets)).toEqual(['voltsRest', 'voltsPressed', 'insulation'])
    expect(judged(w, 'voltsRest', 0.05, glassCable(w)).in).toBe(true)
    // 13.6 V less what board and reader drop over the supply's 0.05 ohm with the lock let go: no lock current flows through the glass.
    const restA = (sheets['controller-2']?.restA ?? 0) + (sheets['reader-wall']?.restA ?? 0)
    expect(judged(w, 'voltsPressed', 13.5, glassCable(w)).expected.value).toBeCloseTo(13.6 - 0.05 * restA, 3)
    expect(judged(w, 'voltsPressed', 13.5, glassCable(w)).in).toBe(true)
  })
  it('a glass that is not set back, a joint, a path past it and a battery near its end are told apart', () => {
    const w = smallJob()
    expect(rules(judged(w, 'voltsRest', 13.4, glassCable(w)).causes)).toEqual(['notSet', 'joint'])
    expect(rules(judged(w, 'voltsRest', 0.8, glassCable(w)).causes)).toEqual(['joint', 'notSet'])
    expect(rules(judged(w, 'voltsPressed', 0.01, glassCable(w)).causes)).toEqual(['stuck', 'past', 'feed'])
    expect(rules(judged(w, 'voltsPressed', 10.6, glassCable(w)).causes)).toEqual(['battery', 'stuck'])
  })
  it('is asked for only where a lock hangs on it that lets go without power', () => {
    const w = smallJob({ ...strikeHardware, exit: 'button-exit', breakGlass: 'break-glass' })
    expect(readingsBesides(w.door(), glassCable(w), sheets)).toEqual(['insulation'])
  })
  it('with a conductor of the lock’s way open there is nothing to read when it is pressed', () => {
    const w = smallJob()
    const planned = plannedOf(w.facts, sheets)
    expect(expectedReading(w.door(), glassCable(w), 'voltsPressed', planned, false, new Set(['K1.minus']))?.value).toBe(
      expectedReading(w.door(), lockCable(w), 'voltsRest', planned, false, new Set(['K1.minus']))?.value,
    )
  })
})

describe('the meter’s leads', () => {
  it('are taken off the readings of that day and that person, and the raw value stays', () => {
    const w = smallJob()
    w.do('meter.zero', { ohm: 0.4 })
    w.do('reading.add', { id: 'a', door: 'D-01', cable: lockCable(w), kind: 'loop', value: 1.1 })
    expect(w.facts.reading['a']).toMatchObject({ value: 1.1, leadsOhm: 0.4 })
    w.do('reading.add', { id: 'b', door: 'D-01', cable: lockCable(w), kind: 'loop', value: 1.1 }, 'engineer', 'inka')
    expect(w.facts.reading['b']?.leadsOhm).toBeUndefined()
    w.now += 24 * 3600_000
    w.do('reading.add', { id: 'c', door: 'D-01', cable: lockCable(w), kind: 'loop', value: 1.1 })
    expect(w.facts.reading['c']?.leadsOhm).toBeUndefined()
    w.do('reading.add', { id: 'd', door: 'D-01', cable: lockCable(w), kind: 'voltsRest', value: 13 })
    expect(w.facts.reading['d']?.leadsOhm).toBeUndefined()
  })
  it('that are too much are refused with how to mend it', () => {
    expect(() => smallJob().do('meter.zero', { ohm: 6 })).toThrow('join their tips firmly')
  })
})

describe('volts, end resistors, insulation', () => {
  it('the window reaches from the supply as set to the supply on charge', () => {
    const expected = expectedReading(smallJob().door(), 'W2', 'voltsRest', plannedOf(smallJob().facts, sheets))
    // By hand: 40 m of copper in all is 1.448 ohm, coil 24 ohm, 13.6 V less 0.05 ohm × 0.9 A.
    expect(expected?.value).toBeCloseTo(((13.6 - 0.05 * (0.37 + 0.53)) * 24) / 25.448, 1)
    expect((expected?.to ?? 0) / (expected?.from ?? 1)).toBeGreaterThan(1.08)
  })
  it('swapped conductors, a dead feed and a supply on its battery are told apart', () => {
    const w = smallJob()
    expect(rules(judged(w, 'polarity', -12.5).causes)[0]).toBe('reversed')
    expect(rules(judged(w, 'voltsRest', 0).causes)[0]).toBe('feed')
    expect(rules(judged(w, 'voltsRest', (10.5 * 24) / 25.448).causes)[0]).toBe('battery')
    expect(rules(judged(smallJob(strikeHardware), 'voltsRest', 12).causes)[0]).toBe('fed')
  })
  it('a good loop reading takes the blame off the cable', () => {
    const w = smallJob()
    expect(rules(judged(w, 'voltsRest', 11.3).causes)[0]).toBe('copper')
    w.do('reading.add', { id: 'l', door: 'D-01', cable: lockCable(w), kind: 'loop', value: 0.7 })
    expect(rules(judged(w, 'voltsRest', 11.3).causes)[0]).toBe('joint')
  })
  it('an end-of-line value is called for where the input is supervised, and a wrong one says why', () => {
    const w = smallJob({ ...strikeHardware })
    w.controller('a8', 'controller-8', { address: '10.1.1.28' })
    w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
    const contact = w.door().cables.find((c) => c.part === 'C1')?.id ?? ''
    const asked = () => readingsFor(w.door(), contact, sheets, sheets['controller-8'] ?? null)
    expect(asked()).toEqual(['loop'])
    w.do('door.edit', { id: 'D-01', fields: { ends: { seriesOhm: 1000, parallelOhm: 2200, at: 'device' } } })
    expect(asked()).toEqual(['loop', 'endOfLine'])
    expect(judged(w, 'endOfLine', 1003, contact).in).toBe(true)
    expect(rules(judged(w, 'endOfLine', 2.1, contact).causes)[0]).toBe('bridged')
    expect(rules(judged(w, 'endOfLine', 3203, contact).causes)[0]).toBe('contact')
    expect(rules(judged(w, 'endOfLine', 2202, contact).causes)[0]).toBe('swapped')
    expect(rules(judged(w, 'endOfLine', 687.5, contact).causes)[0]).toBe('beside')
    expect(rules(judged(w, 'endOfLine', 900000, contact).causes)[0]).toBe('cut')
  })
  it('insulation is a stop until somebody says that nothing electronic hangs on the cable', () => {
    const w = smallJob()
    expect(() => w.do('reading.add', { id: 'i', door: 'D-01', cable: 'W2', kind: 'insulation', value: 200 })).toThrow(
      'kill electronics',
    )
    w.do('reading.add', { id: 'i', door: 'D-01', cable: 'W2', kind: 'insulation', value: 200, disconnected: true })
    expect(judged(w, 'insulation', 200).in).toBe(true)
    expect(rules(judged(w, 'insulation', 0.2).causes)).toEqual(['wet'])
  })
})

describe('as built', () => {
  it('a cable of too few cores for its doubled conductors is refused, as it is in the plan', () => {
    const w = withLock({ kind: 'iec', conductorClass: 2, mm2: 1, cores: 4 }, 20)
    expect(() =>
      w.do('cable.built', {
        door: 'D-01',
        cable: lockCable(w),
        type: { kind: 'iec', conductorClass: 2, mm2: 1, cores: 3, perConductor: 2 },
        lengthM: 20,
      }),
    ).toThrow('3 cores do not make two conductors of 2 cores each')
  })
  it('flows back into the plan, keeps what was planned beside it, and readings are judged anew', () => {
    const w = withLock({ kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 }, 20)
    w.do('tick.set', { door: 'D-01', cable: lockCable(w), what: 'ended', done: true })
    expect(judged(w, 'loop', 1.6).in).toBe(false)
    w.do('cable.built', { door: 'D-01', cable: lockCable(w), lengthM: 44 })
    expect(judged(w, 'loop', 1.6).in).toBe(true)
    const cable = () => w.door().cables.find((c) => c.id === lockCable(w))
    expect(cable()).toMatchObject({ lengthM: 44, planned: { lengthM: 20 } })
    w.do('cable.built', { door: 'D-01', cable: lockCable(w), lengthM: 20 })
    expect(cable()).not.toHaveProperty('planned')
  })
})

describe('conductors ticked one by one', () => {
  it('end their cable when the last is ticked, and not any more when one is taken back', () => {
    const w = smallJob()
    const tick = () => w.facts.tick[`D-01/${lockCable(w)}`]
    w.do('core.tick', { door: 'D-01', cable: lockCable(w), core: 'K1.plus', done: true })
    expect(tick()?.ended).toBeNull()
    w.do('core.tick', { door: 'D-01', cable: lockCable(w), core: 'K1.minus', done: true })
    expect(tick()?.ended).toMatchObject({ by: 'vesa' })
    w.do('core.tick', { door: 'D-01', cable: lockCable(w), core: 'K1.plus', done: false })
    expect(tick()?.ended).toBeNull()
    expect(() => w.do('core.tick', { door: 'D-01', cable: lockCable(w), core: 'K1.other', done: true })).toThrow(
      'no conductor',
    )
  })
})
