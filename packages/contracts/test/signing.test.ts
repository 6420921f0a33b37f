import fc from 'fast-check'
import {
  chainHead,
  checkOff,
  marksOf,
  scriptFor,
  expectedReading,
  plannedOf,
  type ChainRecord,
  type Controller,
} from '@rauta/core'
import { firstPrevious, hashOf, publicKeyOf, sealRecord, verifyChain } from '@rauta/core/chain'
import { proofChanges } from '../src'
import { sheets, smallJob, type World } from './world'

const secret = '11'.repeat(32)
const other = '22'.repeat(32)
const publicKey = publicKeyOf(secret)

function chain(values: number[], key = secret): ChainRecord[] {
  const records: ChainRecord[] = []
  for (const [i, value] of values.entries())
    records.push(
      sealRecord(
        {
          id: `D#${i + 1}`,
          door: 'D',
          n: i + 1,
          previous: records.at(-1)?.hash ?? firstPrevious,
          kind: 'reading',
          at: i,
          by: 'v',
          body: { value },
        },
        key,
      ),
    )
  return records
}

describe('the chain of a door’s records', () => {
  it('is unbroken as it was written', () => {
    const records = chain([1, 2, 3])
    expect(verifyChain(records, { publicKey })).toMatchObject({
      ok: true,
      says: '3 records, unbroken, and of this job.',
    })
    expect(verifyChain(records)).toMatchObject({
      ok: true,
      says: '3 records, consistent in itself, origin not checked.',
    })
  })
  it('names the first record that was edited, whichever it is', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer(), { minLength: 1, maxLength: 8 }),
        fc.nat(),
        fc.integer(),
        (values, where, value) => {
          const at = where % values.length
          fc.pre(values[at] !== value)
          const records = chain(values).map((r, i) => (i === at ? { ...r, body: { value } } : r))
          expect(verifyChain(records, { publicKey })).toMatchObject({ ok: false, firstBad: at + 1 })
        },
      ),
      { numRuns: 25 },
    )
  })
  it('finds a chain that was rebuilt from an edited record and signed with another key', () => {
    const records = chain([1, 2, 3, 4])
    const rebuilt = [...records.slice(0, 2)]
    for (const r of records.slice(2))
      rebuilt.push(sealRecord({ ...r, previous: rebuilt.at(-1)?.hash ?? '', body: { value: 99 } }, other))
    expect(verifyChain(rebuilt)).toMatchObject({ ok: true }) // consistent in itself: that is all that can be said without key or head
    expect(verifyChain(rebuilt, { publicKey })).toMatchObject({ ok: false, firstBad: 3 })
    expect(verifyChain(rebuilt, { head: records.at(-1)?.hash ?? '' })).toMatchObject({ ok: false })
  })
  it('misses neither a record left out nor one put in', () => {
    const records = chain([1, 2, 3])
    expect(verifyChain([records[0], records[2]] as ChainRecord[], { publicKey })).toMatchObject({
      ok: false,
      firstBad: 2,
    })
    expect(verifyChain(records.slice(0, 2), { head: records[2]?.hash ?? '' })).toMatchObject({ ok: false })
  })
  it('says when a signature is not one', () => {
    const [first] = chain([1])
    if (!first) return
    expect(verifyChain([{ ...first, signature: 'zz' }], { publicKey })).toMatchObject({ ok: false, firstBad: 1 })
    expect(hashOf(first)).toBe(first.hash)
  })
})

/** A door that is wired, loaded and proved, its test cards off. */
function readyToSign(): World {
  const w = smallJob()
  w.reached()
  w.loaded()
  for (const c of w.door().cables) {
    for (const what of ['pulled', 'ended', 'tested']) w.do('tick.set', { door: 'D-01', cable: c.id, what, done: true })
    for (const kind of (c.part === 'K1' ? ['loop', 'voltsRest', 'voltsDriven'] : ['loop']) as (
      'loop' | 'voltsRest' | 'voltsDriven'
    )[])
      w.do('reading.add', {
        id: `${c.id}${kind}`,
        door: 'D-01',
        cable: c.id,
        kind,
        value: expectedReading(w.door(), c.id, kind, plannedOf(w.facts, sheets))?.value,
      })
  }
  for (const item of checkOff(w.facts.controller['a1'] as Controller, w.facts, sheets))
    w.do('cabinet.check', { controller: 'a1', item: item.id, done: true })
  for (const test of scriptFor(w.facts, w.door(), sheets))
    if (!test.notApplicable)
      w.take(
        proofChanges(
          w.facts,
          w.door(),
          test.id,
          { verdict: 'passed', says: '', evidence: [] },
          { id: `p-${test.id}`, by: 'v', role: 'engineer', at: w.now, sheets },
        ),
      )
  w.put('head', { id: 'D-01', n: 1, hash: 'ab'.repeat(32) })
  return w
}
const stroke = 'M10 10 L20 20 L30 10 L40 25'
const sign = (w: World, as: 'engineer' | 'witness', over: object = {}) =>
  w.do('sign', {
    id: `s-${as}-${w.facts.rev}`,
    door: 'D-01',
    as,
    name: as,
    stroke,
    head: chainHead(w.facts, 'D-01'),
    ...over,
  })
const signMark = (w: World) => marksOf(w.facts, w.door(), sheets).sign

describe('signing', () => {
  it('is not possible while a test card opens the door, nor before the record was seen', () => {
    const w = readyToSign()
    expect(() => sign(w, 'engineer')).toThrow('test cards still open')
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    expect(() => sign(w, 'engineer', { head: 'f'.repeat(64) })).toThrow('has grown')
    expect(() => sign(w, 'witness')).toThrow('engineer signs first')
    sign(w, 'engineer')
    expect(signMark(w).sign).toBe('underWay')
    sign(w, 'witness')
    expect(signMark(w).sign).toBe('given')
  })
  it('falls with a proof under it and stands again when the change is taken back', () => {
    const w = readyToSign()
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    sign(w, 'engineer')
    sign(w, 'witness')
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 9 } } })
    expect(signMark(w).sign).toBe('stale')
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 5 } } })
    expect(signMark(w).sign).toBe('given')
  })
  it('with an open snag stays under way, and names how many', () => {
    const w = readyToSign()
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    w.do('snag.set', { id: 'n1', door: 'D-01', says: 'Paint scratched', owner: 'painter', closed: false })
    sign(w, 'engineer')
    sign(w, 'witness')
    expect(signMark(w)).toMatchObject({ sign: 'underWay', says: 'Accepted with 1.' })
    expect(Object.values(w.facts.signature).every((s) => s.snags[0] === 'Paint scratched')).toBe(true)
  })
  it('is not for a viewer, and a witness signs only as one', () => {
    const w = readyToSign()
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    expect(() =>
      w.do(
        'sign',
        { id: 's', door: 'D-01', as: 'engineer', name: 'x', stroke, head: chainHead(w.facts, 'D-01') },
        'witness',
      ),
    ).toThrow('signs as the witness')
  })
})
