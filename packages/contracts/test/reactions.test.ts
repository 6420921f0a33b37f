import fc from 'fast-check'
import {
  causesAt,
  difference,
  marksOf,
  membersProfile,
  mayFollow,
  outcomes,
  reactionActs,
  reactionCauses,
  reactionFault,
  reactionFindings,
  scriptFor,
  testDigest,
  touching,
  twiceWithinS,
  wantedConfig,
  type DeviceEvent,
  type Reaction,
  type Test,
} from '@rauta/core'
import { Refusal, type Role } from '../src'
import { event, judged, sheets, smallJob, type World } from './world'

const hardware = {
  entryReader: 'reader-slim',
  lock: 'magnet-300',
  contact: 'contact-frame',
  exit: 'button-exit',
  breakGlass: 'break-glass',
  sounder: 'sounder-lamp',
  panelToggle: 'line-dry',
  panelState: 'state-dry',
}

/** A door with a sounder, a line that turns an alarm panel round and the panel's state, behind an expander; a second door beside it. */
function job(over: Record<string, string | undefined> = {}): World {
  const w = smallJob({ entryReader: 'reader-slim' })
  w.do('controller.put', {
    ...w.facts.controller['a1'],
    sheet: 'controller-4',
    expanders: [{ id: 'E1', sheet: 'expander-io' }],
  })
  const fitted = Object.fromEntries(Object.entries({ ...hardware, ...over }).filter(([, sheet]) => sheet !== undefined))
  w.do('door.edit', { id: 'D-01', fields: { hardware: fitted } })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a1' })
  w.do('door.add', {
    id: 'D-02',
    fields: {
      ref: 'D-02',
      name: 'Back',
      from: 'out',
      to: 'in',
      handle: true,
      hardware: { entryReader: 'reader-slim', lock: 'strike-secure' },
    },
  })
  w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
  w.do('group.put', { id: 'night', name: 'Night', parent: 'g' })
  w.do('testCards.put', { ...w.facts.testCards['kit'], second: { facility: 5, number: 9 } })
  return w
}
const react = (w: World, over: Partial<Reaction> & Pick<Reaction, 'when' | 'then'>, role: Role = 'lead'): Reaction => {
  const reaction: Reaction = { id: `re${Object.keys(w.facts.reaction).length + 1}`, door: 'D-01', ...over }
  w.do('reaction.put', reaction, role)
  return reaction
}
const sound = { then: 'pulse', output: 'H1', seconds: 10 } as const
const rulesOf = (w: World, id = 'D-01') =>
  reactionFindings(w.facts, w.door(id), sheets).map((f) => `${f.grade} ${f.rule}`)
const script = (w: World, id = 'D-01') => scriptFor(w.facts, w.door(id), sheets)
const testFor = (w: World, id: string): Test => {
  const found = script(w).find((t) => t.id === id)
  if (!found) throw new Error(`no test ${id}`)
  return found
}
const refusalOf = (then: () => unknown): Refusal => {
  try {
    then()
  } catch (error) {
    if (error instanceof Refusal) return error
    throw error
  }
  throw new Error('not refused')
}
const both = (w: World) => {
  react(w, { when: 'granted', then: 'unsetPanel' })
  react(w, { when: 'exit', then: 'setPanel' })
}

