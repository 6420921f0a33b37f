import fc from 'fast-check'
import {
  hasLabel,
  labelHolder,
  macOf,
  mostLabelLines,
  readLabels,
  wrongTypeWords,
  type Controller,
  type LabelLine,
} from '@rauta/core'
import { Refusal, shippedSheets } from '../src'
import { found, mac, serial } from './found'
import { smallJob, type World } from './world'

/** Two controllers, neither with a label. */
function job(): World {
  const w = smallJob()
  w.controller('a2', 'controller-4', { ref: 'A2', address: '10.1.1.22', serial: '', mac: '' })
  w.take([])
  w.put('controller', { ...w.facts.controller['a1'], ref: 'A1', serial: '', mac: '' } as never)
  return w
}
const read = (text: string, w = job()) => readLabels(text, w.facts)
const only = (text: string, w = job()): LabelLine => {
  const [line, ...more] = read(text, w)
  if (!line || more.length) throw new Error(`${more.length + 1} lines`)
  return line
}
const label = { controller: 'a1', serial, mac }

describe('a line of a list of labels', () => {
  it.each([
    [`A1 ${serial} ${mac}`],
    [`A1\t${serial}\t02-00-5e-10-00-01`],
    [`${mac}; a1 ;${serial}`],
    [`"A1","${serial}","0200.5e10.0001"`],
    [`A1 SN: ${serial} MAC: 02005E100001`],
    [`A1 S/N ${serial} MAC=${mac}`],
    [`A1,${serial},02005E100001`],
  ])('%s is a device, its serial and its MAC', (text) => {
    expect(only(text)).toMatchObject({ grade: 'new', label })
  })
  it.each([
    ['A9 0A61C001', /A9.*no planned device, no serial and no MAC/],
    ['A-1000 0A61C001', /no planned device/],
    [serial, /names no planned device/],
    ['A1 A2 0A61C001', /A1 and A2: one device a line/],
    ['A1 0A61C001 0A61C002', /which is the serial/],
    ['A1 02:00:5E:10:00:01 02:00:5E:10:00:02', /2 MACs/],
    ['A1', /neither a serial nor a MAC/],
    ['A1 02005E100001', /may be a serial or a MAC/],
    ['A1 MAC: 02005E1000', /no serial and no MAC/],
    ['A1 02:00-5E:10:00:01', /no serial and no MAC/],
    ['A1 0A61C001 two doors!', /no planned device, no serial/],
    [`A1 ${'x'.repeat(300)}`, /No label is so long/],
  ])('%s is bad, and says why', (text, why) => {
    expect(only(text)).toMatchObject({ grade: 'bad', label: null, says: expect.stringMatching(why) })
  })
  it('of twelve signs that may be either is decided by a device that was found', () => {
    const w = job()
    w.put('found', found({ serial: '02005E100001', mac: '02:00:5E:99:00:01' }))
    expect(only('A1 02005E100001', w).label).toEqual({ controller: 'a1', serial: '02005E100001', mac: '' })
    const v = job()
    v.put('found', found())
    expect(only('A1 02005E100001', v).label).toEqual({ controller: 'a1', serial: '', mac })
  })
  it('says what is new, changed and the same', () => {
    const w = job()
    w.do('controllers.label', { labels: [{ controller: 'a1', serial: 'OLD-0001', mac: '' }] })
    expect(only(`A1 ${serial}`, w)).toMatchObject({ grade: 'changed', says: 'A1: 0A61C001 instead of OLD-0001' })
    expect(only('A1 old-0001', w).grade).toBe('same')
    expect(only(`A1 OLD-0001 ${mac}`, w)).toMatchObject({ grade: 'new' })
  })
})

