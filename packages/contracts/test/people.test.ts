import fc from 'fast-check'
import {
  accessCell,
  accessNotes,
  all,
  blockerOf,
  blockersOf,
  cardsTyped,
  decide,
  groupPath,
  groupsPassed,
  momentIn,
  nextNumber,
  timesFindings,
  validityAt,
  validityFault,
  validityOf,
  wallClock,
  type Json,
  type Person,
} from '@rauta/core'
import { roomy, smallJob, type World } from './world'

const person = (w: World, id = 'p'): Person => {
  const found = w.facts.person[id]
  if (!found) throw new Error(`nobody ${id}`)
  return found
}
const put = (w: World, over: Partial<Person>, id = 'p') => {
  const { past: _past, ...rest } = person(w, id)
  w.do('person.put', { ...rest, ...over })
}
const refused = (w: World, name: string, payload: unknown): { says: string; field: string | undefined } => {
  const before = w.facts
  try {
    w.do(name, payload)
  } catch (error) {
    expect(w.facts).toBe(before)
    const { says, field } = error as { says: string; field?: string }
    return { says, field }
  }
  throw new Error(`${name} was not refused`)
}
const credential = (w: World, card = 'c') => w.wanted()[`credential/${card}`] as Record<string, Json>
const monday = Date.parse('2026-11-23T10:00:00+02:00')
const zone = 'Europe/Helsinki'

describe('from when until when somebody may pass', () => {
  it('a day counts from its first moment to its last, by the site’s clock', () => {
    expect(validityOf({ validFrom: '2027-01-31', validUntil: '2027-01-31' }, zone)).toEqual({
      from: Date.parse('2027-01-30T22:00:00Z'),
      until: Date.parse('2027-01-31T22:00:00Z'),
    })
  })
  it('the end is the first moment that counts no more', () => {
    const end = Date.parse('2027-01-31T22:00:00Z')
    expect(validityAt({ validUntil: '2027-01-31' }, end - 1, zone)).toBe('valid')
    expect(validityAt({ validUntil: '2027-01-31' }, end, zone)).toBe('expired')
    expect(validityAt({ validFrom: '2027-02-01' }, end - 1, zone)).toBe('notYet')
    expect(validityAt({ validFrom: '2027-02-01' }, end, zone)).toBe('valid')
  })
  it('a day with a time counts to the minute', () => {
    expect(validityOf({ validUntil: '2027-07-01T16:30' }, zone)).toEqual({ until: Date.parse('2027-07-01T13:30:00Z') })
  })
  it('a night that leaves midnight out begins the day at its first minute', () => {
    // Clocks in Cairo went forward from 00:00 to 01:00 on 2024-04-26 (IANA time zone database).
    const { from } = validityOf({ validFrom: '2024-04-26' }, 'Africa/Cairo')
    expect(wallClock(from ?? 0, 'Africa/Cairo')).toMatchObject({ date: '2024-04-26', minute: 60 })
    expect(wallClock((from ?? 0) - 60_000, 'Africa/Cairo').date).toBe('2024-04-25')
  })
  it('every moment is before, within or after, and the ends meet the clock on the wall', () => {
    const day = fc
      .date({ min: new Date('2024-01-01T00:00:00Z'), max: new Date('2030-12-31T00:00:00Z'), noInvalidDate: true })
      .map((d) => d.toISOString().slice(0, 10))
    fc.assert(
      fc.property(day, day, fc.integer({ min: -40, max: 40 }), (a, b, hours) => {
        const [validFrom = '', validUntil = ''] = [a, b].sort()
        const { from = 0, until = 0 } = validityOf({ validFrom, validUntil }, zone)
        expect(wallClock(from, zone).date).toBe(validFrom)
        expect(wallClock(until - 1, zone).date).toBe(validUntil)
        const at = from + hours * 3_600_000
        const local = wallClock(at, zone).date
        const said = local < validFrom ? 'notYet' : local > validUntil ? 'expired' : 'valid'
        expect(validityAt({ validFrom, validUntil }, at, zone)).toBe(said)
      }),
      { numRuns: 60 },
    )
  })
  it.each([
    ['validFrom', '2027-02-30'],
    ['validFrom', '31.1.2027'],
    ['validUntil', ''],
    ['validUntil', '2027-01-31T25:00'],
    ['validUntil', '2027-1-31'],
  ])('%s %p is no day', (field, value) => {
    expect(validityFault({ [field]: value })).toMatchObject({ field })
    expect(refused(smallJob(), 'person.put', { ...person(smallJob()), [field]: value }).field).toBe(field)
  })
  it('an end before the beginning is refused at the end; one day alone is not', () => {
    expect(validityFault({ validFrom: '2027-02-01', validUntil: '2027-01-31' })?.field).toBe('validUntil')
    expect(validityFault({ validFrom: '2027-02-01T10:00', validUntil: '2027-02-01T10:00' })?.field).toBe('validUntil')
    expect(validityFault({ validFrom: '2027-02-01', validUntil: '2027-02-01' })).toBeNull()
  })
  it('decides before any rule, and the device is told the same moments', () => {
    const w = smallJob()
    put(w, { validFrom: '2026-11-24' })
    expect(decide(w.facts, person(w), w.door(), monday)).toMatchObject({ passes: false, reason: 'not yet valid' })
    expect(credential(w)['from']).toBe('2026-11-23T22:00:00Z')
    put(w, { validFrom: '2026-11-01', validUntil: '2026-11-22' })
    expect(decide(w.facts, person(w), w.door(), monday)).toMatchObject({ passes: false, reason: 'expired' })
    expect(credential(w)).toMatchObject({ from: '2026-10-31T22:00:00Z', until: '2026-11-22T22:00:00Z' })
    put(w, { validUntil: '2026-11-23' })
    expect(decide(w.facts, person(w), w.door(), monday).passes).toBe(true)
  })
  it('another zone of the site moves the moments', () => {
    const w = smallJob()
    put(w, { validUntil: '2026-11-23' })
    const job = w.facts.job['job']
    w.put('job', { ...job, zone: 'UTC' } as never)
    expect(credential(w)['until']).toBe('2026-11-24T00:00:00Z')
    expect(momentIn('UTC', '2026-11-24 00:00')).toBe(Date.parse('2026-11-24T00:00:00Z'))
  })
})