describe('a reaction by itself', () => {
  const put = (over: Record<string, unknown>, role: Role = 'lead') => {
    const w = job()
    return refusalOf(() => w.do('reaction.put', { id: 'x', door: 'D-01', when: 'granted', ...sound, ...over }, role))
  }
  it.each([
    [{ when: 'input' }, 'part'],
    [{ part: 'P4' }, 'part'],
    [{ when: 'forced', group: 'g' }, 'group'],
    [{ when: 'refused', twice: true }, 'twice'],
    [{ then: 'hold', seconds: undefined }, 'then'],
    [{ then: 'pulse', output: undefined }, 'output'],
    [{ seconds: undefined }, 'seconds'],
    [{ then: 'setPanel', seconds: undefined }, 'output'],
    [{ then: 'setPanel', output: undefined }, 'seconds'],
    [{ when: 'refused', then: 'release', output: undefined, seconds: undefined, lets: 'D-02' }, 'then'],
    [{ when: 'forced', then: 'unsetPanel', output: undefined, seconds: undefined }, 'then'],
    [{ then: 'release', output: undefined, seconds: undefined }, 'lets'],
    [{ then: 'release', output: undefined, seconds: undefined, lets: 'D-01' }, 'lets'],
    [{ lets: 'D-02' }, 'lets'],
    [{ blind: 'it is so' }, 'blind'],
    [{ output: 'K1' }, 'output'],
    [{ when: 'input', part: 'C1' }, 'part'],
    [{ group: 'nobody' }, undefined],
    [{ schedule: 'never' }, undefined],
  ])('%j is refused at %s', (over, field) => {
    const { field: at, says } = put(over)
    expect(says).not.toBe('')
    if (field) expect(at).toBe(field)
  })

  it('nothing is opened or unset by whoever is refused, forces or is forced', () => {
    const meant = ['granted', 'exit', 'desk', 'input', 'inputEnds']
    for (const when of reactionCauses)
      for (const then of ['release', 'unsetPanel'] as const)
        expect([when, then, mayFollow(when, then)]).toEqual([when, then, meant.includes(when)])
    for (const when of reactionCauses)
      expect([when, mayFollow(when, 'hold')]).toEqual([when, ['forced', 'heldOpen', 'input'].includes(when)])
  })

  it('what is wrong by itself is so for every cause and act, and what is right has no fault', () => {
    const some = fc.record({ when: fc.constantFrom(...reactionCauses), then: fc.constantFrom(...reactionActs) })
    fc.assert(
      fc.property(some, ({ when, then }) => {
        const right: Reaction = {
          id: 'x',
          door: 'D',
          when,
          then,
          ...(when === 'input' || when === 'inputEnds' ? { part: 'S1' } : {}),
          ...(then === 'pulse' || then === 'hold' ? { output: 'H1' } : {}),
          ...(then === 'pulse' ? { seconds: 3 } : {}),
          ...(then === 'release' ? { lets: 'E' } : {}),
        }
        expect(reactionFault(right)?.field).toBe(mayFollow(when, then) ? undefined : 'then')
        for (const field of ['part', 'output', 'seconds', 'lets'] as const) {
          const { [field]: had, ...without } = right
          if (had !== undefined) expect(reactionFault(without)).not.toBeNull()
        }
      }),
    )
  })

  it('stays at its door, and goes with its group, its schedule, its door and the door that it lets go', () => {
    const w = job()
    react(w, { when: 'granted', group: 'night', ...sound })
    react(w, { when: 'exit', schedule: 'day', ...sound })
    react(w, { when: 'exit', then: 'release', lets: 'D-02' })
    expect(
      refusalOf(() => w.do('reaction.put', { id: 're1', door: 'D-02', when: 'exit', then: 'release', lets: 'D-01' }))
        .field,
    ).toBe('door')
    w.do('group.remove', { id: 'night' })
    expect(Object.keys(w.facts.reaction)).toEqual(['re2', 're3'])
    w.do('schedule.remove', { id: 'day' })
    expect(Object.keys(w.facts.reaction)).toEqual(['re3'])
    w.do('door.remove', { id: 'D-02' })
    expect(Object.keys(w.facts.reaction)).toEqual([])
  })

  it('that turns a panel blindly needs the lead’s word, which nobody else can give or change', () => {
    const w = job({ panelState: undefined })
    react(w, { when: 'exit', then: 'setPanel' }, 'engineer')
    expect(rulesOf(w)).toContain('stop reaction-blind')
    const blind = { id: 're1', door: 'D-01', when: 'exit', then: 'setPanel', blind: 'The guard looks at the panel.' }
    expect(refusalOf(() => w.do('reaction.put', blind, 'engineer')).field).toBe('blind')
    w.do('reaction.put', blind)
    expect(rulesOf(w)).not.toContain('stop reaction-blind')
    w.do('reaction.put', { ...blind, schedule: 'day' }, 'engineer')
    expect(refusalOf(() => w.do('reaction.put', { ...blind, blind: 'Because I say so.' }, 'engineer')).field).toBe(
      'blind',
    )
  })
})

