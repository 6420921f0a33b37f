import { all, emptyFacts, hangingOn, removables, type Removable } from '@rauta/core'
import { commands } from '../src'
import { magnetHardware, smallJob, strikeHardware, type World } from './world'

/** Taking things out of a job: what hangs on them is said first, and nothing is left that points to what is gone. */
function job(): World {
  const w = smallJob(magnetHardware)
  w.do('door.add', {
    id: 'D-02',
    fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', handle: true, hardware: strikeHardware },
  })
  w.do('rule.put', { id: 'r2', group: 'g', doors: ['D-01', 'D-02'], schedule: 'day' })
  w.do('doorSet.put', { id: 'set', name: 'Both doors', doors: ['D-01', 'D-02'] })
  w.do('rule.put', { id: 'own', person: 'p', doors: ['D-02'], schedule: 'day' })
  w.do('specialDay.put', { id: 'sd', date: '2031-12-24', name: 'shut', periods: [] })
  w.do('reaction.put', { id: 're', door: 'D-01', when: 'exit', then: 'release', lets: 'D-02' })
  w.do('area.put', { id: 'spare', code: 'X', name: 'Spare' })
  w.do('cabinetPlace.put', { id: 'Old riser', x: 1, y: 2 })
  w.do('door.edit', { id: 'D-02', fields: { distances: { 'Old riser': 12, Riser: 20 } } })
  w.do('cabinet.check', { controller: 'a1', item: 'earth', done: true })
  return w
}
const ids: Readonly<Record<Removable, string>> = {
  person: 'p',
  group: 'g',
  rule: 'r',
  reaction: 're',
  doorSet: 'set',
  schedule: 'day',
  specialDay: 'sd',
  area: 'spare',
  cabinetPlace: 'Old riser',
  controller: 'a1',
  door: 'D-01',
}
const says = (w: World, kind: Removable, id = ids[kind]) => {
  const { first, goes } = hangingOn(w.facts, kind, id)
  return [first, ...goes].filter(Boolean).join(' ')
}

/** Ids that a record speaks of and that are not there. */
function dangling(w: World): string[] {
  const { facts } = w
  const missing = (what: string, ok: boolean) => (ok ? [] : [what])
  return [
    ...all(facts, 'person').flatMap((p) =>
      p.groups.flatMap((g) => missing(`group ${g} of ${p.name}`, !!facts.group[g])),
    ),
    ...all(facts, 'rule').flatMap((r) => [
      ...missing(
        `group ${r.group} or person ${r.person}`,
        !!facts.group[r.group ?? ''] || !!facts.person[r.person ?? ''],
      ),
      ...missing(`schedule ${r.schedule}`, !!facts.schedule[r.schedule]),
      ...r.doors.flatMap((d) => missing(`door ${d}`, !!facts.door[d])),
    ]),
    ...all(facts, 'reaction').flatMap((r) => [
      ...missing(`door ${r.door}`, !!facts.door[r.door]),
      ...missing(`door ${r.lets} that is let go`, r.lets === undefined || !!facts.door[r.lets]),
      ...missing(`schedule ${r.schedule}`, r.schedule === undefined || !!facts.schedule[r.schedule]),
      ...missing(`group ${r.group}`, r.group === undefined || !!facts.group[r.group]),
    ]),
    ...all(facts, 'doorSet').flatMap((s) => s.doors.flatMap((d) => missing(`door ${d} of ${s.name}`, !!facts.door[d]))),
    ...all(facts, 'door').flatMap((d) => [
      ...missing(`from ${d.from}`, !!facts.area[d.from]),
      ...missing(`to ${d.to}`, !!facts.area[d.to]),
      ...(d.placement ? missing(`controller of ${d.ref}`, !!facts.controller[d.placement.controller]) : []),
    ]),
    ...all(facts, 'found').flatMap((f) =>
      f.controller ? missing(`match of ${f.id}`, !!facts.controller[f.controller]) : [],
    ),
    ...(['cabinet', 'held', 'claim', 'reach', 'powerPlan'] as const).flatMap((kind) =>
      Object.keys(facts[kind]).flatMap((id) => missing(`${kind} ${id}`, !!facts.controller[id])),
    ),
    ...all(facts, 'heldParts').flatMap((h) => missing(`what ${h.controller} holds`, !!facts.controller[h.controller])),
  ]
}

