import { marksOf, marks, nextMark, workedConfigs, type Mark } from '@rauta/core'
import { commands } from '../src'
import type { World } from './world'
import { sheets, smallJob, strikeHardware } from './world'

const of = (w: World, id = 'D-01') => marksOf(w.facts, w.door(id), sheets)
const signs = (w: World) => Object.fromEntries(marks.map((m) => [m, of(w)[m].sign])) as Record<Mark, string>

describe('the six marks', () => {
  it('of a door that is only thought of', () => {
    const w = smallJob()
    w.do('door.add', { id: 'D-02', fields: { ref: 'D-02', name: 'Empty', from: 'out', to: 'in', hardware: {} } })
    expect(of(w, 'D-02').plan).toMatchObject({ sign: 'todo', says: 'No lock is chosen for this door.' })
    expect(of(w, 'D-02').wire.sign).toBe('todo')
    expect(nextMark(of(w, 'D-02'))?.mark).toBe('plan')
  })
  it('Plan is under way while the door has parts but no place', () => {
    const w = smallJob()
    w.do('door.place', { id: 'D-01', placement: null })
    expect(of(w).plan).toMatchObject({ sign: 'underWay', says: 'The door is on no controller yet. Place it.' })
    expect(of(w).reach.says).toBe('The door is on no controller yet.')
  })
  it('come one after the other as the work is done', () => {
    const w = smallJob()
    expect(signs(w)).toMatchObject({
      plan: 'given',
      wire: 'todo',
      reach: 'todo',
      load: 'todo',
      prove: 'todo',
      sign: 'todo',
    })
    w.reached('a1', { owned: false })
    expect(signs(w).reach).toBe('underWay')
    w.reached('a1', { firmwareAccepted: null })
    expect(of(w).reach.says).toBe('Nobody has accepted firmware 1.0 of A1.')
    w.reached()
    expect(signs(w).reach).toBe('given')
    w.loaded()
    expect(signs(w).load).toBe('given')
    expect(of(w).prove.says).toMatch(/tests left/)
  })
  it('Reach falls with silence, a clock that is off, or another device, and says which', () => {
    const w = smallJob()
    w.reached('a1', { silentMs: 119_000, says: 'A1 did not answer.' })
    expect(of(w).reach).toMatchObject({
      sign: 'underWay',
      says: 'A1 does not answer since a moment ago. A1 did not answer.',
    })
    w.reached('a1', { silentMs: 121_000 })
    expect(of(w).reach).toMatchObject({ sign: 'stale', says: 'A1 has not answered for 121 s of trying.' })
    w.reached('a1', { clockOffsetMs: 3_600_000 })
    expect(of(w).reach.says).toBe('The clock of A1 is 3600.0 s off.')
    w.put('controller', {
      ...(w.facts.controller['a1'] as NonNullable<World['facts']['controller'][string]>),
      serial: 'S9',
    })
    w.reached()
    expect(of(w).reach.says).toBe('A1: another device (S1) answers at its address.')
  })
  it('Load wants a rule that lets somebody pass', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    w.do('rule.remove', { id: 'r' })
    expect(of(w).load).toMatchObject({ sign: 'todo', says: 'No rule lets anybody pass D-01. No rule means refused.' })
  })
  it('Load goes stale with both values when the device holds something else, and says what cannot be read', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    const held = w.wanted()
    w.holds({ ...held, 'door/D-01': { ...(held['door/D-01'] as object), release: 9 } })
    expect(of(w).load).toMatchObject({ sign: 'stale', says: 'Release time: A1 holds 9 s, the job wants 5 s.' })
    w.put('held', { id: 'a1', readAt: 0, fault: 'half an answer' })
    expect(of(w).load.says).toContain('half an answer')
  })
  it('something a device holds beyond what is wanted is a difference too', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    w.holds({ ...w.wanted(), 'credential/old': { holder: 'Former', card: '0A0000', enabled: true, profiles: ['g'] } })
    expect(of(w).load).toMatchObject({
      sign: 'stale',
      says: expect.stringContaining('the job wants it gone') as string,
    })
  })
  it('are worked out once for each controller', () => {
    const w = smallJob()
    const configs = workedConfigs(w.facts, sheets)
    expect(configs('a1')).toBe(configs('a1'))
    expect(configs('nobody')).toMatchObject({ wanted: {}, held: {}, known: false })
    expect(configs('nobody').differences()).toEqual([])
  })
})