describe('findings stop a door whose reactions', () => {
  it.each<[string, (w: World) => void, string, Record<string, string | undefined>?]>([
    ['drive nothing that is wired', () => undefined, 'reaction-idle-part'],
    ['wait for what cannot happen', (w) => react(w, { when: 'preAlarm', ...sound }), 'reaction-never'],
    [
      'wait for an input that is gone',
      (w) => {
        react(w, { when: 'input', part: 'S1', ...sound })
        w.do('door.edit', { id: 'D-01', fields: { hardware: { ...hardware } } })
      },
      'reaction-no-part',
      { spare: 'contact-frame' },
    ],
    [
      'drive what is no output any more',
      (w) => {
        react(w, { when: 'exit', ...sound })
        const { sounder: _gone, ...rest } = hardware
        w.do('door.edit', { id: 'D-01', fields: { hardware: rest } })
      },
      'reaction-no-output',
    ],
    [
      'bring a panel that has no line',
      (w) => react(w, { when: 'exit', then: 'setPanel' }),
      'reaction-no-output',
      { panelToggle: undefined },
    ],
    [
      'turn a panel blindly',
      (w) => react(w, { when: 'exit', then: 'setPanel' }),
      'reaction-blind',
      { panelState: undefined },
    ],
    [
      'want the panel both ways at once',
      (w) => {
        react(w, { when: 'exit', then: 'setPanel' })
        react(w, { when: 'exit', then: 'unsetPanel' })
      },
      'reaction-contrary',
    ],
    [
      'drive one output twice at the same thing',
      (w) => {
        react(w, { when: 'granted', ...sound })
        react(w, { when: 'granted', group: 'night', ...sound, seconds: 20 })
      },
      'reaction-twice-driven',
    ],
    [
      'wait for a second showing that is refused',
      (w) => {
        w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, reentryS: 30 } } })
        react(w, { when: 'granted', twice: true, ...sound })
      },
      'reaction-twice-never',
    ],
    [
      'let go a door on another controller',
      (w) => {
        w.controller('a2', 'controller-4')
        w.do('door.placeProposed', { id: 'D-02', controller: 'a2' })
        react(w, { when: 'exit', then: 'release', lets: 'D-02' })
      },
      'reaction-elsewhere',
    ],
    [
      'sound under duress',
      (w) => {
        w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, code: 'with' } } })
        react(w, { when: 'duress', ...sound })
      },
      'reaction-duress-heard',
      { entryReader: 'reader-card-keypad' },
    ],
    [
      'are more than its controller keeps',
      (w) => {
        for (let i = 0; i < 25; i++) react(w, { when: 'exit', ...sound })
      },
      'reaction-full',
    ],
  ])('%s', (_name, make, rule, over = {}) => {
    const w = job(over)
    expect(rulesOf(w)).not.toContain(rule === 'reaction-idle-part' ? '' : `stop ${rule}`)
    make(w)
    expect(rulesOf(w)).toContain(`stop ${rule}`)
    const { load } = marksOf(w.facts, w.door(), sheets)
    expect(load.findings.map((f) => f.rule)).toContain(rule)
    expect(load.sign).toBe('stopped')
  })

  it('stand at a type of controller that keeps none', () => {
    const w = job()
    both(w)
    const { reactions: _none, ...facts } = sheets['controller-4']?.controller ?? fail()
    const plain = { ...sheets, 'controller-4': { ...(sheets['controller-4'] ?? fail()), controller: facts } }
    expect(reactionFindings(w.facts, w.door(), plain).map((f) => f.rule)).toContain('reaction-not-kept')
    expect(wantedConfig(w.facts, w.facts.controller['a1'] ?? fail(), plain).config['reactions/D-01']).toBeUndefined()
  })

  it('none of these where all is right', () => {
    const w = job()
    both(w)
    react(w, { when: 'forced', then: 'hold', output: 'H1' })
    expect(rulesOf(w)).toEqual([])
    w.do('reaction.put', { id: 're3', door: 'D-01', when: 'heldOpen', then: 'hold', output: 'H1' })
    expect(rulesOf(w)).toEqual([])
  })

  it('two reactions of the panel may differ in their hours alone', () => {
    const w = job({ sounder: undefined })
    react(w, { when: 'exit', then: 'setPanel', schedule: 'day' })
    react(w, { when: 'exit', then: 'unsetPanel' })
    expect(rulesOf(w)).toEqual([])
  })
})

