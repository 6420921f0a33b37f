import fc from 'fast-check'
import type { OnvifReaction } from '@rauta/protocols'
import { bitsSent } from '../src/site/sending'
import { AlarmPanel } from '../src/site/panel'
import { board, HandClock, knownCard } from './board'

const horn = 'relay 7'
const line = 'relay 8'
type Own = Partial<OnvifReaction> & Pick<OnvifReaction, 'cause' | 'action'>

/** The one door with a sounder, a line, a spare input and an input of a panel; a second door beside it. */
function reacting(...own: Own[]) {
  const b = board()
  knownCard(b)
  const wiring = b.entities.DoorWiring['D']
  wiring?.outputs.push(
    { part: 'H1', function: 'sounder', port: horn },
    { part: 'P3', function: 'panelToggle', port: line },
  )
  wiring?.inputs.push(
    { part: 'S1', function: 'spare', port: 'input 3' },
    { part: 'P4', function: 'panelState', port: 'input 4' },
  )
  for (const port of ['input 3', 'input 4']) b.entities.DigitalInput[port] = { token: port, idle: 'open' }
  b.entities.Door['E'] = { token: 'E', name: 'E', releaseS: 5, openS: 20, relockDelayS: 0 }
  b.entities.DoorWiring['E'] = {
    token: 'E',
    readers: [],
    inputs: [],
    outputs: [{ part: 'K1', function: 'lock', port: 'relay 2' }],
    forcedAlarm: false,
  }
  b.entities.DoorReactions['D'] = { token: 'D', reactions: own.map((r, i) => ({ token: `r${i}`, output: 'H1', ...r })) }
  const show = (card = 'AAAAAA') => b.firmware.cardRead('reader 1', bitsSent(card))
  const press = () => {
    b.input('input 2', true)
    b.input('input 2', false)
  }
  const on = (relay = horn) => b.relays.get(relay) ?? false
  return { ...b, show, press, on }
}
const pulse = { action: 'Pulse', seconds: 3 } as const

