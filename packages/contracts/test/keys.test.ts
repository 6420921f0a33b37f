import fc from 'fast-check'
import {
  agreementHash,
  changeHash,
  firstPrevious,
  handoverKind,
  publicKeyOf,
  sealFile,
  sealRecord,
  signHere,
  successorsOf,
  verifyChain,
  verifyFile,
  type ChainRecord,
  type KeyChange,
  type RecordFile,
} from '@rauta/core/chain'

const secrets = ['11', '22', '33', '44'].map((b) => b.repeat(32))
const publics = secrets.map(publicKeyOf)
const [k0 = '', k1 = '', k2 = '', foreign = ''] = publics
const secret = (i: number) => secrets[i] ?? ''

const change = (i: number, to = publics[i + 1] ?? '', by = i): KeyChange => {
  const said = { from: publics[i] ?? '', to, at: i }
  return { ...said, signed: signHere(changeHash(said), secret(by)) }
}
const changes = [change(0), change(1)]

/** A chain whose records are signed by the keys named, one letter a record: `x` hands over to the next key. */
function chain(plan: string, first = 0): ChainRecord[] {
  const records: ChainRecord[] = []
  let key = first
  for (const [i, act] of [...plan].entries()) {
    const previous = records.at(-1)?.hash ?? firstPrevious
    const to = publics[key + 1] ?? ''
    const from = publics[key] ?? ''
    const body =
      act === 'x' ? { from, to, agreed: signHere(agreementHash(from, to, previous), secret(key + 1)) } : { i }
    records.push(
      sealRecord(
        {
          id: `d#${i + 1}`,
          door: 'd',
          n: i + 1,
          previous,
          kind: act === 'x' ? handoverKind : 'tick',
          at: i,
          by: 'b',
          body,
        },
        secret(key),
      ),
    )
    if (act === 'x') key += 1
  }
  return records
}
const ok = (records: readonly ChainRecord[], publicKey: string, list: readonly KeyChange[] = changes) =>
  verifyChain(records, { publicKey, changes: list }).ok

describe('a job’s key that was changed', () => {
  it('the key printed first leads on to those after it, and the last one answers for what was before', () => {
    const records = chain('ooxooxo')
    for (const key of [k0, k1, k2]) expect(ok(records, key)).toBe(true)
    expect(ok(records, foreign)).toBe(false)
    // A door that was begun under the new key.
    for (const key of [k0, k1]) expect(ok(chain('ooo', 1), key)).toBe(true)
    expect(ok(chain('ooo', 1), k2)).toBe(false)
    expect(ok(chain('ooo', 1), k0, [])).toBe(false)
    // One that ends before the change, by the key until then alone.
    expect(ok(chain('oo'), k0)).toBe(true)
    expect(ok(chain('oo'), k1)).toBe(false)
  })

  it('whoever has the old key alone can neither go on with it, nor hand over to a key of their own', () => {
    const records = chain('oox')
    const last = records.at(-1)
    if (!last) throw new Error('no record')
    const more = sealRecord(
      { id: 'd#4', door: 'd', n: 4, previous: last.hash, kind: 'tick', at: 9, by: 'b', body: {} },
      secret(0),
    )
    expect(ok([...records, more], k0)).toBe(false)
    const before = chain('oo')
    const previous = before.at(-1)?.hash ?? ''
    // The new key's word for it is missing: it is the old one that agrees.
    const body = { from: k0, to: k1, agreed: signHere(agreementHash(k0, k1, previous), secret(0)) }
    const forged = sealRecord(
      { id: 'd#3', door: 'd', n: 3, previous, kind: handoverKind, at: 2, by: 'b', body },
      secret(0),
    )
    expect(ok([...before, forged], k0)).toBe(false)
    expect(ok([...before, forged], k1)).toBe(false)
    // A past rebuilt under the old key, with the agreement taken from the true chain.
    const rebuilt = sealRecord({ ...before[1], body: { i: 'other' } } as never, secret(0))
    const taken = chain('oox')[2]?.body
    const joined = sealRecord(
      { id: 'd#3', door: 'd', n: 3, previous: rebuilt.hash, kind: handoverKind, at: 2, by: 'b', body: taken },
      secret(0),
    )
    expect(ok([before[0] as ChainRecord, rebuilt, joined], k1)).toBe(false)
  })

  it('a change that the key before did not sign leads nowhere, and a circle ends', () => {
    expect(successorsOf(k0, changes)).toEqual([k0, k1, k2])
    expect(successorsOf(k0, [change(0, foreign, 3)])).toEqual([k0])
    expect(successorsOf(k0, [change(0), change(1, k0)])).toEqual([k0, k1])
    expect(successorsOf(k1, changes)).toEqual([k1, k2])
  })

  const fileOf = (records: ChainRecord[], key: number, list = changes): RecordFile =>
    sealFile(
      {
        format: 'rauta-record/2',
        job: { name: 'j', client: '', site: '', zone: 'UTC' },
        door: { id: 'd', ref: 'D', name: 'Door' },
        count: records.length,
        head: records.at(-1)?.hash ?? '',
        publicKey: publics[key] ?? '',
        changes: list,
        chain: records,
      },
      secret(key),
    )

  it('a record’s file is checked by any of them, and by no other', () => {
    const file = fileOf(chain('ooxoo'), 1, [change(0)])
    for (const publicKey of [k0, k1]) expect(verifyFile(file, { publicKey })).toMatchObject({ ok: true })
    for (const publicKey of [k2, foreign]) expect(verifyFile(file, { publicKey }).ok).toBe(false)
    expect(verifyFile({ ...file, changes: [] }, { publicKey: k0 }).ok).toBe(false)
    // Sealed by the old key again, as if nothing had been handed over.
    expect(verifyFile(fileOf(chain('ooxoo'), 0, [change(0)]), { publicKey: k1 }).ok).toBe(false)
  })

  it('of random chains with changes of keys no alteration of a record passes, whichever key is trusted', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('o', 'x'), { minLength: 1, maxLength: 8 }),
        fc.nat(),
        fc.constantFrom('body', 'by', 'at', 'kind', 'signature'),
        (acts, which, field) => {
          let left = 2
          const plan = acts.map((a) => (a === 'x' && left-- > 0 ? 'x' : 'o')).join('')
          const records = chain(plan)
          const i = which % records.length
          const altered = structuredClone(records)
          const record = altered[i] as unknown as Record<string, unknown>
          record[field] =
            field === 'signature' ? '0'.repeat(128) : field === 'at' ? 99 : field === 'body' ? { x: 1 } : 'z'
          return publics.every((key) => !ok(altered, key))
        },
      ),
      { numRuns: 150 },
    )
  })
})
