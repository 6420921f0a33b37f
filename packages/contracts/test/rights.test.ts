import fc from 'fast-check'
import {
  accessCell,
  accessNotes,
  arrivalsOf,
  blockerOf,
  decide,
  difference,
  doorsOfRule,
  hangingOn,
  kitFindings,
  marksOf,
  nextChange,
  peopleNotArrived,
  rightLimitFindings,
  scriptFor,
  touching,
  twoSided,
  whoCannotPass,
  type Config,
  type Person,
  type Rule,
} from '@rauta/core'
import { peopleHeld, personMeaningWords } from '@rauta/core/peoplelist'
import { Refusal } from '../src'
import { sheets, smallJob, strikeHardware, type World } from './world'

const person = (w: World, id = 'p'): Person => {
  const found = w.facts.person[id]
  if (!found) throw new Error(`no ${id}`)
  return found
}
const monday = Date.parse('2026-11-23T10:00:00+02:00')
const hour = 3_600_000

/** Two doors on a controller that can be told when a right ends, a person in the group that passes D-01, one in no group. */
function job(type = 'controller-4'): World {
  const w = smallJob()
  const a1 = w.facts.controller['a1']
  if (!a1) throw new Error('no controller')
  w.put('controller', { ...a1, sheet: type })
  w.do('door.add', {
    id: 'D-02',
    fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: strikeHardware },
  })
  w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
  w.do('person.put', {
    id: 'q',
    number: '2',
    name: 'Another',
    cards: [{ id: 'c2', facility: 5, number: 78, state: 'in use' }],
    groups: [],
  })
  return w
}
const own = (over: Partial<Rule> = {}): Rule => ({ id: 'own', person: 'q', doors: ['D-02'], schedule: 'day', ...over })
const passes = (w: World, who: string, door: string, at = monday) => decide(w.facts, person(w, who), w.door(door), at)
const held = (w: World, key: string) => w.wanted()[key] as Record<string, unknown> | undefined

function refused(w: World, name: string, payload: unknown): Refusal {
  try {
    w.do(name, payload)
  } catch (e) {
    if (e instanceof Refusal) return e
    throw e
  }
  throw new Error(`${name} was not refused`)
}

describe('a right of one person', () => {
  it('lets that person pass and nobody else, at its doors, in its hours', () => {
    const w = job()
    w.do('rule.put', own())
    expect(passes(w, 'q', 'D-02')).toMatchObject({ passes: true, rule: 'own' })
    expect(passes(w, 'q', 'D-02').says).toBe('Passes: the right of Another on schedule Day.')
    expect(passes(w, 'q', 'D-01').reason).toBe('no rule')
    expect(passes(w, 'p', 'D-02').reason).toBe('no rule')
    expect(passes(w, 'q', 'D-02', monday - 24 * hour).reason).toBe('out of hours')
  })
  it('is told to the device as a profile of its own, to that person’s cards alone', () => {
    const w = job()
    w.do('rule.put', own())
    expect(held(w, 'profile/right.own')).toMatchObject({ policies: [{ at: 'D-02.R1', schedule: 'day' }] })
    expect(held(w, 'credential/c2')).toMatchObject({ profiles: ['right.own'] })
    expect(held(w, 'credential/c')).toMatchObject({ profiles: ['g'] })
    expect(twoSided(difference({}, { 'credential/c2': w.wanted()['credential/c2'] as never }), w.facts)[0]?.willHold).toContain('Another') // prettier-ignore
  })
  it('goes with the person, and is told before', () => {
    const w = job()
    w.do('rule.put', own())
    expect(hangingOn(w.facts, 'person', 'q').goes.join(' ')).toContain('1 rule goes with it: nobody passes D-02')
    w.do('person.remove', { id: 'q' })
    expect(w.facts.rule['own']).toBeUndefined()
    expect(held(w, 'profile/right.own')).toBeUndefined()
  })
  it('counts where it is asked whether somebody can pass, and whether it has arrived', () => {
    const w = job()
    expect(blockerOf(w.facts, person(w, 'q'), monday)?.code).toBe('noGroup')
    w.do('rule.put', own())
    expect(blockerOf(w.facts, person(w, 'q'), monday)).toBeNull()
    w.reached()
    const configs = () => ({
      wanted: w.wanted(),
      held: w.held(),
      known: true,
      differences: () => difference(w.held(), w.wanted()),
    })
    w.holds({})
    expect(arrivalsOf(w.facts, person(w, 'q'), sheets, configs, monday)).toMatchObject([
      { code: 'notSent', controller: 'a1' },
    ])
    w.loaded()
    expect(arrivalsOf(w.facts, person(w, 'q'), sheets, configs, monday)).toMatchObject([{ code: 'arrived' }])
    expect(whoCannotPass(w.facts, configs, monday).get('q')).toBeUndefined()
    // The device lost the profile, not the card: it is this person who is late, and not the other.
    const { 'profile/right.own': _gone, ...rest } = w.wanted()
    w.holds(rest)
    expect([...peopleNotArrived(w.facts, configs).keys()]).toEqual(['q'])
    expect(whoCannotPass(w.facts, configs, monday).get('q')?.code).toBe('late')
  })
})