describe('a list of labels', () => {
  it('takes the columns that its titles name, and leaves the others out', () => {
    const lines = read(`Pos;Gerät;Typ;Serien-Nr.;MAC-Adresse\n1;A1;2 Türen;${serial};${mac}\n2;A2;;;02:00:5E:10:00:02`)
    expect(lines.map((l) => l.label)).toEqual([label, { controller: 'a2', serial: '', mac: '02:00:5E:10:00:02' }])
    expect(lines.map((l) => l.line)).toEqual([2, 3])
  })
  it('keeps to its lines: blanks, a byte-order mark and every kind of line end', () => {
    const lines = read(`\uFEFFA1 ${serial}\r\n\r\n  \rA2 0A61C002\n`)
    expect(lines.map((l) => [l.line, l.grade])).toEqual([
      [1, 'new'],
      [4, 'new'],
    ])
  })
  it.each([
    ['device', `A1 ${serial}\nA1 0A61C002`],
    ['serial', `A1 ${serial}\nA2 0a61c001`],
    ['MAC', `A1 ${mac}\nA2 02-00-5e-10-00-01`],
  ])('with the same %s twice has both lines bad', (_what, text) => {
    expect(read(text).map((l) => l.grade)).toEqual(['bad', 'bad'])
  })
  it('with a label that another planned device has is bad there, unless that one gets another by the same list', () => {
    const w = job()
    w.do('controllers.label', { labels: [label] })
    expect(only(`A2 ${serial}`, w)).toMatchObject({ grade: 'bad', says: 'A1 has this serial or MAC already.' })
    expect(read(`A2 ${serial}\nA1 0A61C002 02:00:5E:10:00:02`, w).map((l) => l.grade)).toEqual(['new', 'changed'])
  })
  it('leaves a serial to nobody else whose device gets no other by it', () => {
    const w = job()
    w.do('controllers.label', { labels: [{ ...label, mac: '' }] })
    const lines = read(`A2 ${serial}\nA1 ${mac}`, w)
    expect(lines[0]).toMatchObject({ grade: 'bad', says: 'A1 has this serial or MAC already.' })
    expect(lines[1]?.grade).toBe('new')
    const labels = [
      { controller: 'a2', serial, mac: '' },
      { controller: 'a1', serial: '', mac },
    ]
    expect(() => w.do('controllers.label', { labels })).toThrow(/A1 has the serial/)
  })
  it('ends where it is too long, and says so', () => {
    const lines = read(Array.from({ length: mostLabelLines + 5 }, (_, i) => `X ${i}`).join('\n'))
    expect(lines).toHaveLength(mostLabelLines + 1)
    expect(lines.at(-1)?.says).toMatch(/at most 2000 lines/)
  })
  it('never throws, and never gives a label that the command refuses', () => {
    const piece = fc.oneof(
      fc.constantFrom('A1', 'A2', serial, mac, '02005E100001', 'SN:', 'MAC', '\t', ';', '\n', '"', ' '),
      fc.string({ maxLength: 12 }),
    )
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
        const w = job()
        const labels = read(pieces.join(' '), w).flatMap((l) => (l.label ? [l.label] : []))
        if (labels.length) w.do('controllers.label', { labels })
        for (const l of labels) expect(hasLabel(w.facts.controller[l.controller] as never, l)).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
})

describe('a MAC', () => {
  it('is kept in one spelling, and nothing else is one', () => {
    for (const text of ['02:00:5e:10:00:01', '02-00-5E-10-00-01', '0200.5E10.0001', '02005e100001'])
      expect(macOf(text)).toBe(mac)
    for (const text of ['', '02:00:5E:10:00', '02:00:5E:10:00:01:02', '02:00:5E:10:00:0G', '02:00-5E:10:00:01'])
      expect(macOf(text)).toBe('')
  })
})

describe('labels that are entered', () => {
  it('join what was found with what is planned, by a label and no more by its own word', () => {
    const w = job()
    w.put('found', found())
    w.put('found', found({ id: 'f2', serial: 'other', mac: '02:00:5E:10:00:02', controller: 'a1', chosen: true }))
    w.do('controllers.label', { labels: [label] })
    expect(w.facts.controller['a1']).toMatchObject({ serial, mac })
    expect(w.facts.found['f1']).toMatchObject({ controller: 'a1' })
    expect(w.facts.found['f1']?.chosen).toBeUndefined()
    expect(w.facts.found['f2']?.controller).toBeNull()
  })
  it('join nothing that agrees in one and contradicts in the other', () => {
    const w = job()
    w.put('found', found({ serial: 'OTHER-1' }))
    w.put('found', found({ id: 'f2', mac: '02:00:5E:10:00:02' }))
    w.do('controllers.label', { labels: [label] })
    expect(Object.values(w.facts.found).map((f) => f.controller)).toEqual([null, null])
  })
  it('join a device of another type too: it is at its planned place that it is named as the wrong one', () => {
    const w = job()
    w.put('found', found({ model: 'controller-4' }))
    w.do('controllers.label', { labels: [label] })
    expect(w.facts.found['f1']?.controller).toBe('a1')
    const planned = w.facts.controller['a1'] as Controller
    expect(wrongTypeWords('controller-4', planned, shippedSheets)).toMatch(
      /says it is a Door controller, 4 doors; A1 is planned as Door controller, 2 doors/,
    )
    expect(wrongTypeWords('constructor', planned, shippedSheets)).toMatch(/says it is a constructor/)
    expect(wrongTypeWords('controller-2', planned, shippedSheets)).toBeNull()
    expect(wrongTypeWords('', planned, shippedSheets)).toBeNull()
  })
  it('of devices that were matched the wrong way round change their places', () => {
    const w = job()
    const other = { serial: '0A61C002', mac: '02:00:5E:10:00:02' }
    w.put('found', found({ controller: 'a2', chosen: true }))
    w.put('found', found({ ...other, id: 'f2', controller: 'a1', chosen: true }))
    w.do('controllers.label', { labels: [label, { controller: 'a2', ...other }] })
    expect(w.facts.found['f1']).toMatchObject({ controller: 'a1' })
    expect(w.facts.found['f2']).toMatchObject({ controller: 'a2' })
  })
  it('confirm one that was matched by what it says of itself', () => {
    const w = job()
    w.put('found', found({ controller: 'a1', chosen: true }))
    w.do('controllers.label', { labels: [{ ...label, mac: '' }] })
    expect(w.facts.found['f1']).toMatchObject({ controller: 'a1' })
    expect(w.facts.found['f1']?.chosen).toBeUndefined()
  })
  it.each([
    ['of a device that is in service as another', [{ ...label, serial: 'OTHER-1', mac: '' }], /in service as/],
    ['of a device that is in service with another MAC', [{ ...label, serial: '' }], /in service as/],
    ['with neither serial nor MAC', [{ controller: 'a2', serial: '', mac: '' }], /neither/],
    ['with a MAC that is none', [{ controller: 'a2', serial: '', mac: '02005E100002' }], /is no MAC/],
    [
      'that stand twice',
      [
        { controller: 'a2', serial, mac: '' },
        { controller: 'a2', serial: 'X-9999', mac: '' },
      ],
      /twice/,
    ],
    ['of nothing that is planned', [{ controller: 'zz', serial, mac: '' }], /zz/],
    ['that another has', [{ controller: 'a2', serial: 'HELD-01', mac: '' }], /A1 has the serial/],
  ])('%s are refused, all of them', (_what, labels, why) => {
    const w = job()
    w.do('controllers.label', { labels: [{ controller: 'a1', serial: 'HELD-01', mac: '' }] })
    w.reached('a1')
    w.put('reach', { ...w.facts.reach['a1'], serial: 'HELD-01', mac: '' } as never)
    const before = w.facts
    expect(() => w.do('controllers.label', { labels })).toThrow(why)
    expect(() => w.do('controllers.label', { labels })).toThrow(Refusal)
    expect(w.facts).toBe(before)
  })
  it('wait while the device is just being taken into service as another', () => {
    const w = job()
    w.put('found', found({ serial: 'OTHER-1', mac: '', controller: 'a1' }))
    const step = { name: 'identity', state: 'running', says: '', at: 1 } as const
    w.put('claim', { id: 'a1', found: 'f1', steps: [step as never], eraseAgreed: null, resetStep: -1, startedBy: 'v' })
    expect(only(`A1 ${serial}`, w)).toMatchObject({ grade: 'bad', says: expect.stringMatching(/just being taken/) })
    expect(only('A1 OTHER-1', w).grade).toBe('new')
  })
  it('are nobody’s twice in the plan', () => {
    const w = job()
    w.do('controllers.label', { labels: [label] })
    expect(labelHolder({ controller: 'a2', serial: '', mac }, [], w.facts)?.ref).toBe('A1')
    expect(labelHolder({ controller: 'a1', serial, mac }, [], w.facts)).toBeUndefined()
  })
})