describe('what a controller does by itself', () => {
  it('drives an output for its time, and longer where it happens again meanwhile', () => {
    const d = reacting({ cause: 'ExitRequested', ...pulse })
    d.press()
    expect(d.on()).toBe(true)
    d.clock.turn(2900)
    d.press()
    d.clock.turn(2900)
    expect(d.on()).toBe(true)
    d.clock.turn(200)
    expect(d.on()).toBe(false)
  })

  it.each<[string, Own['cause'], (d: ReturnType<typeof reacting>) => void]>([
    ['somebody is let in', 'Granted', (d) => d.show()],
    ['an unknown card comes', 'Refused', (d) => d.show('BBBBBB')],
    ['somebody asks to leave', 'ExitRequested', (d) => d.press()],
    ['the leaf is forced', 'ForcedOpen', (d) => d.input('input 1', false)],
    ['an input comes', 'InputActive', (d) => d.input('input 3', true)],
    [
      'an input goes',
      'InputIdle',
      (d) => {
        d.input('input 3', true)
        d.input('input 3', false)
      },
    ],
    [
      'it stands open too long',
      'OpenTooLong',
      (d) => {
        d.press()
        d.input('input 1', false)
        d.clock.turn(20_000)
      },
    ],
    [
      'it warns',
      'PreAlarm',
      (d) => {
        d.press()
        d.input('input 1', false)
        d.clock.turn(15_000)
      },
    ],
  ])('when %s, and at no other cause', (_name, cause, happen) => {
    const door = { token: 'D', name: 'D', releaseS: 5, openS: 20, relockDelayS: 2, preAlarmS: 5 }
    const d = reacting({ cause, ...pulse })
    d.entities.Door['D'] = door
    happen(d)
    expect(d.on()).toBe(true)
    const all = [
      'Granted',
      'Refused',
      'ExitRequested',
      'ForcedOpen',
      'InputActive',
      'InputIdle',
      'OpenTooLong',
      'PreAlarm',
      'Duress',
      'DeskRelease',
    ]
    // What leads to it may be a cause of its own.
    const before: Record<string, string[]> = {
      OpenTooLong: ['ExitRequested', 'InputActive', 'InputIdle', 'PreAlarm'],
      PreAlarm: ['ExitRequested', 'InputActive', 'InputIdle'],
      ForcedOpen: ['InputActive', 'InputIdle'],
      ExitRequested: ['InputActive', 'InputIdle'],
      InputIdle: ['InputActive'],
    }
    for (const other of all.filter((c) => c !== cause && !(before[cause] ?? []).includes(c))) {
      const e = reacting({
        cause: other,
        ...pulse,
        seconds: 300,
        ...(other.startsWith('Input') ? { input: 'S1' } : {}),
      })
      e.entities.Door['D'] = door
      happen(e)
      expect([cause, other, e.on()]).toEqual([cause, other, false])
    }
  })

  it('holds it while it lasts, and as long as anything wants it', () => {
    const d = reacting({ cause: 'ForcedOpen', action: 'Hold' }, { cause: 'InputActive', input: 'S1', action: 'Hold' })
    d.input('input 1', false)
    d.input('input 3', true)
    d.input('input 1', true)
    expect(d.on()).toBe(true)
    d.input('input 3', false)
    expect(d.on()).toBe(false)
  })

  it('knows members by their own profile, the second showing by its time, its hours by its schedule', () => {
    const d = reacting(
      { cause: 'Granted', members: 'members.night', ...pulse },
      { cause: 'Granted', twiceWithinS: 5, output: 'P3', ...pulse },
    )
    d.show()
    expect([d.on(), d.on(line)]).toEqual([false, false])
    d.clock.turn(6000)
    d.show()
    expect(d.on(line)).toBe(false)
    d.clock.turn(4000)
    d.show()
    expect(d.on(line)).toBe(true)
    d.entities.CredentialData['c']?.profiles.push({ token: 'members.night' })
    d.clock.turn(60_000)
    d.show()
    expect(d.on()).toBe(true)
    const e = reacting({ cause: 'ExitRequested', schedule: 'gone', ...pulse })
    e.press()
    expect(e.on()).toBe(false)
    const f = reacting({ cause: 'ExitRequested', schedule: 's', ...pulse })
    f.press()
    expect(f.on()).toBe(true)
  })

  it('turns a panel round only where it stands the other way', () => {
    const d = reacting({ cause: 'ExitRequested', ...pulse, output: 'P3', unless: 'P4', unlessState: 'active' })
    d.input('input 4', true)
    d.press()
    expect(d.on(line)).toBe(false)
    d.input('input 4', false)
    d.press()
    expect(d.on(line)).toBe(true)
  })

  it('lets another door go, and neither a sounder nor a line moves with the lock', () => {
    const d = reacting({ cause: 'ExitRequested', action: 'ReleaseDoor', door: 'E' })
    d.press()
    expect([d.on('relay 1'), d.on('relay 2'), d.on(), d.on(line)]).toEqual([true, true, false, false])
    const held = reacting({ cause: 'InputActive', input: 'S1', action: 'Hold' })
    held.input('input 3', true)
    held.press()
    held.clock.turn(10_000)
    expect([held.on('relay 1'), held.on()]).toEqual([false, true])
  })

  it('forgets all of it when it starts anew', () => {
    const d = reacting({ cause: 'ExitRequested', ...pulse })
    d.press()
    d.firmware.restart()
    d.clock.turn(1000)
    d.relays.set(horn, false)
    d.press()
    d.clock.turn(2500)
    expect(d.on()).toBe(true)
    d.clock.turn(600)
    expect(d.on()).toBe(false)
  })

  it('nothing that follows keeps anybody in: whatever the reactions, the exit button lets go', () => {
    const reaction = fc.record({
      cause: fc.constantFrom('Granted', 'Refused', 'ExitRequested', 'ForcedOpen', 'InputActive', 'InputIdle'),
      action: fc.constantFrom('Pulse', 'Hold', 'ReleaseDoor'),
      output: fc.constantFrom('H1', 'P3', 'K1', 'nothing'),
      seconds: fc.constantFrom(1, 30),
      door: fc.constantFrom('D', 'E', 'none'),
    })
    const act = fc.constantFrom('show', 'strange', 'press', 'force', 'shut', 'on', 'off', 'wait')
    fc.assert(
      fc.property(fc.array(reaction, { maxLength: 4 }), fc.array(act, { maxLength: 8 }), (reactions, acts) => {
        const d = reacting(...reactions)
        const hands: Record<string, () => void> = {
          show: () => d.show(),
          strange: () => d.show('BBBBBB'),
          press: d.press,
          force: () => d.input('input 1', false),
          shut: () => d.input('input 1', true),
          on: () => d.input('input 3', true),
          off: () => d.input('input 3', false),
          wait: () => d.clock.turn(4000),
        }
        for (const name of acts) hands[name]?.()
        d.press()
        expect([reactions, acts, d.on('relay 1')]).toEqual([reactions, acts, true])
      }),
      { numRuns: 500 },
    )
  })
})

describe('an alarm panel of somebody else', () => {
  function panel() {
    const clock = new HandClock()
    const told: boolean[] = []
    const driven = new Set<string>()
    const it: AlarmPanel = new AlarmPanel(
      (ms, then) => clock.after(ms, then),
      () => told.push(it.isSet),
    )
    const lines = {
      set: { serial: 'S', relay: 'a' },
      unset: { serial: 'S', relay: 'b' },
      toggle: { serial: 'S', relay: 'c' },
    }
    const drive = (relay: string, ms: number) => {
      driven.add(relay)
      it.lines(lines, 'S', (r) => driven.has(r))
      clock.turn(ms)
      driven.delete(relay)
      it.lines(lines, 'S', (r) => driven.has(r))
      clock.turn(2000)
    }
    return { it, told, drive }
  }
  it('is set, unset and turned round by its lines, once for each time, and not by a spark', () => {
    const p = panel()
    p.drive('a', 1000)
    expect(p.it.isSet).toBe(true)
    p.drive('a', 1000)
    p.drive('b', 100)
    expect(p.it.isSet).toBe(true)
    p.drive('b', 1000)
    expect(p.it.isSet).toBe(false)
    p.drive('c', 10_000)
    expect(p.it.isSet).toBe(true)
    p.drive('c', 1000)
    expect(p.told).toEqual([true, false, true, false])
  })
})
