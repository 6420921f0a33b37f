import iconv from 'iconv-lite'
import { unzipSync } from 'fflate'
import type { PaperView } from '@rauta/contracts'
import { Site, siteFile } from './site'

/** A list with every trap at once: titles above, merged titles, blank rows, titles said again, units, yes and no, bad cells among good rows. */
const list = [
  'Door schedule, issue C;;;;;;',
  ';;;;;;',
  'Door no;Name;From;To;Escape route;Release time;Cable length',
  '0001;Café, "quay" side;Terminal;Terminal / Crew flats;kyllä;5 s;35 m',
  ';;;;;;',
  '0002;Büro;Terminal;Terminal / Crew flats;nein;0,5;12,5',
  'Door no;Name;From;To;Escape route;Release time;Cable length',
  '0003;Hall;Terminal;Terminal;perhaps;5;20',
  '0004;Store;Terminal;Terminal;ja;soon;20',
  ';No ref;Terminal;Terminal;no;5;20',
  '0001;Twice;Terminal;Terminal;no;5;20',
  'D-01;Front door, renamed;;;;;',
  '0005;Attic;Terminal;Terminal;no;5 s;100 ft',
].join('\r\n')

describe('a door schedule over HTTP', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(2)
  })
  afterAll(() => site.stop())

  const bring = async (bytes: Uint8Array, file = 'list.csv') => {
    const answer = await site.raw(`/door-schedule?file=${encodeURIComponent(file)}`, bytes)
    return { status: answer.status, body: answer.body as unknown as PaperView & { says: string } }
  }
  const take = (id: string) => site.ask('POST', `/door-schedule/${id}/take`, {})
  const doors = () =>
    Object.values(site.facts.door)
      .map((d) => d.ref)
      .sort()

  it.each([
    ['UTF-8', Buffer.from(list)],
    ['UTF-8 with its mark', Buffer.from(`\ufeff${list}`)],
    ['UTF-16', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(list, 'utf16le')])],
    ['Windows-1252', iconv.encode(list, 'windows-1252')],
    ['tabs', Buffer.from(list.replaceAll(';', '\t'))],
  ])(
    'in %s: every bad row is named by its reason, no good row is lost, nothing is changed yet',
    async (_name, bytes) => {
      const before = site.facts.rev
      const { status, body } = await bring(bytes)
      expect(status).toBe(200)
      expect(body.headerRow).toBe(3)
      expect(body.counts).toEqual({ new: 3, changed: 1, same: 0, bad: 4 })
      expect(
        body.rows.filter((r) => r.state === 'bad').map((r) => [r.row, r.faults[0]?.cell, r.faults[0]?.says]),
      ).toEqual([
        [8, 'E8', '“perhaps” is neither yes nor no'],
        [9, 'F9', '“soon” is not a time'],
        [10, 'A10', 'there is no reference'],
        [11, 'row 11', '0001 stands in row 4 as well'],
      ])
      expect(body.rows.find((r) => r.ref === '0001' && r.state === 'new')?.name).toBe('Café, "quay" side')
      expect(body.areas.map((a) => a.path)).toEqual(['Terminal', 'Terminal / Crew flats'])
      expect(site.facts.rev).toBe(before)
    },
  )

  it('is taken over as one change; brought again it changes nothing; taken back it is as if it had never been', async () => {
    const first = await bring(Buffer.from(list))
    const before = { doors: doors(), areas: Object.keys(site.facts.area).length, rev: site.facts.rev }
    expect((await take(first.body.id)).body['says']).toBe('4 doors taken over.')
    expect(site.facts.rev).toBe(before.rev + 1)
    expect(doors()).toEqual(['0001', '0002', '0005', ...before.doors].sort())
    expect(site.facts.door['0005']?.cables).toEqual([])
    const again = await bring(Buffer.from(list))
    expect(again.body.counts).toEqual({ new: 0, changed: 0, same: 4, bad: 4 })
    expect((await take(again.body.id)).body['says']).toContain('Nothing to take over')
    const way = (await site.ask('GET', '/plan-edits')).body as { undo: { rev: number; says: string } }
    expect(way.undo.says).toBe('Took list.csv over: 3 doors new, 1 changed')
    await site.command('plan.undo', { rev: way.undo.rev })
    expect([doors(), Object.keys(site.facts.area).length]).toEqual([before.doors, before.areas])
    const redo = (await site.ask('GET', '/plan-edits')).body as { redo: { rev: number } }
    await site.command('plan.redo', { rev: redo.redo.rev })
    expect(doors()).toContain('0005')
  })

  it('two files at once are looked through apart, and the second sees what the first has brought', async () => {
    const row = (ref: string) => Buffer.from(`Ref;Name;From;To\n${ref};New;Terminal;Terminal\n`)
    const [a, b] = await Promise.all([bring(row('TWO-1'), 'a.csv'), bring(row('two-1'), 'b.csv')])
    expect([a.body.counts.new, b.body.counts.new]).toEqual([1, 1])
    await take(a.body.id)
    expect((await take(b.body.id)).body['says']).toContain('Nothing to take over')
    expect(doors().filter((r) => r === 'TWO-1' || r === 'two-1')).toEqual(['TWO-1'])
  })

  it('a column whose meaning was corrected is remembered for the next file', async () => {
    const file = Buffer.from('Ref;Name;From;To;Remark\nR-1;One;Terminal;Terminal;yes\n')
    const first = await bring(file)
    expect(first.body.columns[4]?.meaning).toBe('ignore')
    const corrected = await site.ask('POST', `/door-schedule/${first.body.id}/columns`, { columns: { 4: 'handle' } })
    expect((corrected.body as unknown as PaperView).columns[4]?.meaning).toBe('handle')
    await take(first.body.id)
    expect(site.facts.door['R-1']?.handle).toBe(true)
    expect((await bring(file)).body.columns[4]?.meaning).toBe('handle')
  })

  it('an import that is cut off half-way leaves nothing', async () => {
    const many = `Ref;Name;From;To\n${Array.from({ length: 3000 }, (_, i) => `M-${i};Many ${i};Terminal;Terminal`).join('\n')}`
    const { body } = await bring(Buffer.from(many))
    const before = site.facts.rev
    const count = Object.keys(site.facts.door).length
    const taking = take(body.id).catch(() => null)
    await new Promise((go) => setTimeout(go, 5))
    await site.restart()
    await taking
    // All of it or none of it.
    expect([count, count + 3000]).toContain(Object.keys(site.facts.door).length)
    expect(site.facts.rev - before).toBe(Object.keys(site.facts.door).length === count ? 0 : 1)
    expect((await take(body.id)).status).toBe(404)
  })

  it('says what is wrong with a file that is no list, and with one that is empty', async () => {
    expect(await bring(Buffer.from('%PDF-1.7'), 'plan.pdf')).toMatchObject({
      status: 422,
      body: { says: expect.stringContaining('plan.pdf is a PDF') },
    })
    expect((await bring(Buffer.alloc(0), 'e.csv')).body.says).toBe('e.csv is empty.')
    expect((await bring(Buffer.from('a;b\n1;2\n'), 'x.csv')).body).toMatchObject({ headerRow: 0, rows: [] })
  })

  it('goes out again as text and as a workbook, and an empty one to fill in', async () => {
    const csv = await site.bytes('/door-schedule.csv')
    const back = await bring(csv)
    expect(back.body.counts).toMatchObject({ new: 0, changed: 0, bad: 0 })
    const xlsx = await site.bytes('/door-schedule.xlsx?empty=1')
    expect(Buffer.from(unzipSync(xlsx)['xl/worksheets/sheet1.xml'] ?? []).toString()).toContain(
      '<dataValidation type="list"',
    )
    expect((await bring(xlsx, 't.xlsx')).body.counts).toEqual({ new: 0, changed: 0, same: 0, bad: 0 })
  })
})