describe('taking something out of a job', () => {
  it.each(removables.map((kind) => [kind] as const))('a %s goes, and nothing is left that points to it', (kind) => {
    const w = job()
    const before = hangingOn(w.facts, kind, ids[kind])
    expect(before.first).toBe('')
    w.do(`${kind}.remove`, { id: ids[kind] })
    expect(w.facts[kind][ids[kind]]).toBeUndefined()
    expect(dangling(w)).toEqual([])
    expect(() => w.do(`${kind}.remove`, { id: ids[kind] })).toThrow('There is no')
  })

  it('what hangs on it is said first, by reference and number', () => {
    const w = job()
    expect(says(w, 'group')).toBe('1 person loses it. 2 rules go with it: nobody passes D-01, D-02 by them any more.')
    expect(says(w, 'schedule')).toContain('3 rules go with it')
    expect(says(w, 'person')).toBe(
      '1 card of theirs no longer opens anything, once the devices are loaded. 1 rule goes with it: nobody passes D-02 by it any more.',
    )
    expect(says(w, 'rule')).toBe('Staff no longer passes D-01 by it.')
    expect(says(w, 'specialDay')).toBe('On 2031-12-24 every schedule runs as on any such weekday.')
    expect(says(w, 'cabinetPlace')).toBe('How far 1 door is from it is forgotten.')
    expect(says(w, 'controller')).toBe('D-01 loses its place on it. What was checked off in its cabinet goes.')
    expect(says(w, 'door')).toBe(
      'Its terminals become free. 2 rules no longer name it. 1 reaction goes with it, at D-01.',
    )
    for (const kind of removables) expect(typeof says({ facts: emptyFacts() } as World, kind, 'nobody')).toBe('string')
  })

  it('a cabinet is called otherwise everywhere at once, or stays', () => {
    const w = job()
    w.do('cabinetPlace.put', { id: 'Riser', x: 3, y: 4 })
    w.do('cabinet.rename', { id: 'Riser', name: ' Riser 1 ' })
    expect(w.facts.controller['a1']?.cabinet).toBe('Riser 1')
    expect(w.facts.cabinetPlace).toMatchObject({ 'Riser 1': { id: 'Riser 1', x: 3, y: 4 } })
    expect(w.facts.cabinetPlace['Riser']).toBeUndefined()
    expect(w.door('D-02').distances).toEqual({ 'Old riser': 12, 'Riser 1': 20 })
    for (const [id, name, why] of [
      ['Riser', 'X', 'There is no cabinet Riser'],
      ['Riser 1', 'Old riser', 'There is a cabinet Old riser already'],
      ['Riser 1', '   ', 'needs a name'],
    ])
      expect(() => w.do('cabinet.rename', { id, name })).toThrow(why)
    expect(() => w.do('cabinetPlace.remove', { id: 'Riser 1' })).toThrow('A1 hangs in it. Plan it elsewhere first.')
    w.do('cabinetPlace.remove', { id: 'Old riser' })
    expect(w.door('D-02').distances).toEqual({ 'Riser 1': 20 })
  })

  it('what must not go stays, and says what to do first', () => {
    const w = job()
    expect(says(w, 'area', 'out')).toBe('D-01, D-02 lead to or from it. Let them lead elsewhere first.')
    expect(() => w.do('area.remove', { id: 'out' })).toThrow('Outside stays: D-01, D-02 lead to or from it.')
    w.do('area.put', { id: 'inner', code: 'Y', name: 'Inner', parent: 'spare' })
    expect(() => w.do('area.remove', { id: 'spare' })).toThrow('Inner is part of it')
    w.reached()
    expect(() => w.do('controller.remove', { id: 'a1' })).toThrow('It is in service and holds this job’s password')
    w.put('proof', {
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
    expect(() => w.do('door.remove', { id: 'D-01' })).toThrow('recorded tests')
    w.put('reach', { ...(w.facts.reach['a1'] as NonNullable<World['facts']['reach'][string]>), owned: false })
    expect(() => w.do('controller.remove', { id: 'a1' })).toThrow('D-01 has recorded tests on it')
    w.controller('a2', 'controller-2')
    w.do('controller.put', {
      id: 'a3',
      ref: 'A3',
      sheet: 'controller-2',
      cabinet: 'Riser',
      supply: '',
      address: '',
      serial: '',
      mac: '',
      fedFrom: { controller: 'a2', lengthM: 2, type: { kind: 'iec', conductorClass: 2, mm2: 1.5, cores: 2 } },
    })
    expect(() => w.do('controller.remove', { id: 'a2' })).toThrow('A3 is fed on from it')
  })

  it('is a command for each of them, and only the lead takes doors, areas and controllers away', () => {
    for (const kind of removables)
      expect(commands[`${kind}.remove`]?.roles).toEqual(
        ['door', 'area', 'controller'].includes(kind) ? ['lead'] : ['lead', 'engineer'],
      )
  })
})