describe('what a controller is told of them', () => {
  const told = (w: World, key = 'reactions/D-01') => w.wanted()[key]
  it('is each in full, a panel by the line that turns it unless it stands so', () => {
    const w = job()
    both(w)
    react(w, { when: 'granted', group: 'night', twice: true, schedule: 'day', ...sound, seconds: 2.2 })
    react(w, { when: 'exit', then: 'release', lets: 'D-02' })
    react(w, { when: 'input', part: 'P4', then: 'hold', output: 'H1' })
    expect(told(w)).toEqual({
      re1: { when: 'granted', then: 'pulse', output: 'P3', seconds: 1, unless: 'P4', is: 'idle' },
      re2: { when: 'exit', then: 'pulse', output: 'P3', seconds: 1, unless: 'P4', is: 'active' },
      re3: {
        when: 'granted',
        members: `${membersProfile}night`,
        twiceWithin: twiceWithinS,
        schedule: 'day',
        then: 'pulse',
        output: 'H1',
        seconds: 2,
      },
      re4: { when: 'exit', then: 'release', lets: 'D-02' },
      re5: { when: 'input', input: 'P4', then: 'hold', output: 'H1' },
    })
    expect(told(w, 'test/reactions/rauta-D-01')).toEqual({
      re3: {
        when: 'granted',
        members: `${membersProfile}night`,
        twiceWithin: twiceWithinS,
        then: 'pulse',
        output: 'H1',
        seconds: 2,
      },
    })
    expect(told(w, 'reactions/D-02')).toBeUndefined()
    expect(w.roundings('a1').map((r) => r.says)).toContain('Time of a reaction 2.2 s becomes 2 s on this device.')
  })

  it('a line for each way goes before one that turns', () => {
    const w = job({ panelSet: 'line-dry', panelUnset: 'line-dry' })
    both(w)
    expect(told(w)).toMatchObject({ re1: { output: 'P2' }, re2: { output: 'P1' } })
    expect(JSON.stringify(told(w))).not.toContain('unless')
  })

  it('whoever is of its group is known as such where they may pass, by which nobody gets in anywhere', () => {
    const w = job()
    const person = (id: string, number: number, groups: string[]) =>
      w.do('person.put', {
        id,
        number: id,
        name: id,
        cards: [{ id: `c${id}`, facility: 5, number, state: 'in use' }],
        groups,
      })
    person('n', 100, ['night'])
    person('s', 101, ['g'])
    const profilesOf = (card: string) => (w.wanted()[`credential/${card}`] as { profiles: string[] }).profiles
    expect(profilesOf('cn')).toEqual(['g'])
    react(w, { when: 'granted', group: 'night', ...sound })
    const members = `${membersProfile}night`
    expect(profilesOf('cn')).toEqual(['g', members])
    expect(profilesOf('cs')).toEqual(['g'])
    expect(w.wanted()[`profile/${members}`]).toEqual({ name: 'Members of Night', policies: [] })
    const testCard = w.wanted()['test/credential/rauta-good'] as { profiles: string[] }
    expect(testCard.profiles).toEqual([members, 'rauta-good'])
    expect((w.wanted()['test/credential/rauta-second'] as { profiles: string[] }).profiles).toEqual(['rauta-good'])
    expect(refusalOf(() => w.do('group.put', { id: `${membersProfile}x`, name: 'X' })).says).toContain('can’t begin')
  })

  it('a group that a device forgets touches the door that asks for it, and no other', () => {
    const w = job()
    react(w, { when: 'granted', group: 'night', ...sound })
    w.loaded()
    const { [`profile/${membersProfile}night`]: _gone, ...rest } = w.held()
    w.holds(rest)
    const changes = difference(w.held(), w.wanted())
    expect(changes).toHaveLength(1)
    expect(touching(changes, 'D-01', w.held(), w.wanted())).toHaveLength(1)
    expect(touching(changes, 'D-02', w.held(), w.wanted())).toHaveLength(0)
  })

  it('one that joins the group touches the door that asks for it, and no other', () => {
    const w = job()
    w.do('rule.put', { id: 'r2', group: 'g', doors: ['D-01', 'D-02'], schedule: 'day' })
    react(w, { when: 'granted', group: 'night', ...sound })
    w.loaded()
    const { past: _past, ...person } = w.facts.person['p'] ?? fail()
    w.do('person.put', { ...person, groups: ['g', 'night'] })
    const changes = difference(w.held(), w.wanted())
    expect(changes.length).toBeGreaterThan(0)
    expect(touching(changes, 'D-01', w.held(), w.wanted())).toHaveLength(1)
    expect(touching(changes, 'D-02', w.held(), w.wanted())).toHaveLength(0)
  })

  it('its schedule goes along, and another hour of it touches its door alone', () => {
    const w = job()
    w.do('schedule.put', { id: 'dusk', name: 'Dusk', periods: [{ days: [1], from: '17:00', to: '19:00' }] })
    expect(w.wanted()['schedule/dusk']).toBeUndefined()
    react(w, { when: 'exit', schedule: 'dusk', ...sound })
    expect(w.wanted()['schedule/dusk']).toBeDefined()
    w.loaded()
    w.do('schedule.put', { id: 'dusk', name: 'Dusk', periods: [{ days: [1], from: '17:00', to: '20:00' }] })
    const changes = difference(w.held(), w.wanted())
    expect(touching(changes, 'D-01', w.held(), w.wanted()).map((d) => d.key)).toEqual(['schedule/dusk'])
    expect(touching(changes, 'D-02', w.held(), w.wanted())).toEqual([])
  })
})
const fail = (): never => {
  throw new Error('gone')
}

