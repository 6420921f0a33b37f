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
import { chainChanges } from '../src/changes/links'
import { gapEvent } from '../src/live/gap'
import { eventOf } from '../src/live/subscriber'
import { failureWords, maybeBack } from '../src/words'
import { DeviceError, type ToldEvent } from '@rauta/drivers'

const leaf: ToldEvent = {
  boot: 'b1',
  seq: 7,
  at: 1000,
  door: 'D',
  reader: '',
  card: '',
  kind: 'leaf',
  state: 'open',
  says: 'Leaf opened',
}

describe('what a device tells, as an event of the job', () => {
  it('has the identity of device, boot and sequence, however often it is told', () => {
    const event = eventOf(leaf, 'a1', 1040.4, -3.2)
    expect(event).toEqual({ ...leaf, id: 'a1:b1:7', controller: 'a1', received: 1040, offsetMs: -3 })
    expect(eventOf(leaf, 'a1', 9000, 0).id).toBe(event.id)
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
    [new DeviceError('silent', '10.0.0.1 does not answer.'), '10.0.0.1 does not answer.', true],
    [new DeviceError('noAddress', 'No address there.'), 'No address there.', false],
    [new DeviceError('notAuthorized', 'wrong digest'), 'A1 refuses the password: wrong digest', false],
    [new DeviceError('refused', 'too long'), 'A1 refused: too long', false],
    [new DeviceError('malformed', 'not XML'), 'A1 answered something that cannot be understood: not XML', false],
    [new DeviceError('unsupported', 'This device cannot be read back.'), 'This device cannot be read back.', false],
    [new DeviceError('connectionRefused', 'Nothing answers there.'), 'Nothing answers there.', true],
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
  const all: ChainRecord[] = []
  for (const [i, changes] of commits.entries()) {
    now = applyChanges(now, changes, i + 2)
    const linked = chainChanges(now, changes, secret, { at: i, by: 'v', waited: undefined })
    now = applyChanges(now, linked.heads, i + 2)
    all.push(...linked.records)
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