describe('cards change hands and states', () => {
  const two = () => {
    const w = smallJob()
    w.do('person.put', { id: 'q', number: '2', name: 'Another', cards: [], groups: ['g'] })
    return w
  }
  it('a card that was read in while somebody had the form open is not taken away by saving it', () => {
    const w = two()
    const { past: _past, ...form } = person(w, 'q')
    w.do('card.give', { person: 'q', card: { id: 'new', facility: 5, number: 80 } })
    w.do('person.put', { ...form, name: 'Renamed', knew: [] })
    expect(person(w, 'q')).toMatchObject({ name: 'Renamed', cards: [{ id: 'new', number: 80 }] })
    expect(person(w, 'q')).not.toHaveProperty('knew')
    // Typed into the form as well it is one card, not two.
    w.do('person.put', { ...form, cards: [{ id: 'typed', facility: 5, number: 80, state: 'in use' }], knew: [] })
    expect(person(w, 'q').cards.map((c) => c.id)).toEqual(['typed'])
    const full = Array.from({ length: 10 }, (_, n) => ({ id: `f${n}`, facility: 6, number: n, state: 'in use' }))
    expect(refused(w, 'person.put', { ...form, cards: full, knew: [] })).toMatchObject({ field: 'cards' })
    w.do('person.put', { ...form, cards: [], knew: ['typed'] })
    w.do('card.give', { person: 'q', card: { id: 'new', facility: 5, number: 80 } })
    // Whoever had seen it takes it away, and so does whoever says nothing of what they saw.
    w.do('person.put', { ...form, knew: ['new'] })
    expect(person(w, 'q').cards).toEqual([])
    w.do('card.give', { person: 'q', card: { id: 'new', facility: 5, number: 80 } })
    w.do('person.put', form)
    expect(person(w, 'q').cards).toEqual([])
  })
  it('lost, withdrawn and found again, each in one step; what says nothing is told as nothing', () => {
    const w = two()
    expect(Object.keys(credential(w)).sort()).toEqual(['card', 'enabled', 'format', 'holder', 'profiles'])
    w.do('card.state', { person: 'p', card: 'c', state: 'lost' })
    expect(credential(w)).toMatchObject({ enabled: false })
    expect(credential(w)['reason']).toBeUndefined()
    w.do('card.state', { person: 'p', card: 'c', state: 'withdrawn' })
    expect(credential(w)).toMatchObject({ enabled: false, reason: 'withdrawn' })
    expect(decide(w.facts, person(w), w.door(), monday).reason).toBe('card withdrawn')
    w.do('card.state', { person: 'p', card: 'c', state: 'in use' })
    expect(decide(w.facts, person(w), w.door(), monday).passes).toBe(true)
  })
  it('passed on in one step, whose it was stays', () => {
    const w = two()
    w.do('card.state', { person: 'p', card: 'c', state: 'lost' })
    w.do('card.pass', { from: 'p', card: 'c', to: 'q' })
    expect(person(w).cards).toEqual([])
    expect(person(w).past).toEqual([{ facility: 5, number: 77, to: 'q', at: w.now }])
    expect(person(w, 'q').cards).toEqual([{ id: 'c', facility: 5, number: 77, state: 'in use' }])
    expect(credential(w)['holder']).toBe('2 Another')
    // Editing whoever had it keeps what was.
    put(w, { name: 'Renamed' })
    expect(person(w).past).toHaveLength(1)
  })
  it.each([
    ['to oneself', { from: 'p', card: 'c', to: 'p' }],
    ['from who has none', { from: 'q', card: 'c', to: 'p' }],
    ['to nobody', { from: 'p', card: 'c', to: 'nobody' }],
  ])('is not passed %s', (_what, payload) => {
    expect(refused(two(), 'card.pass', payload).says).not.toBe('')
  })
  it('a card that was read is given once, to one person, and no test card to anybody', () => {
    const w = two()
    const give = (facility: number, number: number, to = 'q', id = `n${number}`) => ({
      person: to,
      card: { id, facility, number },
    })
    w.do('card.give', give(5, 78))
    expect(person(w, 'q').cards).toEqual([{ id: 'n78', facility: 5, number: 78, state: 'in use' }])
    expect(refused(w, 'card.give', give(5, 78)).says).toMatch(/Another’s already, in use/)
    expect(refused(w, 'card.give', give(5, 77)).says).toMatch(/belongs to Somebody/)
    expect(refused(w, 'card.give', give(9, 1)).says).toMatch(/test cards/)
    expect(refused(w, 'card.give', give(300, 1)).says).toMatch(/does not fit/)
    expect(refused(w, 'card.give', give(5, 79, 'q', 'n78')).says).toMatch(/id/)
    for (let n = 100; n < 109; n++) w.do('card.give', give(5, n))
    expect(refused(w, 'card.give', give(5, 200)).says).toMatch(/10 cards already/)
    expect(refused(w, 'card.pass', { from: 'p', card: 'c', to: 'q' }).says).toMatch(/10 cards already/)
  })
})