describe('its tests', () => {
  it('there is one for each, and another where it asks for a group; each proves its output', () => {
    const w = job()
    both(w)
    react(w, { when: 'granted', group: 'night', ...sound })
    const ids = script(w).map((t) => t.id)
    for (const id of ['reaction-re1', 'reaction-re2', 'reaction-re3', 'reaction-re3-others', 'panel-P4'])
      expect(ids).toContain(id)
    expect(testFor(w, 'reaction-re1').proves).toEqual(['P3.panelToggle'])
    expect(testFor(w, 'reaction-re3').proves).toEqual(['H1.sounder'])
    expect(testFor(w, 'reaction-re1').instruction).toContain('Have the alarm panel set first.')
    expect(testFor(w, 'reaction-re2').instruction).toContain('Have the alarm panel unset first.')
    expect(marksOf(w.facts, w.door(), sheets).plan.findings.map((f) => f.rule)).not.toContain('untested')
  })

  it('that it keeps still for others is tried where it would come: with the panel as it would be found', () => {
    const w = job()
    react(w, { when: 'granted', group: 'night', then: 'unsetPanel' })
    expect(testFor(w, 'reaction-re1-others').instruction).toContain('Have the alarm panel set first.')
  })

  it('every cause that can happen at a door has a test, whatever follows', () => {
    const full = { ...hardware, entryReader: 'reader-card-keypad', deskButton: 'button-desk', spare: 'contact-frame' }
    const w = job(full)
    w.do('testCards.put', { ...w.facts.testCards['kit'], codes: { good: '7391', duress: '7394', unknown: '5183' } })
    w.do('door.edit', {
      id: 'D-01',
      fields: { behaviour: { ...w.door().behaviour, code: 'with', preAlarmS: 5, forcedAlarm: true } },
    })
    expect(causesAt(w.door(), sheets).sort()).toEqual([...reactionCauses].sort())
    for (const when of reactionCauses) {
      for (const id of Object.keys(w.facts.reaction)) w.do('reaction.remove', { id })
      const part = when === 'input' || when === 'inputEnds' ? { part: 'S1' } : {}
      const { id } = react(w, { when, ...part, then: 'pulse', output: 'H1', seconds: 4 })
      const test = testFor(w, `reaction-${id}`)
      expect([when, test.judge.kind, test.instruction !== '', test.depends.includes(`reactions.${id}`)]).toEqual([
        when,
        'reaction',
        true,
        true,
      ])
    }
  })

  it('its proof goes stale with it, with its output and with nothing of another', () => {
    const w = job()
    both(w)
    const { id } = react(w, { when: 'exit', ...sound })
    const digest = () => testDigest(w.facts, w.door(), testFor(w, `reaction-${id}`), w.wanted())
    const before = digest()
    const others = () => testDigest(w.facts, w.door(), testFor(w, 'reaction-re1'), w.wanted())
    const other = others()
    w.do('reaction.put', { id, door: 'D-01', when: 'exit', ...sound, seconds: 11 })
    expect(digest()).not.toBe(before)
    expect(others()).toBe(other)
  })
})