it('what changes of somebody at one door leaves what has arrived at another as it is', () => {
  const w = job()
  w.reached()
  w.loaded()
  w.do('rule.put', own({ person: 'p', validUntil: '2031-01-01' }))
  const configs = () => ({ wanted: w.wanted(), held: w.held(), known: true, differences: () => difference(w.held(), w.wanted()) }) // prettier-ignore
  expect(arrivalsOf(w.facts, person(w), sheets, configs, monday).map((a) => [a.door.id, a.code])).toEqual([
    ['D-01', 'arrived'],
    ['D-02', 'changed'],
  ])
  // Nor is a door still theirs whose right has ended.
  w.do('rule.put', own({ person: 'p', validUntil: '2026-11-01' }))
  expect(arrivalsOf(w.facts, person(w), sheets, configs, monday).map((a) => a.door.id)).toEqual(['D-01'])
})

describe('a right that begins and ends by itself', () => {
  const until = own({ validUntil: '2026-11-24T16:00', validFrom: '2026-11-23' })
  it('is refused before and after, with its own reason, and the change is foreseen', () => {
    const w = job()
    w.do('rule.put', until)
    expect(passes(w, 'q', 'D-02').passes).toBe(true)
    expect(passes(w, 'q', 'D-02', monday - 72 * hour)).toMatchObject({ reason: 'right not yet', rule: 'own' })
    const end = Date.parse('2026-11-24T16:00:00+02:00')
    expect(passes(w, 'q', 'D-02', end - 1).passes).toBe(true)
    expect(passes(w, 'q', 'D-02', end)).toMatchObject({ passes: false, reason: 'right ended' })
    expect(nextChange(w.facts, person(w, 'q'), w.door('D-02'), end - hour)).toMatchObject({
      at: end,
      decision: { reason: 'right ended' },
    })
    expect(blockerOf(w.facts, person(w, 'q'), end)?.code).toBe('rightsEnded')
    expect(blockerOf(w.facts, person(w, 'q'), monday - 72 * hour)).toBeNull()
  })
  it('another right that still counts is not touched by one that ended', () => {
    const w = job()
    w.do('rule.put', own({ validUntil: '2026-11-01' }))
    w.do('rule.put', { ...own(), id: 'other' })
    expect(passes(w, 'q', 'D-02')).toMatchObject({ passes: true, rule: 'other' })
  })
  it('is told to the device with its moments, by the clock at the site; a group’s to everybody in it', () => {
    const w = job()
    w.do('rule.put', until)
    w.do('rule.put', { id: 'g2', group: 'g', doors: ['D-02'], schedule: 'day', validUntil: '2026-12-31' })
    expect(held(w, 'credential/c2')).toMatchObject({
      profiles: [],
      limited: [{ profile: 'right.own', from: '2026-11-22T22:00:00Z', until: '2026-11-24T14:00:00Z' }],
    })
    expect(held(w, 'credential/c')).toMatchObject({
      profiles: ['g'],
      limited: [{ profile: 'right.g2', until: '2026-12-31T22:00:00Z' }],
    })
    // The group itself passes what it passes for good, and no more.
    expect(held(w, 'profile/g')).toMatchObject({ policies: [{ at: 'D-01.R1', schedule: 'day' }] })
    const changed = { ...w.wanted(), 'credential/c2': { ...held(w, 'credential/c2'), limited: [] } as never }
    expect(twoSided(difference(changed, w.wanted()), w.facts)[0]?.willHold).toContain('until')
  })
  it('a device that can’t be told of an end is told of no such right, and its door is stopped', () => {
    const w = job('controller-2')
    w.do('rule.put', until)
    expect(held(w, 'profile/right.own')).toBeUndefined()
    expect(held(w, 'credential/c2')).toBeUndefined()
    w.reached()
    w.loaded()
    const load = (door: string) => marksOf(w.facts, w.door(door), sheets).load
    expect(load('D-02')).toMatchObject({ sign: 'stopped' })
    expect(load('D-02').findings.map((f) => f.rule)).toContain('right-no-end')
    expect(load('D-01').findings.map((f) => f.rule)).not.toContain('right-no-end')
    const board = sheets['controller-4']
    if (!board) throw new Error('no sheet')
    expect(rightLimitFindings(w.facts, w.door('D-02'), 'A1', board)).toEqual([])
  })
  it('is proved at its door where a card for it is carried, and that it is not is said', () => {
    const w = job()
    const ids = (door: string) => scriptFor(w.facts, w.door(door), sheets).map((t) => t.id)
    w.do('rule.put', until)
    expect(kitFindings(w.facts, w.door('D-02'), sheets).map((f) => f.rule)).toContain('kit-ended')
    expect(ids('D-02')).not.toContain('ended-right')
    w.do('testCards.put', { ...w.facts.testCards['kit'], ended: { facility: 9, number: 8 } })
    expect(kitFindings(w.facts, w.door('D-02'), sheets).map((f) => f.rule)).not.toContain('kit-ended')
    expect(ids('D-02')).toContain('ended-right')
    expect(ids('D-01')).not.toContain('ended-right')
    const test = scriptFor(w.facts, w.door('D-02'), sheets).find((t) => t.id === 'ended-right')
    expect(test?.judge).toMatchObject({ kind: 'refused', reason: 'no rule' })
    // The card has all that the good one has, but for the end.
    expect(w.wanted()['test/credential/rauta-ended']).toMatchObject({
      enabled: true,
      profiles: [],
      limited: [{ profile: 'rauta-good', until: '2000-01-01T00:00:00Z' }],
    })
    const other = job('controller-2')
    other.do('testCards.put', { ...w.facts.testCards['kit'] })
    expect(other.wanted()['test/credential/rauta-ended']).toBeUndefined()
  })
})

