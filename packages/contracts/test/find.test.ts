import { all, nextRef } from '@rauta/core'
import { findEntries, findIn } from '@rauta/core/lists'
import fc from 'fast-check'
import { smallJob } from './world'

const w = smallJob()
w.do('person.put', {
  id: 'q',
  number: '204',
  name: 'Alva Quist',
  cards: [{ id: 'd', facility: 61, number: 4423, state: 'lost' }],
  groups: ['g'],
})
const entries = findEntries(w.facts)
const found = (text: string) => findIn(entries, text).found.map((e) => [e.kind, e.title])

describe('the reference after another', () => {
  it.each([
    ['Q-01', ['Q-01', 'Q-02'], 'Q-03'],
    ['Q-09', [], 'Q-10'],
    ['Q-99', [], 'Q-100'],
    ['T2-004b', ['t2-005B'], 'T2-006b'],
    ['Gate', ['Gate-2'], 'Gate-3'],
  ])('%s with %j taken is %s', (ref, taken, next) => expect(nextRef(ref, taken)).toBe(next))
  it('is never one that is taken', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(30)), fc.nat(30), (numbers, n) => {
        const taken = numbers.map((k) => `A-${k}`)
        expect(taken).not.toContain(nextRef(`A-${n}`, taken))
      }),
    )
  })
})

describe('finding over everything but doors', () => {
  it('finds a controller by reference or address, a person by name or number, a card by its number', () => {
    expect(found('a1')[0]).toEqual(['controller', 'A1'])
    expect(found('10.1.1.21')).toEqual([['controller', 'A1']])
    expect(found('quist')).toEqual([['person', 'Alva Quist']])
    expect(found('204')).toEqual([['person', 'Alva Quist']])
    expect(found('4423')).toEqual([['card', expect.stringContaining('4423')]])
    expect(findIn(entries, '4423').found[0]?.says).toBe('Alva Quist, lost')
    expect(found('Riser')).toContainEqual(['cabinet', 'Riser'])
  })
  it('the nearest stands first, so many are shown and the rest is counted', () => {
    const many = Array.from({ length: 12 }, (_, i) => ({
      kind: 'person' as const,
      title: `P${i}`,
      says: '',
      at: { kind: 'job' as const },
      words: [i === 7 ? 'ann' : `joann ${i}`],
    }))
    const hits = findIn(many, 'ann', 5)
    expect([hits.found[0]?.title, hits.found.length, hits.more]).toEqual(['P7', 5, 7])
  })
  it('nothing typed finds nothing; whatever is found has the text, and belongs to something of the job', () => {
    expect(findIn(entries, '  ')).toEqual({ found: [], more: 0 })
    fc.assert(
      fc.property(fc.string({ maxLength: 4 }), (text) => {
        for (const e of findIn(entries, text, 100).found) {
          expect(e.words.some((word) => word.includes(text.trim().toLowerCase()))).toBe(true)
          if (e.at.kind !== 'job' && e.at.kind !== 'cabinet') expect(w.facts[e.at.kind][e.at.id]).toBeDefined()
        }
      }),
    )
  })
  it('every person and controller can be found by its own name', () => {
    for (const p of all(w.facts, 'person')) expect(found(p.name)).toContainEqual(['person', p.name])
    for (const c of all(w.facts, 'controller')) expect(found(c.ref)).toContainEqual(['controller', c.ref])
  })
})
