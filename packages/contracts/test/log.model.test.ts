import fc from 'fast-check'
import { all, applyChanges, emptyFacts, type Change, type Facts } from '@rauta/core'
import { commands } from '../src'
import { reversed, sheets } from './world'

/**
 * Random commands against a slow, obvious model: whatever is asked for, the facts stay consistent, every change can be
 * taken back, and facts rebuilt from the log are those that the commands left.
 */
type Step = [string, Record<string, unknown>]
const ids = fc.constantFrom('a', 'b', 'c')
const hardware = fc.constantFrom<Record<string, string>>(
  {},
  { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' },
  {
    entryReader: 'reader-wall',
    lock: 'magnet-300',
    contact: 'contact-frame',
    exit: 'button-exit',
    breakGlass: 'break-glass',
  },
  { entryReader: 'reader-slim' },
)
const step: fc.Arbitrary<Step> = fc.oneof(
  fc.tuple(
    fc.constant('door.add'),
    fc.record({
      id: ids,
      fields: fc.record({
        ref: fc.constantFrom('D-1', 'D-2', 'D-3'),
        name: fc.constant('n'),
        from: fc.constantFrom('x', 'y', 'nowhere'),
        to: fc.constant('y'),
        hardware,
      }),
    }),
  ),
  fc.tuple(
    fc.constant('door.edit'),
    fc.record({
      id: ids,
      fields: fc.record({ ref: fc.constantFrom('D-1', 'D-2', 'D-3'), hardware }, { requiredKeys: [] }),
    }),
  ),
  fc.tuple(fc.constant('door.placeProposed'), fc.record({ id: ids, controller: fc.constantFrom('k', 'l', 'none') })),
  fc.tuple(fc.constant('door.remove'), fc.record({ id: ids })),
  fc.tuple(
    fc.constant('person.put'),
    fc.record({
      id: ids,
      number: fc.constantFrom('', '1', '2'),
      name: fc.constant('n'),
      groups: fc.subarray(['g', 'h']),
      cards: fc.array(
        fc.record({
          id: ids,
          facility: fc.constantFrom(1, 300),
          number: fc.constantFrom(1, 2),
          state: fc.constant('in use'),
        }),
        { maxLength: 2 },
      ),
    }),
  ),
  fc.tuple(fc.constant('person.remove'), fc.record({ id: ids })),
  fc.tuple(fc.constant('group.put'), fc.record({ id: fc.constantFrom('g', 'h'), name: fc.constant('n') })),
  fc.tuple(fc.constant('group.remove'), fc.record({ id: fc.constantFrom('g', 'h') })),
  fc.tuple(
    fc.constant('schedule.put'),
    fc.record({
      id: fc.constant('s'),
      name: fc.constant('n'),
      periods: fc.constant([{ days: [1], from: '08:00', to: '09:00' }]),
    }),
  ),
  fc.tuple(fc.constant('schedule.remove'), fc.record({ id: fc.constant('s') })),
  fc.tuple(
    fc.constant('rule.put'),
    fc.record({
      id: ids,
      group: fc.constantFrom('g', 'h'),
      doors: fc.subarray(['a', 'b', 'c'], { minLength: 1 }),
      schedule: fc.constant('s'),
    }),
  ),
)

function begin(): Facts {
  let facts = emptyFacts()
  const base: Step[] = [
    [
      'job.create',
      {
        name: 'J',
        client: '',
        site: '',
        zone: 'UTC',
        network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.1' },
        publicKey: '',
      },
    ],
    ['area.put', { id: 'x', code: 'X', name: 'X' }],
    ['area.put', { id: 'y', code: 'Y', name: 'Y' }],
    [
      'controller.put',
      {
        id: 'k',
        ref: 'K',
        sheet: 'controller-2',
        cabinet: 'c',
        supply: 'supply-5',
        address: '10.1.1.21',
        serial: '',
        mac: '',
      },
    ],
    [
      'controller.put',
      {
        id: 'l',
        ref: 'L',
        sheet: 'controller-2',
        cabinet: 'c',
        supply: 'supply-5',
        address: '10.1.1.22',
        serial: '',
        mac: '',
      },
    ],
  ]
  for (const [name, payload] of base) facts = applyChanges(facts, run(facts, name, payload) ?? [], facts.rev + 1)
  return facts
}

/** Changes of a command, or null where it refuses. */
function run(facts: Facts, name: string, payload: Record<string, unknown>): Change[] | null {
  try {
    return (
      commands[name]?.apply(facts, payload as never, {
        id: `${name}-${facts.rev}`,
        by: 'v',
        role: 'lead',
        at: facts.rev,
        sheets,
      }) ?? null
    )
  } catch (error) {
    if ((error as { says?: string }).says === undefined) throw error
    return null
  }
}

function inconsistencies(facts: Facts): string[] {
  const found: string[] = []
  const refs = all(facts, 'door').map((d) => d.ref)
  if (new Set(refs).size !== refs.length) found.push('a reference is used twice')
  const groups = all(facts, 'door').flatMap((d) =>
    d.placement ? [`${d.placement.controller} ${d.placement.portGroup}`] : [],
  )
  if (new Set(groups).size !== groups.length) found.push('a port group serves two doors')
  const cards = all(facts, 'person').flatMap((p) => p.cards.map((c) => `${c.facility} ${c.number}`))
  if (new Set(cards).size !== cards.length) found.push('a card belongs to two people')
  const numbers = all(facts, 'person')
    .map((p) => p.number)
    .filter(Boolean)
  if (new Set(numbers).size !== numbers.length) found.push('a number belongs to two people')
  for (const person of all(facts, 'person'))
    if (person.groups.some((g) => !facts.group[g])) found.push('a person is in a group that is not there')
  for (const rule of all(facts, 'rule')) {
    if (!facts.group[rule.group ?? ''] || !facts.schedule[rule.schedule]) found.push('a rule names what is not there')
    if (rule.doors.some((d) => !facts.door[d])) found.push('a rule names a door that is not there')
  }
  for (const door of all(facts, 'door')) {
    if (!facts.area[door.from] || !facts.area[door.to]) found.push('a door leads nowhere')
    const ids_ = door.cables.map((c) => c.id)
    if (new Set(ids_).size !== ids_.length) found.push('two cables of a door share an id')
    if (door.cables.length !== door.parts.length) found.push('a part has no cable, or a cable no part')
    for (const key of Object.keys(door.placement?.terminals ?? {}))
      if (!door.parts.some((p) => key.startsWith(`${p.id}.`))) found.push('a terminal is kept for a part that is gone')
  }
  return found
}

describe('the change log against an obvious model', () => {
  it('keeps the facts consistent whatever is asked for', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
        let facts = begin()
        const log: Change[][] = []
        for (const [name, payload] of steps) {
          const changes = run(facts, name, payload)
          if (!changes) continue
          const next = applyChanges(facts, changes, facts.rev + 1)
          expect(applyChanges(next, reversed(changes), facts.rev)).toEqual(facts)
          log.push(changes)
          facts = next
          expect([name, inconsistencies(facts)]).toEqual([name, []])
        }
        const start = begin()
        expect(log.reduce((f, changes) => applyChanges(f, changes, f.rev + 1), start)).toEqual(facts)
      }),
      { numRuns: 150 },
    )
  })
})
