import { all, boardOf, checkOff, coresOf, coreWords, netOf, sheetOf, type Controller, type Facts } from '@rauta/core'
import { atHandList, cableList, cutList, labels } from '@rauta/core/lists'
import { sheetsFor } from '@rauta/contracts'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import fc from 'fast-check'
import { readTable } from './table'
import { colourCodes } from '../src/files/doorFigure'
import { listPdf } from '../src/files/lists'
import { tableOf } from '../src/files/listTables'
import { recordPdf } from '../src/files/pdf'
import { Printing } from '../src/files/printing'
import { cabinetSheetPdf, controllerSheetPdf, wireSheetPdf } from '../src/files/wireSheet'
import { Workshop } from '../src/workshop/workshop'
import { magnetHardware, sheets, smallJob, strikeHardware, type World } from '../../../packages/contracts/test/world'

const origin = 'https://rauta-0a1b2c.local:4443'
/** A PDF's text and its structure, as a general reader finds them. */
async function read(
  pdf: Buffer,
): Promise<{ pages: number; text: string; lines: string[]; roles: Set<string>; alts: string[]; byPage: string[][] }> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
  const lines: string[] = []
  const byPage: string[][] = []
  const roles = new Set<string>()
  const alts: string[] = []
  interface Node {
    role?: string
    alt?: string
    children?: Node[]
  }
  const walk = (node: Node | null) => {
    if (node?.role) roles.add(node.role)
    if (node?.alt) alts.push(node.alt)
    for (const child of node?.children ?? []) walk(child)
  }
  for (let n = 1; n <= document.numPages; n++) {
    const page = await document.getPage(n)
    const { items } = await page.getTextContent()
    const byLine = new Map<number, string[]>()
    for (const item of items)
      if ('str' in item && item.str.trim()) {
        const y = Math.round((item.transform as number[])[5] ?? 0)
        byLine.set(y, [...(byLine.get(y) ?? []), item.str])
      }
    byPage.push([...byLine.values()].map((l) => l.join(' ')))
    lines.push(...(byPage.at(-1) ?? []))
    walk((await page.getStructTree()) as Node | null)
  }
  await document.destroy()
  return { pages: document.numPages, text: lines.join('\n'), lines, roles, alts, byPage }
}
const many = (): World => {
  const w = smallJob(magnetHardware)
  w.do('controller.put', {
    id: 'a8',
    ref: 'A8',
    sheet: 'controller-8',
    cabinet: 'Loft',
    supply: 'supply-10',
    address: '10.1.1.28',
    serial: '',
    mac: '',
    expanders: [{ id: 'E1', sheet: 'expander-io' }],
  })
  const kinds = [
    strikeHardware,
    { ...strikeHardware, exitReader: 'reader-slim', exit: 'button-exit' },
    {
      ...strikeHardware,
      entryReader: 'reader-bus',
      exitReader: 'reader-bus-keypad',
      lock2: 'strike-secure',
      contact2: 'contact-frame',
      boltContact: 'contact-bolt',
      deskButton: 'button-desk',
    },
    { entryReader: 'reader-wall', lock: 'wireless-handle' },
  ]
  kinds.forEach((hardware, i) => {
    const id = `D-1${i}`
    w.do('door.add', { id, fields: { ref: id, name: `Kind ${i}`, from: 'out', to: 'in', handle: true, hardware } })
    try {
      w.do('door.placeProposed', { id, controller: 'a8' })
    } catch {
      /* a kind that this controller does not take stays without a place: it has a sheet too */
    }
    for (const c of w.door(id).cables) w.do('cable.set', { door: id, cable: c.id, lengthM: 18 + i * 7 })
  })
  return w
}
const made = { by: 'inka', at: Date.parse('2026-11-24T12:00:00Z') }
const paper = (facts: Facts) => ({ facts, origin, made })