describe('groups in a tree', () => {
  const tree = () => {
    const w = smallJob()
    w.do('group.put', { id: 'n', name: 'Night', parent: 'g' })
    w.do('group.put', { id: 'nn', name: 'Watch', parent: 'n' })
    put(w, { groups: ['nn'] })
    return w
  }
  it('whoever is in a group passes by the rules of those that it is in; the device is told so', () => {
    const w = tree()
    expect(groupPath(w.facts.group, 'nn')).toBe('Staff / Night / Watch')
    expect(decide(w.facts, person(w), w.door(), monday).passes).toBe(true)
    expect(credential(w)['profiles']).toEqual(['g'])
    w.do('group.put', { id: 'n', name: 'Night' })
    expect(decide(w.facts, person(w), w.door(), monday)).toMatchObject({ passes: false, reason: 'no rule' })
    expect(credential(w)).toBeUndefined()
  })
  it('no circle, no second of a name in one place, nothing taken away with groups in it', () => {
    const w = tree()
    expect(refused(w, 'group.put', { id: 'g', name: 'Staff', parent: 'nn' })).toMatchObject({ field: 'parent' })
    expect(refused(w, 'group.put', { id: 'g', name: 'Staff', parent: 'g' })).toMatchObject({ field: 'parent' })
    expect(refused(w, 'group.put', { id: 'x', name: 'X', parent: 'none' })).toMatchObject({ field: 'parent' })
    expect(refused(w, 'group.put', { id: 'x', name: 'night', parent: 'g' })).toMatchObject({ field: 'name' })
    expect(refused(w, 'group.remove', { id: 'n' }).says).toMatch(/Watch is in it/)
    w.do('group.put', { id: 'x', name: 'Night' })
  })
  it('ends where facts hold a circle all the same', () => {
    const w = tree()
    w.put('group', { id: 'g', name: 'Staff', parent: 'nn' })
    expect(new Set(groupsPassed(w.facts.group, ['n']))).toEqual(new Set(['n', 'g', 'nn']))
  })
})