describe('of any door', () => {
  it('each reaction has a test of its own, or the door is stopped', () => {
    const some = (sheet: string) => fc.constantFrom('', sheet)
    const mostly = (sheet: string) => fc.constantFrom('', sheet, sheet, sheet, sheet, sheet)
    const doors = fc.record({
      entryReader: fc.constantFrom('', 'reader-slim', 'reader-card-keypad', 'reader-keypad'),
      lock: mostly('magnet-300'),
      contact: mostly('contact-frame'),
      exit: mostly('button-exit'),
      exitSensor: some('sensor-exit'),
      deskButton: some('button-desk'),
      breakGlass: mostly('break-glass'),
      tamper: some('switch-tamper'),
      spare: some('contact-frame'),
      sounder: some('sounder-lamp'),
      panelState: some('state-dry'),
    })
    let tested = 0
    fc.assert(
      fc.property(
        doors,
        fc.constantFrom(...reactionCauses),
        fc.constantFrom('with', 'instead', 'alone', undefined),
        fc.constantFrom(undefined, 5),
        (fitted, when, code, preAlarmS) => {
          const w = job({
            panelToggle: undefined,
            ...Object.fromEntries(Object.entries(fitted).map(([role, sheet]) => [role, sheet || undefined])),
          })
          const part = w.door().parts.find((p) => p.role === 'spare' || p.role === 'panelState')?.id
          if ((when === 'input' || when === 'inputEnds') && !part) return
          const { code: _code, preAlarmS: _pre, ...plain } = w.door().behaviour
          w.do('door.edit', {
            id: 'D-01',
            fields: { behaviour: { ...plain, ...(code ? { code } : {}), ...(preAlarmS ? { preAlarmS } : {}) } },
          })
          const ofInput = when === 'input' || when === 'inputEnds'
          const act = fitted.sounder ? sound : ({ then: 'release', lets: 'D-02' } as const)
          if (!mayFollow(when, act.then)) return
          const { id } = react(w, { when, ...(ofInput && part ? { part } : {}), ...act })
          const { plan, load } = marksOf(w.facts, w.door(), sheets)
          const stopped = [...plan.findings, ...load.findings].some((f) => f.grade === 'stop')
          const has = script(w).some((t) => t.id === `reaction-${id}` && t.judge.kind === 'reaction')
          if (!stopped) tested += 1
          expect([fitted, when, code, stopped || has]).toEqual([fitted, when, code, true])
        },
      ),
      { numRuns: 400 },
    )
    expect(tested).toBeGreaterThan(20)
  })
})