describe('sets of doors', () => {
  const set = { id: 'set', name: 'Staff doors', doors: ['D-01', 'D-02'] }
  it('a rule passes the doors of its sets, each once, and follows when a set changes', () => {
    const w = job()
    w.do('doorSet.put', set)
    w.do('rule.put', own({ doors: ['D-02'], sets: ['set'] }))
    expect(doorsOfRule(w.facts, w.facts.rule['own'] as Rule)).toEqual(['D-02', 'D-01'])
    expect(passes(w, 'q', 'D-01').passes).toBe(true)
    w.do('doorSet.put', { ...set, doors: ['D-02'] })
    expect(passes(w, 'q', 'D-01').reason).toBe('no rule')
    expect(held(w, 'profile/right.own')).toMatchObject({ policies: [{ at: 'D-02.R1', schedule: 'day' }] })
  })
  it('is not taken away while a rule names it; a door that goes leaves it', () => {
    const w = job()
    w.do('doorSet.put', set)
    w.do('rule.put', own({ doors: [], sets: ['set'] }))
    expect(refused(w, 'doorSet.remove', { id: 'set' }).says).toContain('1 rule names it, of Another')
    w.do('door.remove', { id: 'D-02' })
    expect(w.facts.doorSet['set']?.doors).toEqual(['D-01'])
    w.do('rule.remove', { id: 'own' })
    w.do('doorSet.remove', { id: 'set' })
    expect(w.facts.doorSet).toEqual({})
  })
  it('stands in the matrix as the group’s; a cell can’t take a door out of a set, and says which', () => {
    const w = job()
    w.do('doorSet.put', set)
    w.do('rule.put', { id: 'r2', group: 'g', doors: [], sets: ['set'], schedule: 'day' })
    expect(accessCell(w.facts, 'g', 'D-02').own).toEqual(['day'])
    expect(refused(w, 'access.cell', { group: 'g', door: 'D-02', schedule: null })).toMatchObject({
      field: 'door',
      says: 'D-02 is passed as one of Staff doors: change that rule, or the set.',
    })
    w.do('access.cell', { group: 'g', door: 'D-02', schedule: 'day' })
    w.do('doorSet.put', { ...set, doors: ['D-01'] })
    expect(accessCell(w.facts, 'g', 'D-02').own).toEqual([])
  })
  it('what begins or ends, or is one person’s, is no cell of a group, and a cell leaves it alone', () => {
    const w = job()
    w.do('rule.put', own())
    w.do('rule.put', { id: 'r2', group: 'g', doors: ['D-02'], schedule: 'day', validUntil: '2027-01-01' })
    expect(accessCell(w.facts, 'g', 'D-02').own).toEqual([])
    w.do('access.cell', { group: 'g', door: 'D-02', schedule: 'day' })
    w.do('access.cell', { group: 'g', door: 'D-02', schedule: null })
    expect(w.facts.rule['r2']).toMatchObject({ doors: ['D-02'], validUntil: '2027-01-01' })
    expect(w.facts.rule['own']).toEqual(own())
    expect(accessNotes(w.facts).filter((n) => n.code === 'noMember')).toEqual([])
  })
})