describe('whoever needs longer', () => {
  it('card and door say so to the device, rounded by its sheet', () => {
    const w = smallJob()
    put(w, { longer: true })
    w.do('door.edit', {
      id: 'D-01',
      fields: { behaviour: { ...w.door().behaviour, longReleaseS: 12.4, longOpenS: 90 } },
    })
    expect(credential(w)['longer']).toBe(true)
    expect(w.wanted()['door/D-01']).toMatchObject({ longRelease: 12, longOpen: 90 })
    expect(w.roundings('a1').map((r) => r.says)).toContain('Longer release 12.4 s becomes 12 s on this device.')
  })
  it('shorter than everybody’s stops the door before Load; an alarm while it is released is told', () => {
    const w = smallJob()
    const findings = (over: object) =>
      timesFindings({ ...w.door(), behaviour: { ...w.door().behaviour, ...over } }).map((f) => `${f.grade} ${f.rule}`)
    expect(findings({})).toEqual([])
    expect(findings({ longReleaseS: 5, longOpenS: 30 })).toEqual([])
    expect(findings({ longReleaseS: 4 })).toEqual(['stop longer-is-shorter'])
    expect(findings({ longOpenS: 29 })).toEqual(['stop longer-is-shorter'])
    expect(findings({ releaseS: 31 })).toEqual(['warn alarm-while-released'])
  })
})

describe('why somebody passes nowhere', () => {
  const now = monday
  const code = (w: World) => blockerOf(w.facts, person(w), now)?.code ?? null
  it('is told, the first reason first', () => {
    const w = smallJob()
    expect(code(w)).toBeNull()
    w.do('rule.remove', { id: 'r' })
    expect(code(w)).toBe('noRule')
    put(w, { groups: [] })
    expect(code(w)).toBe('noGroup')
    put(w, { validFrom: '2026-11-24' })
    expect(code(w)).toBe('notYet')
    const { validFrom: _gone, past: _past, ...rest } = person(w)
    w.do('person.put', { ...rest, validUntil: '2026-11-22' })
    expect(code(w)).toBe('expired')
    w.do('card.state', { person: 'p', card: 'c', state: 'withdrawn' })
    expect(code(w)).toBe('noCardInUse')
    put(w, { cards: [] })
    expect(code(w)).toBe('noCard')
    // All of them are told at once: who mends one is not sent back for the next.
    expect(blockersOf(w.facts, person(w), now).map((b) => b.code)).toEqual(['noCard', 'expired', 'noGroup'])
  })
})