describe('is judged', () => {
  const t0 = Date.parse('2026-11-24T09:00:00Z')
  const ev = (s: number, kind: DeviceEvent['kind'], state: string, over: Partial<DeviceEvent> = {}) =>
    event(t0, s, kind, state, over)
  const verdict = (w: World, id: string, events: DeviceEvent[]) => {
    const { state, says } = judged(testFor(w, id), t0, events)
    return [state, says]
  }
  const on = (s: number, part = 'H1') => ev(s, 'output', 'active', { part })
  const off = (s: number, part = 'H1') => ev(s, 'output', 'idle', { part })
  const exit = (s: number) => ev(s, 'exit', 'active', { part: 'X1' })
  const panel = (s: number, set: boolean) => ev(s, 'input', set ? 'active' : 'idle', { part: 'P4' })

  it.each<[string, DeviceEvent[], string]>([
    ['nothing yet', [], 'waiting'],
    ['only the cause', [exit(1)], 'waiting'],
    ['on in time and off in time', [exit(1), on(1.2), off(11)], 'passed'],
    ['off too soon', [exit(1), on(1.2), off(4)], 'failed'],
    ['off too late', [exit(1), on(1.2), off(15)], 'failed'],
    ['on too late', [exit(1), on(4), off(14)], 'failed'],
    ['another output', [exit(1), on(1.1, 'P3'), off(11, 'P3')], 'waiting'],
    ['on before its cause', [on(1), exit(1.5), off(11)], 'not judged'],
    ['on before its cause, and off again', [on(0.2), off(0.9), exit(1.5), on(1.6), off(11.5)], 'passed'],
  ])('a pulse: %s', (_name, events, state) => {
    const w = job()
    react(w, { when: 'exit', ...sound })
    expect(verdict(w, 'reaction-re1', events)[0]).toBe(state)
  })

  it.each<[string, DeviceEvent[], string]>([
    ['still on', [ev(1, 'alarm', 'forced'), on(1.1)], 'waiting'],
    ['off once it is over', [ev(1, 'alarm', 'forced'), on(1.1), ev(9, 'alarm', 'none'), off(9.1)], 'passed'],
    ['off before', [ev(1, 'alarm', 'forced'), on(1.1), off(3), ev(9, 'alarm', 'none')], 'failed'],
    ['on for longer', [ev(1, 'alarm', 'forced'), on(1.1), ev(9, 'alarm', 'none'), off(13)], 'failed'],
    ['over, still on', [ev(1, 'alarm', 'forced'), on(1.1), ev(9, 'alarm', 'none')], 'waiting'],
  ])('held while it lasts: %s', (_name, events, state) => {
    const w = job()
    react(w, { when: 'forced', then: 'hold', output: 'H1' })
    expect(verdict(w, 'reaction-re1', events)[0]).toBe(state)
  })

  it.each<[string, DeviceEvent[], string]>([
    ['set in the end', [exit(1), on(1.1, 'P3'), panel(3, true)], 'passed'],
    ['unset in the end', [exit(1), on(1.1, 'P3'), panel(3, false)], 'failed'],
    ['driven, and nothing said', [exit(1), on(1.1, 'P3'), off(2.1, 'P3')], 'waiting'],
    ['said before it was driven', [exit(1), panel(1.05, true), on(1.1, 'P3')], 'waiting'],
  ])('a panel that is set: %s', (_name, events, state) => {
    const w = job()
    both(w)
    expect(verdict(w, 'reaction-re2', events)).toEqual([state, expect.any(String)])
  })

  const good = (w: World) => testFor(w, 'good-card').cards[0] ?? fail()
  const card = (w: World, s: number, kind: 'granted' | 'refused' = 'granted', hex = good(w)) =>
    ev(s, kind, kind === 'granted' ? 'granted' : 'hours', { card: hex, reader: 'R1' })
  it('shown twice: once is not enough, and twice is', () => {
    const w = job()
    react(w, { when: 'granted', twice: true, ...sound })
    expect(verdict(w, 'reaction-re1', [card(w, 1)])[0]).toBe('waiting')
    expect(verdict(w, 'reaction-re1', [card(w, 1), on(1.1)])[0]).toBe('failed')
    expect(verdict(w, 'reaction-re1', [card(w, 1), card(w, 3), on(3.1), off(13.1)])[0]).toBe('passed')
    expect(verdict(w, 'reaction-re1', [card(w, 1), card(w, 3, 'refused')])[0]).toBe('failed')
  })

  it('for others: released and locked again with nothing else passes, its output fails', () => {
    const w = job()
    react(w, { when: 'granted', group: 'night', ...sound })
    const hex = testFor(w, 'reaction-re1-others').cards[0] ?? fail()
    expect(hex).not.toBe(good(w))
    const let_ = [card(w, 1, 'granted', hex), ev(1.1, 'lock', 'unlocked')]
    expect(verdict(w, 'reaction-re1-others', let_)[0]).toBe('waiting')
    expect(verdict(w, 'reaction-re1-others', [...let_, ev(6, 'lock', 'locked')])[0]).toBe('passed')
    expect(verdict(w, 'reaction-re1-others', [...let_, on(2), ev(6, 'lock', 'locked')])[0]).toBe('failed')
  })

  it('another door that is let go: at once, not later, and not a third one', () => {
    const w = job()
    react(w, { when: 'exit', then: 'release', lets: 'D-02' })
    const other = (s: number, door = 'D-02') => ev(s, 'lock', 'unlocked', { door })
    expect(verdict(w, 'reaction-re1', [exit(1)])[0]).toBe('waiting')
    expect(verdict(w, 'reaction-re1', [exit(1), other(1.1)])[0]).toBe('passed')
    expect(verdict(w, 'reaction-re1', [exit(1), other(4)])[0]).toBe('failed')
    expect(verdict(w, 'reaction-re1', [exit(1), other(1.1, 'D-03')])[0]).toBe('waiting')
    expect(verdict(w, 'reaction-re1', [other(0.5), exit(1)])[0]).toBe('waiting')
  })

  it('an input: when it comes, and when it goes', () => {
    const w = job({ spare: 'contact-frame' })
    react(w, { when: 'input', part: 'S1', then: 'hold', output: 'H1' })
    react(w, { when: 'inputEnds', part: 'S1', ...sound })
    const input = (s: number, state: string) => ev(s, 'input', state, { part: 'S1' })
    expect(verdict(w, 'reaction-re1', [input(1, 'active'), on(1.1), input(3, 'idle'), off(3.1)])[0]).toBe('passed')
    expect(verdict(w, 'reaction-re2', [input(1, 'active'), on(1.1), off(1.2)])[0]).toBe('waiting')
    expect(verdict(w, 'reaction-re2', [input(1, 'active'), input(3, 'idle'), on(3.1), off(13.1)])[0]).toBe('passed')
    expect(testFor(w, 'spare-S1').judge).toMatchObject({ quiet: false })
  })
})