describe('what every paper says of itself', () => {
  const w = many()
  it('each page says what it is of, revision, when, by whom, and which of how many it is', async () => {
    const a8 = w.facts.controller['a8'] as Controller
    for (const [pdf, what] of [
      [await controllerSheetPdf(a8, paper(w.facts)), 'A8 in Loft'],
      [await wireSheetPdf(w.door('D-11'), paper(w.facts)), 'D-11 Kind 1, wire sheet'],
      [await listPdf('conductors', paper(w.facts)), 'Conductors'],
      [await recordPdf(w.facts, w.door('D-01'), { pictures: new Map(), chain: [], made }), 'D-01 Front, record'],
    ] as const) {
      const { byPage, pages } = await read(pdf)
      byPage.forEach((lines, i) =>
        expect(lines).toContain(
          `J · ${what} · revision ${w.facts.rev} · 24 Nov 2026, 14:00 · inka · page ${i + 1} of ${pages}`,
        ),
      )
      if (what !== 'D-01 Front, record') continue
      expect(pages).toBeGreaterThan(1)
    }
  })
  it('a recorded reading stands on the wire sheet, with its verdict; one that cannot be judged is printed too', async () => {
    const site = smallJob(magnetHardware)
    const cable = (part: string) => site.door().cables.find((c) => c.part === part)?.id ?? ''
    site.do('reading.add', { id: 'r1', door: 'D-01', cable: cable('R1'), kind: 'loop', value: 40 })
    site.do('cable.set', { door: 'D-01', cable: cable('C1'), lengthM: 0 })
    site.do('reading.add', { id: 'r2', door: 'D-01', cable: cable('C1'), kind: 'loop', value: 3.21 })
    const sheet = await read(await wireSheetPdf(site.door(), paper(site.facts)))
    expect(sheet.text).toMatch(/40\.00 Ω, out of/)
    expect(sheet.text).toContain('3.21 Ω, not')
    const record = await read(await recordPdf(site.facts, site.door(), { pictures: new Map(), chain: [], made }))
    expect(record.text).toContain('3.21 Ω: not judged')
    expect(record.text).toMatch(/40 Ω, worked out .*: out of tolerance/)
  })
  it('the record has its tests as a table for the witness before the log', async () => {
    const { lines } = await read(await recordPdf(w.facts, w.door('D-01'), { pictures: new Map(), chain: [], made }))
    const [table, log] = ['Tests', 'Log of the tests'].map((t) => lines.indexOf(t))
    expect(table).toBeGreaterThan(0)
    expect(log).toBeGreaterThan(table ?? 0)
    expect(lines.slice(table, log).join(' ')).toMatch(/Test Result By When .*A good card opens it to do/)
  })
})

describe('a wire sheet can be followed', () => {
  const w = many()
  it.each(all(w.facts, 'door').map((d) => d.id))(
    '%s: each conductor with its two ends, its colour and its core stands on one line',
    async (id) => {
      const door = w.door(id)
      const { lines, text, roles, alts } = await read(await wireSheetPdf(door, paper(w.facts)))
      expect(text).toContain(`${door.ref} ${door.name}`)
      const controller = w.facts.controller[door.placement?.controller ?? '']
      if (!controller) {
        expect(text).toContain('on no controller yet')
        return
      }
      const net = netOf(door, boardOf(sheetsFor(w.facts), controller), sheetsFor(w.facts))
      for (const c of net.conductors) {
        const cable = door.cables.find((x) => x.id === c.cable)
        const core = cable ? coreWords(coresOf(cable, net.conductors).of[c.id]) : ''
        const line = lines.find(
          (l) =>
            l.includes(`${door.ref} ${c.part}`) &&
            l.includes(`${controller.ref} ${c.terminal.id} ${c.terminal.label}`) &&
            l.includes(c.leadName),
        )
        expect([c.id, line]).toEqual([c.id, expect.stringContaining(`${c.cable} ${core}`) as string])
        expect(line).toContain(c.colour || 'none: meter it')
        if (c.colour) expect(text).toContain(colourCodes[c.colour])
      }
      if (net.conductors.length)
        for (const role of ['H1', 'Table', 'TR', 'TH', 'TD', 'Figure']) expect(roles).toContain(role)
      expect(alts.join(' ')).toContain(`Code that opens ${origin}/doors/${door.id}/wire`)
    },
  )
  it('draws the switches of a device as they must stand for its address', async () => {
    const bus = many()
    bus.do('door.add', {
      id: 'D-20',
      fields: {
        ref: 'D-20',
        name: 'Bus',
        from: 'out',
        to: 'in',
        handle: true,
        hardware: { ...strikeHardware, entryReader: 'reader-bus' },
      },
    })
    bus.do('door.placeProposed', { id: 'D-20', controller: 'a8' })
    bus.do('part.address', { door: 'D-20', part: 'R1', address: 5 })
    const { alts } = await read(await wireSheetPdf(bus.door('D-20'), paper(bus.facts)))
    expect(alts.find((a) => a.startsWith('Switches of R1 for address 5: '))).toMatch(/1 .*3/)
  })
  it('says what a reading should be, and leaves a place for it', async () => {
    const { text } = await read(await wireSheetPdf(w.door('D-01'), paper(w.facts)))
    expect(text).toMatch(/W\d loop resistance, far end joined.* \d+\.\d\d to \d+\.\d\d Ω/)
    expect(text).toContain('Leave empty')
  })
})

