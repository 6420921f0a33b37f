import fc from 'fast-check'
import {
  applyChanges,
  emptyFacts,
  put,
  type Change,
  type ChainRecord,
  type Door,
  type Load,
  type Reach,
} from '@rauta/core'
import { publicKeyOf, verifyChain } from '@rauta/core/chain'
import { topics, type Notification } from '@rauta/protocols'
import { chainChanges, Heads } from '../src/changes/links'
import { gapEvent, normalise } from '../src/live/normalise'
import { failureWords, maybeBack } from '../src/words'
import { UnreachableError } from '@rauta/drivers'
import { MalformedError, SoapFault } from '@rauta/protocols'

const notification = (topic: string, source: Record<string, string>, data: Record<string, string>): Notification => ({
  topic,
  utcMs: 1000,
  operation: 'Changed',
  source,
  data: { Boot: 'b1', Sequence: '7', ...data },
})
const event = (topic: string, source: Record<string, string>, data: Record<string, string>) =>
  normalise(notification(topic, source, data), 'a1', 1040, -3)

describe('what a device tells, as an event of the job', () => {
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
    expect(event(topic, source, data)).toMatchObject({
      ...expected,
      id: 'a1:b1:7',
      controller: 'a1',
      at: 1000,
      received: 1040,
      offsetMs: -3,
    })
  })
  it('an input that no door is concerned with is no event', () => {
    expect(event(topics.input, { InputToken: 'input 3' }, { LogicalState: 'true' })).toBeNull()
  })
  it('is the same event however often it is told', () => {
    expect(event(topics.leaf, { DoorToken: 'D' }, { State: 'Open' })?.id).toBe(
      event(topics.leaf, { DoorToken: 'D' }, { State: 'Open' })?.id,
    )
  })
  it('a gap is the server’s own note, with how long it was', () => {
    expect(gapEvent('a1', 1000, 6500, 'silence')).toMatchObject({
      kind: 'gap',
      state: '5500',
      says: 'Events may be missing: silence',
    })
  })
})

describe('failures in words', () => {
  it.each([
    [new UnreachableError('no answer', '10.0.0.1 does not answer.'), '10.0.0.1 does not answer.', true],
    [new UnreachableError('no address in that subnet', 'No address there.'), 'No address there.', false],
    [new SoapFault('s:Sender', 'ter:NotAuthorized', 'wrong digest'), 'A1 refuses the secret: wrong digest', false],
    [new SoapFault('s:Sender', 'ter:InvalidArgVal', 'too long'), 'A1 refused: too long', false],
    [new MalformedError('not XML'), 'A1 answered something that cannot be understood: not XML', false],
    [new Error('odd'), 'A1: odd', false],
  ])('%s', (error, words, back) => {
    expect([failureWords(error, 'A1'), maybeBack(error)]).toEqual([words, back])
  })
})

const secret = '55'.repeat(32)
const door = {
  id: 'D',
  ref: 'D',
  name: 'd',
  placement: { controller: 'a1', portGroup: 'A', terminals: {} },
} as unknown as Door
const other = { ...door, id: 'E', ref: 'E', placement: null } as Door

function facts() {
  const empty = emptyFacts()
  return applyChanges(empty, [put(empty, 'door', door), put(empty, 'door', other)], 1)
}
/** Records that a list of changes adds to the chains, over several commits. */
function chainsOf(commits: Change[][]): ChainRecord[] {
  let now = facts()
  const heads = Heads.of(now)
  const all: ChainRecord[] = []
  for (const [i, changes] of commits.entries()) {
    now = applyChanges(now, changes, i + 2)
    const links = chainChanges(now, changes, heads, secret, i, 'v')
    for (const link of links) heads.note(link.after as ChainRecord)
    now = applyChanges(now, links, i + 2)
    all.push(...links.map((l) => l.after as ChainRecord))
  }
  return all
}
const reading = (id: string, at: string) =>
  put(facts(), 'reading', { id, door: at, cable: 'W1', kind: 'loop', value: 1, by: 'v', at: 0 })

describe('the records of a door', () => {
  it('are one chain for each door, signed with the job’s key, whatever comes in which order', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.constantFrom('D', 'E'), { maxLength: 4 }), { maxLength: 6 }), (commits) => {
        let n = 0
        const records = chainsOf(commits.map((doors) => doors.map((d) => reading(`r${n++}`, d))))
        for (const d of ['D', 'E']) {
          const mine = records.filter((r) => r.door === d)
          expect(mine.length).toBe(commits.flat().filter((x) => x === d).length)
          expect(verifyChain(mine, { publicKey: publicKeyOf(secret) }).ok).toBe(true)
        }
      }),
      { numRuns: 15 },
    )
  })
  it('take in what is done to their controller, for the doors on it only', () => {
    const reach: Reach = {
      id: 'a1',
      address: '10.1.1.1',
      serial: 'S',
      mac: 'M',
      firmware: '1',
      firmwareAccepted: null,
      owned: true,
      erasedAt: 1,
      clockOffsetMs: 0,
      clockCheckedAt: 0,
      zoneHeld: '',
      boot: '',
      lastAnswerAt: 0,
      silentMs: 0,
      says: '',
    }
    const load: Load = {
      id: 'l',
      controller: 'a1',
      state: 'held',
      total: 1,
      done: 1,
      says: '',
      by: 'v',
      startedAt: 0,
      endedAt: 0,
      digest: 'x',
    }
    const before = facts()
    const records = chainsOf([
      [put(before, 'reach', reach)],
      [put(before, 'load', load)],
      [put(before, 'cabinet', { id: 'a1', done: {} })],
    ])
    expect(records.map((r) => `${r.door} ${r.kind}`)).toEqual(['D taken', 'D load', 'D cabinet'])
  })
  it('leave out what changes nothing under them: silence, progress, a device that is not ours yet', () => {
    const before = facts()
    const reach = { id: 'a1', owned: true, serial: 'S', firmware: '1', firmwareAccepted: null } as unknown as Reach
    const owned = applyChanges(before, [put(before, 'reach', reach)], 2)
    const quiet = [
      put(owned, 'reach', { ...reach, silentMs: 90_000 }),
      put(before, 'reach', { ...reach, owned: false }),
      put(before, 'load', { id: 'l', controller: 'a1', state: 'running' } as unknown as Load),
      put(before, 'group', { id: 'g', name: 'g' }),
    ]
    expect(chainsOf([quiet])).toEqual([])
  })
})