describe('one group at one door', () => {
  const rules = (w: World) =>
    all(w.facts, 'rule')
      .map((r) => `${r.group} ${r.doors.join('+')} ${r.schedule}`)
      .sort()
  const cell = (w: World, schedule: string | null, door = 'D-01') => w.do('access.cell', { group: 'g', door, schedule })
  const job = () => {
    const w = smallJob()
    w.do('door.add', { id: 'D-02', fields: { ref: 'D-02', name: 'Side', from: 'out', to: 'in', handle: true } })
    w.do('schedule.put', { id: 'late', name: 'Late', periods: [{ days: [1], from: '18:00', to: '22:00' }] })
    return w
  }
  it('is set on a schedule, on another one, and on none; other doors and groups keep theirs', () => {
    const w = job()
    w.do('group.put', { id: 'h', name: 'Other' })
    w.do('rule.put', { id: 'rh', group: 'h', doors: ['D-01'], schedule: 'day' })
    cell(w, 'day', 'D-02')
    expect(rules(w)).toEqual(['g D-01+D-02 day', 'h D-01 day'])
    cell(w, 'late')
    expect(rules(w)).toEqual(['g D-01 late', 'g D-02 day', 'h D-01 day'])
    expect(accessCell(w.facts, 'g', 'D-01')).toEqual({ own: ['late'], through: [] })
    cell(w, null)
    expect(rules(w)).toEqual(['g D-02 day', 'h D-01 day'])
    cell(w, null)
    expect(rules(w)).toHaveLength(2)
  })
  it('several schedules become the one that is set', () => {
    const w = job()
    w.do('rule.put', { id: 'r2', group: 'g', doors: ['D-01', 'D-02'], schedule: 'late' })
    expect(accessCell(w.facts, 'g', 'D-01').own).toEqual(['day', 'late'])
    cell(w, 'day')
    expect(rules(w)).toEqual(['g D-01 day', 'g D-02 late'])
  })
  it('what comes through a group that it is in is told apart, and stays', () => {
    const w = job()
    w.do('group.put', { id: 'n', name: 'Night', parent: 'g' })
    expect(accessCell(w.facts, 'n', 'D-01')).toEqual({ own: [], through: [{ group: 'g', schedule: 'day' }] })
    w.do('access.cell', { group: 'n', door: 'D-01', schedule: 'late' })
    expect(accessCell(w.facts, 'n', 'D-01')).toEqual({ own: ['late'], through: [{ group: 'g', schedule: 'day' }] })
    expect(rules(w)).toEqual(['g D-01 day', 'n D-01 late'])
  })
  it.each([
    [{ group: 'none', door: 'D-01', schedule: 'day' }],
    [{ group: 'g', door: 'none', schedule: 'day' }],
    [{ group: 'g', door: 'D-01', schedule: 'none' }],
  ])('is refused for what is not there: %j', (payload) => {
    expect(refused(job(), 'access.cell', payload).says).toMatch(/There is no/)
  })
  it('whatever is set, cell by cell, every other cell stays as it was', () => {
    const groups = ['g', 'h', 'k']
    const doors = ['D-01', 'D-02']
    const schedules = ['day', 'late']
    const step = fc.record({
      group: fc.constantFrom(...groups),
      door: fc.constantFrom(...doors),
      schedule: fc.constantFrom(...schedules, null),
    })
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const w = job()
        for (const g of ['h', 'k']) w.do('group.put', { id: g, name: g })
        const model = new Map<string, string | null>([['g D-01', 'day']])
        for (const s of steps) {
          w.do('access.cell', s)
          model.set(`${s.group} ${s.door}`, s.schedule)
          for (const g of groups)
            for (const d of doors) {
              const set = model.get(`${g} ${d}`) ?? null
              expect(accessCell(w.facts, g, d).own).toEqual(set === null ? [] : [set])
            }
        }
        expect(all(w.facts, 'rule').every((r) => r.doors.length > 0)).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})

describe('what stands out among groups and rules', () => {
  const codes = (w: World) => accessNotes(w.facts).map((n) => `${n.code} ${n.rule}`.trim())
  it('a rule for nobody, on no hours, doors that nobody passes, and one that passes everything at any time', () => {
    const w = smallJob()
    expect(codes(w)).toEqual([])
    w.do('group.put', { id: 'n', name: 'Night', parent: 'g' })
    w.do('rule.put', { id: 'rn', group: 'n', doors: ['D-01'], schedule: 'day' })
    expect(codes(w)).toEqual(['noMember rn'])
    put(w, { groups: ['n'] })
    expect(codes(w)).toEqual([])
    w.do('schedule.put', { id: 'none', name: 'None', periods: [] })
    w.do('rule.put', { id: 'rn', group: 'n', doors: ['D-01'], schedule: 'none' })
    expect(codes(w)).toEqual(['noTime rn'])
    w.do('rule.remove', { id: 'rn' })
    w.do('rule.remove', { id: 'r' })
    expect(codes(w)).toEqual(['noRule'])
  })
  it('everything means every placed door, the whole week, by one rule', () => {
    const w = roomy({ entryReader: 'reader-slim', lock: 'strike-secure' })
    for (const id of ['E-1', 'E-2']) {
      w.do('door.add', {
        id,
        fields: {
          ref: id,
          name: id,
          from: 'out',
          to: 'in',
          handle: true,
          hardware: { entryReader: 'reader-slim', lock: 'strike-secure' },
        },
      })
      w.do('door.placeProposed', { id, controller: 'a8' })
    }
    const doors = all(w.facts, 'door').map((d) => d.id)
    expect(all(w.facts, 'door').every((d) => d.placement)).toBe(true)
    const whole = { days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }
    w.do('schedule.put', { id: 'all', name: 'All', periods: [{ ...whole, days: [1, 2, 3, 4, 5] }] })
    w.do('rule.put', { id: 'r', group: 'g', doors, schedule: 'all' })
    expect(codes(w)).toEqual([])
    w.do('schedule.put', { id: 'all', name: 'All', periods: [whole] })
    expect(codes(w)).toEqual(['everything r'])
    w.do('rule.put', { id: 'r', group: 'g', doors: doors.slice(1), schedule: 'all' })
    expect(codes(w)).toEqual(['noRule'])
  })
})

describe('numbers', () => {
  it('the next one is one more than the highest, as wide as it', () => {
    const w = smallJob()
    expect(nextNumber(w.facts)).toBe('2')
    put(w, { number: '0099' })
    expect(nextNumber(w.facts)).toBe('0100')
    put(w, { number: 'AB-7' })
    expect(nextNumber(w.facts)).toBe('001')
  })
  it('what is typed may be several cards, and is never guessed', () => {
    const typed = (text: string) => cardsTyped(text).map((c) => `${c.format} ${JSON.stringify(c.card)}`)
    expect(cardsTyped('61 04423').map((c) => c.card)).toEqual([
      { facility: 61, number: 4423 },
      { format: 'wiegand34', facility: 61, number: 4423 },
    ])
    // 61 * 65536 + 4423, the facility in the upper eight of 24 bits.
    expect(cardsTyped('4002119').map((c) => c.card)[0]).toEqual({ facility: 61, number: 4423 })
    expect(cardsTyped('04 A1 B2 C3').map((c) => c.card.serial)).toEqual(['04A1B2C3', 'C3B2A104'])
    expect(cardsTyped('04a1b2c3d4e5f6').map((c) => c.card.serial)).toEqual(['04A1B2C3D4E5F6', 'F6E5D4C3B2A104'])
    for (const nothing of ['', 'card', '61', '300 70000', '12345678901', '04 A1', 'G1 22'])
      expect(typed(nothing)).toEqual([])
  })
})

it('everybody’s credential is told in the kind’s own shape', () => {
  const w = smallJob()
  put(w, { longer: true, validFrom: '2026-01-01', validUntil: '2030-01-01' })
  expect(all(w.facts, 'person')).toHaveLength(1)
  expect(Object.keys(credential(w)).sort()).toEqual([
    'card',
    'enabled',
    'format',
    'from',
    'holder',
    'longer',
    'profiles',
    'until',
  ])
})