describe('tried dry', () => {
  const monday10 = Date.parse('2026-11-23T08:00:00Z')
  it('each says whether it comes, and why not', () => {
    const w = job()
    w.do('person.put', { id: 'n', number: '9', name: 'N', cards: [], groups: ['night'] })
    react(w, { when: 'granted', group: 'night', ...sound })
    react(w, { when: 'granted', twice: true, ...sound })
    react(w, { when: 'granted', schedule: 'day', ...sound })
    react(w, { when: 'granted', then: 'unsetPanel' })
    react(w, { when: 'exit', ...sound })
    const of = (over: Partial<Parameters<typeof outcomes>[1]> = {}) =>
      outcomes(w.facts, { door: 'D-01', what: 'granted', person: 'n', at: monday10, panelSet: true, ...over }).map(
        (o) => o.not,
      )
    expect(of()).toEqual([null, 'notTwice', null, null])
    expect(of({ person: 'p' })).toEqual(['notOfGroup', 'notTwice', null, null])
    expect(of({ againAfterS: 4 })).toEqual([null, null, null, null])
    expect(of({ againAfterS: 6 })).toEqual([null, 'notTwice', null, null])
    expect(of({ at: monday10 + 12 * 3_600_000 })).toEqual([null, 'notTwice', 'hours', null])
    expect(of({ panelSet: false })[3]).toBe('panelIsSo')
    const { panelSet: _unknown, ...blind } = { door: 'D-01', what: 'granted' as const, at: monday10, panelSet: true }
    expect(outcomes(w.facts, blind)[3]?.not).toBe('panelUnknown')
    expect(of({ what: 'forced' })).toEqual([])
  })
})