describe('sheets of controllers and cabinets', () => {
  it('name every screw with what is on it, and the check-off', async () => {
    const w = many()
    const controller = w.facts.controller['a8']
    if (!controller) throw new Error('no controller')
    const { text } = await read(await controllerSheetPdf(controller, paper(w.facts)))
    const net = netOf(w.door('D-10'), boardOf(sheets, controller), sheets)
    for (const c of net.conductors) expect(text).toContain(`${c.part} ${c.leadName}`)
    expect(text).toContain('In the box of A8')
    expect(text).toMatch(/E1 Expander.*: linked to A8/)
    const cabinet = await read(await cabinetSheetPdf('Loft', paper(w.facts)))
    expect(cabinet.text).toContain('D-10 W1')
    expect(cabinet.pages).toBeGreaterThan(1)
    expect(cabinet.alts.some((a) => a.startsWith('Inside of Loft: Supply of A8') && a.includes('E1 Expander'))).toBe(
      true,
    )
    expect(cabinet.alts).toContain(`Code that opens ${origin}/cabinets/Loft`)
    expect(cabinet.text).toContain('A8 to E1')
    // The picture stands whole on one page, however tall: every screw of the strip is in it.
    const strip = boardOf(sheets, w.facts.controller['a8'] ?? { sheet: '' }).terminals.map((t) =>
      t.id.replace(/^E\d+\./, ''),
    )
    const withPicture = cabinet.byPage.filter((lines) => lines.join(' ').includes('Supply of A8'))
    expect(withPicture).toHaveLength(1)
    const words = new Map<string, number>()
    for (const word of (withPicture[0] ?? []).join(' ').split(' ')) words.set(word, (words.get(word) ?? 0) + 1)
    for (const id of strip) expect(words.get(id) ?? 0).toBeGreaterThanOrEqual(1)
  })
})