describe('commands', () => {
  it('each have a name, a schema, roles and words', () => {
    for (const [name, command] of Object.entries(commands)) {
      expect(command.name).toBe(name)
      expect(command.roles.length).toBeGreaterThan(0)
      expect(command.schema).toHaveProperty('type', 'object')
    }
    expect(Object.keys(commands).length).toBeGreaterThan(35)
  })
  it('never alter the facts that they are given', () => {
    const w = smallJob()
    const before = JSON.stringify(w.facts)
    const facts = w.facts
    for (const [name, payload] of [
      ['door.edit', { id: 'D-01', fields: { name: 'x' } }],
      ['cable.set', { door: 'D-01', cable: 'W1', lengthM: 9 }],
      ['door.remove', { id: 'D-01' }],
      ['person.remove', { id: 'p' }],
      ['job.edit', { fields: { zone: 'UTC' } }],
    ] as const) {
      commands[name]?.apply(facts, payload as never, { id: 'x', by: 'v', role: 'lead', at: 1, sheets })
    }
    expect(JSON.stringify(facts)).toBe(before)
  })
  it('tell the history what was done, in words', () => {
    const w = smallJob()
    const words = (name: string, payload: unknown) => commands[name]?.words(w.facts, payload as never)
    expect(words('door.edit', { id: 'D-01', fields: { name: 'x' } })).toBe('Changed name of D-01')
    expect(words('tick.set', { door: 'D-01', cable: 'W1', what: 'pulled', done: false })).toBe('D-01 W1 not pulled')
    expect(words('rule.put', { id: 'r', group: 'g', doors: ['D-01'], schedule: 'day' })).toBe('Staff pass D-01 on Day')
    expect(words('claim.start', { controller: 'a1' })).toBe('Began taking A1 into service')
  })
  it('a door with proofs cannot be removed, one without takes itself out of the rules', () => {
    const w = smallJob(strikeHardware)
    w.do('door.remove', { id: 'D-01' })
    expect(w.facts.rule['r']?.doors).toEqual([])
    const proved = smallJob(strikeHardware)
    proved.put('proof', {
      id: 'x',
      door: 'D-01',
      test: 'holds',
      verdict: 'passed',
      says: '',
      digest: '',
      evidence: [],
      by: 'v',
      at: 1,
    })
    expect(() => proved.do('door.remove', { id: 'D-01' })).toThrow('recorded tests')
  })
  it('a person may be removed while their group is on a rule; the rule stays', () => {
    const w = smallJob()
    w.do('person.remove', { id: 'p' })
    expect(w.facts.rule['r']).toBeDefined()
    expect(w.wanted()['credential/c']).toBeUndefined()
  })
  it('test cards must be four, and nobody’s', () => {
    const w = smallJob()
    const kit = {
      id: 'kit',
      good: { facility: 9, number: 1 },
      lost: { facility: 9, number: 1 },
      outOfHours: { facility: 9, number: 3 },
      unknown: { facility: 9, number: 4 },
    }
    expect(() => w.do('testCards.put', kit)).toThrow('stands twice: each test card is another card')
    expect(() => w.do('testCards.put', { ...kit, lost: { facility: 5, number: 77 } })).toThrow('belongs to Somebody')
  })
  it('a zone must be one', () => {
    expect(() => smallJob().do('job.edit', { fields: { zone: 'Mars/Olympus' } })).toThrow('is not a time zone')
  })
  it('a found device is matched only to a plan of its type', () => {
    const w = smallJob()
    w.put('found', {
      id: 'f',
      address: '10.1.1.50',
      port: 80,
      name: '',
      model: 'controller-4',
      serial: 'S4',
      mac: 'M',
      routable: true,
      ownership: 'factory',
      holds: null,
      seenAt: 1,
      controller: null,
    })
    expect(() => w.do('found.match', { found: 'f', controller: 'a1' })).toThrow('planned as Door controller, 2 doors')
    w.put('found', { ...(w.facts.found['f'] as NonNullable<World['facts']['found'][string]>), model: 'controller-2' })
    w.do('found.match', { found: 'f', controller: 'a1' })
    expect(w.facts.controller['a1']).toMatchObject({ serial: 'S4', mac: 'M' })
    w.do('found.match', { found: 'f', controller: null })
    expect(w.facts.found['f']?.controller).toBeNull()
    expect(() => w.do('claim.start', { controller: 'a1' })).toThrow('matched to no found device')
  })
})