describe('what a rule and a set refuse', () => {
  it.each<[string, Partial<Rule>, string]>([
    ['nobody', { person: undefined }, 'group'],
    ['a group and a person', { group: 'g' }, 'person'],
    ['a person who is not there', { person: 'nobody' }, ''],
    ['no door', { doors: [] }, 'doors'],
    ['a set that is not there', { sets: ['none'] }, ''],
    ['a door that is not there', { doors: ['D-99'] }, ''],
    ['a day that the calendar lacks', { validUntil: '2027-02-30' }, 'validUntil'],
    ['a day in words', { validFrom: 'Friday' }, 'validFrom'],
    ['an end before the beginning', { validFrom: '2027-02-02', validUntil: '2027-02-01' }, 'validUntil'],
  ])('%s', (_what, over, field) => {
    const w = job()
    const { person: who, ...rest } = { ...own(), ...over }
    const no = refused(w, 'rule.put', who === undefined ? rest : { ...rest, person: who })
    expect(no.field ?? '').toBe(field)
    expect(w.facts.rule['own']).toBeUndefined()
  })
  it('a set of another’s name, whatever its case, and one with a door that is not there', () => {
    const w = job()
    w.do('doorSet.put', { id: 'a', name: 'Staff doors', doors: ['D-01'] })
    expect(refused(w, 'doorSet.put', { id: 'b', name: 'staff DOORS ', doors: ['D-01'] }).field).toBe('name')
    expect(refused(w, 'doorSet.put', { id: 'b', name: 'B', doors: ['D-99'] }).says).toContain('D-99')
  })
  it('a group that would pass as somebody’s right', () => {
    expect(refused(job(), 'group.put', { id: 'right.own', name: 'G' }).field).toBe('id')
  })
})

describe('what a device holds, as a list of people', () => {
  it('leaves out what stands for one rule, and tells a group with an end as a remark', () => {
    const w = job()
    w.do('rule.put', own({ validUntil: '2026-12-31' }))
    w.do('rule.put', { ...own(), id: 'always' })
    const { rows } = peopleHeld(w.wanted(), 'A1', 'Europe/Helsinki')
    const [titles = [], ...people] = rows
    const at = (row: readonly unknown[] | undefined, title: string) => row?.[titles.indexOf(title)]
    const another = people.find((row) => row.includes('Another'))
    expect(at(another, personMeaningWords('groups'))).toBe('')
    expect(at(another, personMeaningWords('remark'))).toBe('')
    const value = { holder: '3 Third', format: 'wiegand26', card: '0A0000', enabled: true, profiles: ['g'] }
    const strange = { 'profile/g': w.wanted()['profile/g'] as never, 'profile/n': { name: 'Night', policies: [] } }
    const limited = [{ profile: 'n', from: '2026-11-30T22:00:00Z', until: '2026-12-31T22:00:00Z' }]
    const cards = { 'credential/x': { ...value, limited }, 'credential/y': { ...value, card: '0A0001', limited } }
    const third = peopleHeld({ ...strange, ...cards }, 'A1', 'Europe/Helsinki').rows[1]
    expect(at(third, personMeaningWords('groups'))).toBe('Staff')
    expect(at(third, personMeaningWords('remark'))).toBe('In Night from 2026-12-01 00:00 until 2027-01-01 00:00 on A1')
  })
})

it('of a change of any right, the doors that it is about are touched and no other', () => {
  const doors = ['D-01', 'D-02']
  const some = fc.subarray(doors)
  const limit = fc.constantFrom({}, { validUntil: '2027-01-01' }, { validFrom: '2026-12-01', validUntil: '2027-01-01' })
  const rule = fc.record({ person: fc.boolean(), doors: some, sets: some, limit })
  const with2 = (r: { person: boolean; doors: string[]; sets: string[]; limit: object }): Config => {
    const v = job()
    for (const d of doors) v.do('doorSet.put', { id: `set-${d}`, name: `Set ${d}`, doors: [d] })
    if (r.doors.length + r.sets.length)
      v.do('rule.put', {
        id: 'own',
        ...(r.person ? { person: 'q' } : { group: 'g' }),
        doors: r.doors,
        sets: r.sets.map((d) => `set-${d}`),
        schedule: 'day',
        ...r.limit,
      })
    return v.wanted()
  }
  fc.assert(
    fc.property(rule, rule, (a, b) => {
      const [before, after] = [with2(a), with2(b)]
      const differences = difference(before, after)
      const about = new Set([...a.doors, ...a.sets, ...b.doors, ...b.sets])
      for (const door of doors) if (!about.has(door)) expect(touching(differences, door, before, after)).toEqual([])
      // What differs is told of some door, unless only an empty profile does.
      const changed = JSON.stringify([a.person, a.limit, [...new Set([...a.doors, ...a.sets])].sort()])
      const same = changed === JSON.stringify([b.person, b.limit, [...new Set([...b.doors, ...b.sets])].sort()])
      if (!same && about.size) expect(doors.some((d) => touching(differences, d, before, after).length > 0)).toBe(true)
    }),
    { numRuns: 40 },
  )
})