describe('lists', () => {
  it('every conductor of every net once, with its two ends, as the wire sheets have it; who ended it', async () => {
    const w = many()
    const door = w.door('D-10')
    const board = boardOf(sheets, w.facts.controller[door.placement?.controller ?? ''] ?? { sheet: '' })
    const net = netOf(door, board, sheets)
    const one = net.conductors[0]
    w.do('core.tick', { door: 'D-10', cable: one?.cable, core: one?.id, done: true }, 'engineer', 'inka')
    const { rows } = tableOf('conductors', paper(w.facts))
    const count = all(w.facts, 'door').reduce((n, d) => {
      const c = w.facts.controller[d.placement?.controller ?? '']
      return n + (c ? netOf(d, boardOf(sheets, c), sheets).conductors.length : 0)
    }, 0)
    expect(rows).toHaveLength(count)
    const mine = rows.filter((r) => r[0] === 'D-10')
    for (const c of net.conductors)
      expect(
        mine.filter(
          (r) =>
            r[1] === c.part && r[2] === c.leadName && r[3] === c.colour && r[4] === c.cable && r[7] === c.terminal.id,
        ),
      ).toHaveLength(1)
    expect(mine.filter((r) => r[9] === 'by inka')).toHaveLength(1)
    const { text } = await read(await listPdf('conductors', paper(w.facts)))
    expect(text).toContain('D-10')
  })
  it('the check-off of every cabinet, with who has done what', () => {
    const w = many()
    const before = tableOf('checks', paper(w.facts)).rows
    expect(before.some((r) => r[1] === 'A8' && String(r[2]).startsWith('In the box of A8') && r[3] === '')).toBe(true)
    w.do('cabinet.check', { controller: 'a8', item: 'box', done: true }, 'engineer', 'inka')
    expect(tableOf('checks', paper(w.facts)).rows.filter((r) => r[3] === 'by inka')).toHaveLength(1)
    expect(before.length).toBe(tableOf('checks', paper(w.facts)).rows.length)
  })
  it('are the same on paper, as CSV and in a workbook', async () => {
    const w = many()
    const table = tableOf('cables', paper(w.facts))
    expect(table.rows).toHaveLength(all(w.facts, 'door').reduce((n, d) => n + d.cables.length, 0))
    const { text } = await read(await listPdf('cables', paper(w.facts)))
    for (const row of table.rows) expect(text).toContain(String(row[0]))
    const { csv, book } = await readTable(table)
    expect(csv).toEqual(book)
    expect(csv[1]?.slice(0, 2)).toEqual(table.rows[0]?.slice(0, 2))
  })
  it('labels carry a code each that opens a page', async () => {
    const w = many()
    const list = labels(w.facts, sheets)
    const { alts, text } = await read(await listPdf('labels', paper(w.facts)))
    expect(alts).toHaveLength(list.length)
    for (const l of list) {
      expect(alts).toContain(`Code that opens ${origin}${l.path}`)
      expect(text).toContain(l.lines[0])
    }
  })
  it('no piece is forgotten, no drum holds more than it has, and the drums are no more than the rule allows', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 130 }), { maxLength: 60 }),
        fc.integer({ min: 50, max: 120 }),
        (lengths, drumM) => {
          const rows = lengths.map((lengthM, i) => ({
            name: `C${i}`,
            door: '',
            cable: '',
            from: '',
            to: '',
            kind: 'k',
            cores: 2,
            lengthM,
            plannedM: null,
            state: 'to pull' as const,
          }))
          const [cut] = cutList(rows, drumM, 2)
          if (!cut) {
            expect(lengths).toEqual([])
            return
          }
          expect(
            cut.drums
              .flatMap((d) => d.pieces.map((p) => p.name))
              .concat(cut.tooLong)
              .sort(),
          ).toEqual(rows.map((r) => r.name).sort())
          const fits = lengths.filter((l) => l + 2 <= drumM)
          for (const d of cut.drums) {
            const used = d.pieces.reduce((s, p) => s + p.lengthM, 0)
            expect(used).toBeLessThanOrEqual(drumM)
            expect(d.leftM).toBe(drumM - used)
          }
          // Nothing can go under the metres over a drum's; first fit decreasing stays within 11/9 of the best and one more.
          const least = Math.ceil(fits.reduce((s, l) => s + l + 2, 0) / drumM)
          expect(cut.drums.length).toBeGreaterThanOrEqual(least)
          const large = fits.filter((l) => l + 2 > drumM / 2).length
          expect(cut.drums.length).toBeLessThanOrEqual(Math.max(large, Math.ceil((least * 3) / 2) + 1))
        },
      ),
    )
  })
  it('what must be at hand follows the plan: cables by kind, batteries, cards of each technology, tools, and what is got is remembered', () => {
    const w = many()
    const list = () => atHandList(w.facts, sheets)
    const metres = cutList(cableList(w.facts, sheets), 100, 2).reduce((s, c) => s + Math.ceil(c.metres), 0)
    expect(
      list()
        .filter((i) => i.group === 'cable')
        .reduce((s, i) => s + (i.count ?? 0), 0),
    ).toBe(metres)
    expect(list().find((i) => i.what.includes('card 13.56'))).toMatchObject({ count: 4, group: 'card' })
    expect(list().find((i) => i.what === 'Set-up card of the wireless locks')?.for ?? '').toContain('D-13')
    expect(list().find((i) => i.id === 'device-expander-io')).toMatchObject({ count: 1, for: 'A8 E1' })
    expect(list().find((i) => i.group === 'battery' && i.what.startsWith('Battery'))).toBeUndefined()
    w.do('powerPlan.put', {
      id: 'a8',
      batteryAh: 12,
      batteryCount: 2,
      wiring: 'parallel',
      hours: 4,
      celsius: 20,
      movements: 10,
      fireRelay: false,
    })
    expect(list().find((i) => i.what === 'Battery 12 V, 12 Ah')).toMatchObject({ count: 2, for: 'A8' })
    w.do('procured.set', { id: 'tool-site-radio-key', got: true, from: 'The maker', due: '2026-12-01' })
    expect(w.facts.procured['tool-site-radio-key']).toMatchObject({
      from: 'The maker',
      due: '2026-12-01',
      got: { by: 'vesa' },
    })
    expect(() => w.do('procured.set', { id: 'x', due: '2026-13-40' })).toThrow('is no day')
    expect(sheetOf(sheets, 'wireless-handle').atHand).toContain('Set-up card of the wireless locks')
  })
  it('what is pulled, terminated or hung needs no bringing any more; tools and cards do; a tick taken back brings it again', () => {
    const w = many()
    const counts = () => new Map(atHandList(w.facts, sheets).map((i) => [i.id, i.count]))
    const before = counts()
    const door = Object.values(w.facts.door).find((d) => d.cables.some((c) => c.lengthM > 0))
    const cable = door?.cables.find((c) => c.lengthM > 0)
    const part = door?.parts.find((p) => p.id === cable?.part)
    if (!door || !cable || !part) throw new Error('no cable')
    const metres = (list: Map<string, number | null>) =>
      [...list].filter(([id]) => id.startsWith('cable-')).reduce((s, [, n]) => s + (n ?? 0), 0)
    const tick = (what: 'pulled' | 'ended', done: boolean) =>
      w.do('tick.set', { door: door.id, cable: cable.id, what, done })
    tick('pulled', true)
    expect(metres(before) - metres(counts())).toBe(cable.lengthM + 2)
    expect(counts().get(`device-${part.sheet}`)).toBe(before.get(`device-${part.sheet}`))
    tick('ended', true)
    expect(counts().get(`device-${part.sheet}`) ?? 0).toBe((before.get(`device-${part.sheet}`) ?? 0) - 1)
    const controller = w.facts.controller['a8']
    if (!controller) throw new Error('no controller')
    const board = `device-${controller.sheet}`
    for (const item of checkOff(controller, w.facts, sheets)) {
      expect(counts().get(board)).toBe(before.get(board))
      w.do('cabinet.check', { controller: 'a8', item: item.id, done: true })
    }
    expect(counts().get(board) ?? 0).toBe((before.get(board) ?? 0) - 1)
    const lasting = [...before].filter(([id]) => /^(tool|card|setup)-/.test(id))
    for (const [id, count] of lasting) expect([id, counts().get(id)]).toEqual([id, count])
    tick('ended', false)
    expect(counts().get(`device-${part.sheet}`)).toBe(before.get(`device-${part.sheet}`))
  })
  it('counts licences by the doors or devices that need them, names a tool once with what it runs on, and drops what nothing needs', () => {
    const w = smallJob()
    const of = (group: string) => atHandList(w.facts, sheets).filter((i) => i.group === group)
    expect(of('licence')).toEqual([])
    w.do('controller.put', {
      id: 'r1',
      ref: 'R1',
      sheet: 'controller-radio',
      cabinet: 'Loft',
      supply: 'supply-5',
      address: '',
      serial: '',
      mac: '',
    })
    expect(of('licence')).toEqual([]) // no door on it yet
    for (const k of [1, 2, 3]) {
      w.do('door.add', {
        id: `W-0${k}`,
        fields: {
          ref: `W-0${k}`,
          name: `Flat ${k}`,
          from: 'out',
          to: 'in',
          handle: true,
          hardware: { lock: 'wireless-handle' },
        },
      })
      w.do('door.placeProposed', { id: `W-0${k}`, controller: 'r1' })
    }
    expect(of('licence')).toEqual([
      {
        id: 'setup-licence-licence-for-a-wireless-lock',
        group: 'licence',
        what: 'Licence for a wireless lock',
        count: 3,
        unit: '',
        for: 'R1',
      },
    ])
    for (const k of [1, 2]) {
      w.do('unit.put', { id: `h${k}`, ref: `H${k}`, sheet: 'hub-radio', cabinet: 'Loft', address: '' })
      w.do('unit.put', { id: `s${k}`, ref: `S${k}`, sheet: 'station-head', cabinet: 'Loft', address: '' })
    }
    expect(of('tool and key').find((i) => i.what.startsWith('Set-up page of the station'))).toMatchObject({
      what: 'Set-up page of the station; runs on a browser on the same network',
      count: null,
      for: 'S1, S2',
    })
    expect(of('tool and key').find((i) => i.what === 'Set-up card of the wireless locks')).toMatchObject({
      count: null,
      for: 'W-01 K1, W-02 K1, W-03 K1',
    })
    // An id is what is ticked off: it must stay while the job grows.
    const before = of('licence')[0]?.id
    w.do('door.remove', { id: 'W-03' })
    expect(of('licence')[0]).toMatchObject({ id: before, count: 2 })
  })
})

describe('wire sheets of a whole job', () => {
  it('are made door by door, tell how far they are, and stop with what is made', async () => {
    const w = many()
    const workshop = new Workshop()
    const printing = new Printing(workshop)
    const until = async (id: string, states: string[]) => {
      for (let i = 0; i < 3000; i++) {
        const p = printing.of(id)
        if (p && states.includes(p.state) && printing.file(id)) return p
        await new Promise((done) => setTimeout(done, 10))
      }
      throw new Error('never')
    }
    const whole = printing.start(w.facts, origin, 'vesa', 0)
    expect(whole).toMatchObject({ state: 'running', total: 5 })
    expect(await until(whole.id, ['ready'])).toMatchObject({ done: 5, says: '5 wire sheets.' })
    expect((await read(printing.file(whole.id) as Buffer)).pages).toBeGreaterThanOrEqual(5)
    const short = printing.start(w.facts, origin, 'vesa', 0)
    await new Promise((done) => setImmediate(done))
    printing.stop(short.id)
    const stopped = await until(short.id, ['stopped'])
    expect(stopped.done).toBeLessThan(5)
    expect(stopped.says).toContain('Stopped after')
    expect(printing.of('nothing')).toBeNull()
    workshop.close()
  })
})
