import { pointsByPort } from '@rauta/core'
import { topics, type Notification } from '@rauta/protocols'
import { toldEvent, toldEvents } from '../src/onvif/events'

const notification = (topic: string, source: Record<string, string>, data: Record<string, string>): Notification => ({
  topic,
  utcMs: 1000,
  operation: 'Changed',
  source,
  data: { Boot: 'b1', Sequence: '7', ...data },
})
const event = (topic: string, source: Record<string, string>, data: Record<string, string>) =>
  toldEvent(notification(topic, source, data))

describe('what a device tells, in our words', () => {
  it.each([
    [
      'a granted card',
      topics.granted,
      { AccessPointToken: 'D-01.R2' },
      { Card: '3D1141', CredentialHolderName: '101 Oona' },
      { kind: 'granted', door: 'D-01', reader: 'R2', card: '3D1141', says: 'Released for 101 Oona at R2' },
    ],
    [
      'an unknown card',
      topics.unknownCard,
      { AccessPointToken: 'D-01.R1' },
      { Card: 'FFFFFF', Reason: 'CredentialNotFound' },
      { kind: 'refused', state: 'unknown', says: 'Refused at R1: the card is unknown' },
    ],
    [
      'a lost card',
      topics.denied,
      { AccessPointToken: 'D-01.R1' },
      { Reason: 'CredentialNotEnabled' },
      { kind: 'refused', state: 'lost' },
    ],
    [
      'a card out of hours',
      topics.denied,
      { AccessPointToken: 'D-01.R1' },
      { Reason: 'NotPermittedAtThisTime' },
      { kind: 'refused', state: 'hours' },
    ],
    [
      'a reason nobody knows',
      topics.denied,
      { AccessPointToken: 'D-01.R1' },
      { Reason: 'ter:Odd' },
      { kind: 'refused', state: 'other', says: 'Refused at R1: ter:Odd' },
    ],
    [
      'the exit button',
      topics.grantedAnonymous,
      { AccessPointToken: 'D-01.R1' },
      { DoorToken: 'D-01' },
      { kind: 'exit', door: 'D-01', reader: '' },
    ],
    ['a leaf', topics.leaf, { DoorToken: 'D-01' }, { State: 'Open' }, { kind: 'leaf', state: 'open' }],
    ['a lock', topics.lock, { DoorToken: 'D-01' }, { State: 'Unlocked' }, { kind: 'lock', state: 'unlocked' }],
    [
      'a forced door',
      topics.alarm,
      { DoorToken: 'D-01' },
      { State: 'DoorForcedOpen' },
      { kind: 'alarm', state: 'forced', says: 'Alarm: forced open' },
    ],
    ['the end of an alarm', topics.alarm, { DoorToken: 'D-01' }, { State: 'Normal' }, { kind: 'alarm', state: 'none' }],
  ])('%s', (_what, topic, source, data, expected) => {
    expect(event(topic, source, data)).toMatchObject({ ...expected, boot: 'b1', seq: 7, at: 1000 })
  })
  it('an input on which nothing is planned is told by its port, of no door; such a relay is no event', () => {
    expect(event(topics.input, { InputToken: 'input 3' }, { LogicalState: 'true' })).toMatchObject({
      kind: 'input',
      door: '',
      port: 'input 3',
      state: 'active',
    })
    expect(event(topics.relay, { RelayToken: 'relay 3' }, { LogicalState: 'active' })).toBeNull()
  })
  it('an input or a relay is told as the part that sits on it, by what the device holds', () => {
    const held = (functions: [part: string, does: string, port: string][]) =>
      pointsByPort({
        'terminals/D-01': Object.fromEntries(
          functions.map(([part, does, port]) => [`${part}.${does}`, { part, function: does, port }]),
        ),
      })
    const input = (points: ReturnType<typeof held>, port: string, state = 'true') =>
      toldEvent(notification(topics.input, { InputToken: port }, { LogicalState: state }), points)
    const points = held([
      ['B1', 'glassPole', 'input 4'],
      ['C1', 'contact', 'input 1'],
      ['O1', 'opener', 'relay 2'],
    ])
    expect(input(points, 'input 4')).toMatchObject({
      kind: 'input',
      door: 'D-01',
      part: 'B1',
      state: 'active',
      says: 'B1, second pole of the break glass: broken',
    })
    expect(input(points, 'input 4', 'false')).toMatchObject({ state: 'idle' })
    expect(
      toldEvent(notification(topics.relay, { RelayToken: 'relay 2' }, { LogicalState: 'active' }), points),
    ).toMatchObject({ kind: 'output', part: 'O1', state: 'active' })
    // A door's only contact is told as its leaf; with a second leaf each contact tells for itself.
    expect(input(points, 'input 1')).toBeNull()
    expect(
      input(
        held([
          ['C1', 'contact', 'input 1'],
          ['C2', 'secondContact', 'input 2'],
        ]),
        'input 1',
      ),
    ).toMatchObject({ part: 'C1' })
  })
  it('an exit device is named by the input that it came in by, and the desk is told apart', () => {
    const points = pointsByPort({
      'terminals/D-01': { 'X2.exitSensor': { part: 'X2', function: 'exitSensor', port: 'input 2' } },
    })
    const asked = (data: Record<string, string>) =>
      toldEvent(
        notification(topics.grantedAnonymous, { AccessPointToken: 'D-01.R1' }, { DoorToken: 'D-01', ...data }),
        points,
      )
    expect(asked({ InputToken: 'input 2' })).toMatchObject({
      kind: 'exit',
      part: 'X2',
      says: 'X2, exit sensor: released',
    })
    expect(asked({ InputToken: 'input 9' })?.part).toBeUndefined()
    expect(asked({ External: 'RequestToEnter' })).toMatchObject({ kind: 'desk', says: 'Desk button: released' })
  })
  it('the count of a device is none where something that it told is not counted', () => {
    const counting = (...data: Record<string, string>[]) =>
      toldEvents(
        data.map((d) => notification(topics.leaf, {}, d)),
        new Map(),
      ).counted
    const numbered = (...numbers: string[]) => counting(...numbers.map((Sequence) => ({ Sequence })))
    expect(numbered('7', '9')).toEqual({ boot: 'b1', numbers: [7, 9] })
    expect(numbered('10', '7', '7')).toEqual({ boot: 'b1', numbers: [7, 10] })
    expect(numbered()).toEqual({ boot: '', numbers: [] })
    for (const none of [['0'], ['x', '8'], ['1e999'], ['-1'], ['1.5'], ['']])
      expect([none, numbered(...none)]).toEqual([none, null])
    expect(counting({ Boot: 'b1' }, { Boot: 'b2' })).toBeNull()
    expect(counting({ Boot: '' })).toBeNull()
  })
  it('repeats of a state are no events', () => {
    const leaf = notification(topics.leaf, { DoorToken: 'D' }, { State: 'Open' })
    expect(toldEvents([{ ...leaf, operation: 'Initialized' }, leaf], new Map())).toMatchObject({
      events: [{ kind: 'leaf' }],
      boot: 'b1',
    })
  })
})
