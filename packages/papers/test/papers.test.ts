import iconv from 'iconv-lite'
import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import {
  defaultBehaviour,
  type Area,
  type Cell,
  type DeviceSheet,
  type Door,
  type Preview,
  type Table,
} from '@rauta/core'
import { columnsAt, findHeader, previewRows, readRows } from '@rauta/core/doorlist'
import { decodeText, PaperError, readPaper, scheduleCsv, scheduleXlsx } from '../src'

const sheet = (id: string, name: string, kind: DeviceSheet['kind']): DeviceSheet => ({
  id,
  name,
  kind,
  says: '',
  restA: 0,
  terminals: [],
  leads: [],
  atHand: [],
  ...(kind === 'lock'
    ? { lock: { principle: 'strike', fail: 'secure', nominalV: 12, leastV: 10, pullA: 0.4, sensing: false } }
    : {}),
})
const sheets = Object.fromEntries(
  [
    sheet('reader-a', 'Slim reader', 'reader'),
    sheet('lock-a', 'Strike, fail-secure', 'lock'),
    sheet('contact-a', 'Frame contact', 'contact'),
  ].map((s) => [s.id, s]),
)
const areas: Area[] = [
  { id: 'q', code: 'Q', name: 'Quay' },
  { id: 'c', code: 'C', name: 'Crew', parent: 'q' },
]

const read = async (bytes: Uint8Array | string, doors: Door[] = [], name = 'list.csv'): Promise<Preview> => {
  const { tables } = await readPaper(typeof bytes === 'string' ? Buffer.from(bytes) : bytes, name)
  return look(tables[0] as Table, doors)
}
const look = (table: Table, doors: Door[] = []): Preview => {
  const { row, columns } = findHeader(table)
  return previewRows(readRows(table, row, columns, sheets), doors, areas)
}
const table = (rows: Cell[][]): Table => ({ name: 't', rows })
const states = (p: Preview) => p.rows.map((r) => r.state).join(' ')

const list =
  'Door no;Name;From;To;Cable length\n001;Café entrée;Quay;Crew;35 m\n002;Büro 1’s “side”;Quay;Crew;0,5\n003;Näyttämö – länsi;Quay;Crew;12\n'

describe('a door schedule as text', () => {
  it.each([
    ['UTF-8', Buffer.from(list.replaceAll('’', "'"))],
    ['UTF-8 with its mark', Buffer.from('\ufeff' + list)],
    ['UTF-16 LE with its mark', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(list, 'utf16le')])],
    ['UTF-16 BE with its mark', Buffer.concat([Buffer.from([0xfe, 0xff]), iconv.encode(list, 'utf-16be')])],
    ['UTF-16 LE without a mark', Buffer.from(list, 'utf16le')],
    ['Windows-1252', iconv.encode(list.replaceAll('€', 'E'), 'windows-1252')],
  ])('is read in %s with every letter right', async (_name, bytes) => {
    const p = await read(bytes)
    expect(p.rows.map((r) => r.name)).toEqual([
      'Café entrée',
      expect.stringMatching(/^Büro 1.s “side”$/u),
      'Näyttämö – länsi',
    ])
    expect(p.rows.map((r) => r.listed.lengthM)).toEqual([35, 0.5, 12])
    expect(p.rows.map((r) => r.ref)).toEqual(['001', '002', '003'])
  })

  it('keeps the signs of Windows-1252 between 0x80 and 0x9F', () =>
    expect(decodeText(Uint8Array.from([0x80, 0x92, 0xe4])).text).toBe('€’ä'))

  it.each([[','], [';'], ['\t']])('finds the separator %j', async (d) => {
    const rows = [
      ['Ref', 'Name', 'From', 'To'],
      ['A-1', d === ',' ? '"Hall, east; side"' : 'Hall east', 'Quay', 'Crew'],
      ['A-2', 'Store', 'Quay', 'Crew'],
    ]
    expect(states(await read(rows.map((r) => r.join(d)).join('\r\n')))).toBe('new new')
  })

  it('takes a decimal comma in a list with semicolons for what it is', async () => {
    const p = await read('Ref;Name;From;To;Length\nA;B;Quay;Crew;1,5\nB;C;Quay;Crew;2,5\nC;D;Quay;Crew;3,5\n')
    expect(p.rows.map((r) => r.listed.lengthM)).toEqual([1.5, 2.5, 3.5])
  })

  it('says what a file is that is no list', async () => {
    await expect(readPaper(Buffer.alloc(0), 'a.csv')).rejects.toThrow('a.csv is empty.')
    await expect(readPaper(Buffer.from('%PDF-1.7'), 'a.pdf')).rejects.toThrow('is a PDF')
    await expect(readPaper(Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0]), 'a.xls')).rejects.toThrow('old kind')
    await expect(readPaper(Buffer.from('PK\u0003\u0004 and then nothing'), 'a.xlsx')).rejects.toThrow(PaperError)
    await expect(readPaper(Uint8Array.from([1, 2, 3, 4, 5, 0, 7, 8]), 'a.bin')).rejects.toThrow(
      'neither a spreadsheet nor text',
    )
  })

  it('never throws anything else, whatever the bytes are', () =>
    fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 300 }), async (bytes) => {
        try {
          const { tables } = await readPaper(bytes, 'x')
          look(tables[0] as Table)
        } catch (error) {
          expect(error).toBeInstanceOf(PaperError)
        }
      }),
      { numRuns: 300 },
    ))
})

/** A workbook by hand, as other programs write them: shared formulas, errors, cells that were never worked out. */
function workbook(cells: string): Uint8Array {
  const rels = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main'
  const files = {
    '[Content_Types].xml':
      '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml"/></Types>',
    '_rels/.rels': `<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${rels}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `<?xml version="1.0"?><workbook xmlns="${main}" xmlns:r="${rels}"><sheets><sheet name="List" sheetId="1" r:id="r1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${rels}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="r2" Type="${rels}/styles" Target="styles.xml"/></Relationships>`,
    'xl/styles.xml': `<?xml version="1.0"?><styleSheet xmlns="${main}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>`,
    'xl/worksheets/sheet1.xml': `<?xml version="1.0"?><worksheet xmlns="${main}"><sheetData>${cells}</sheetData></worksheet>`,
  }
  return zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])))
}
const row = (n: number, cells: string[]) =>
  `<row r="${n}">${cells.map((c, i) => c.replace('@', `${String.fromCharCode(65 + i)}${n}`)).join('')}</row>`
const str = (text: string) => `<c r="@" t="inlineStr"><is><t>${text}</t></is></c>`

describe('a door schedule as a workbook', () => {
  it('takes what a formula gave, and tells a cell whose formula fails or was never worked out', async () => {
    const head = row(1, ['Ref', 'Name', 'From', 'To', 'Length'].map(str))
    const p = await read(
      workbook(
        [
          head,
          row(2, [str('A-1'), str('One'), str('Quay'), str('Crew'), '<c r="@"><f>10+5</f><v>15</v></c>']),
          row(3, [str('A-2'), str('Two'), str('Quay'), str('Crew'), '<c r="@" t="e"><f>F9</f><v>#REF!</v></c>']),
          row(4, [str('A-3'), str('Three'), str('Quay'), str('Crew'), '<c r="@"><f>SUM(A1)</f></c>']),
        ].join(''),
      ),
      [],
      'list.xlsx',
    )
    expect(states(p)).toBe('new bad bad')
    expect(p.rows[0]?.listed.lengthM).toBe(15)
    expect(p.rows[1]?.faults).toEqual([
      {
        cell: 'E3',
        column: 'Cable length, m',
        says: 'the formula gives #REF!',
        mend: expect.stringContaining('Mend the formula'),
      },
    ])
    expect(p.rows[2]?.faults[0]?.says).toContain('never worked out')
  })

  it('names a reference of which the spreadsheet made a date', async () => {
    const p = await read(
      workbook(
        row(1, ['Ref', 'Name', 'From', 'To'].map(str)) +
          row(2, ['<c r="@" s="1"><v>46116</v></c>', str('One'), str('Quay'), str('Crew')]) +
          row(3, ['<c r="@"><v>7</v></c>', str('Two'), str('Quay'), str('Crew')]),
      ),
      [],
      'list.xlsx',
    )
    expect(states(p)).toBe('bad new')
    expect(p.rows[0]?.faults[0]).toMatchObject({
      cell: 'A2',
      says: expect.stringContaining('made a date of it (2026-0'),
      mend: expect.stringContaining('Set the column to text'),
    })
    expect(p.rows[1]?.notes[0]).toContain('noughts before it would be lost')
  })
})

describe('the titles of a list', () => {
  const base = ['A-1', 'One', 'Quay', 'Crew']
  it('are found under title rows, and repeats and blank rows are left out', () => {
    const p = look(
      table([
        ['North wing door schedule, issue C', null],
        [],
        ['Ref', 'Name', 'From', 'To'],
        base,
        [null, null],
        ['ref', 'NAME', 'From', 'to'],
        ['A-2', 'Two', 'Quay', 'Crew'],
      ]),
    )
    expect(p.rows.map((r) => [r.row, r.ref])).toEqual([
      [4, 'A-1'],
      [7, 'A-2'],
    ])
  })
  it('may be merged: with the one above, or over several columns', () => {
    const t = table([
      ['Ref', 'Name', 'From', 'To', 'Length to', null],
      [null, null, null, null, 'Riser 1', 'Riser 2'],
      [...base, '12 m', '30'],
    ])
    const head = findHeader({ ...t, rows: t.rows })
    expect(head.columns.map((c) => c.meaning)).toEqual([
      'ref',
      'name',
      'from',
      'to',
      'distance:Riser 1',
      'distance:Riser 2',
    ])
    expect(look(t).rows[0]?.listed.distances).toEqual({ 'Riser 1': 12, 'Riser 2': 30 })
  })
  it.each([
    [['Tunnus', 'Nimi', 'Mistä', 'Mihin', 'Poistumistie', 'Lukija']],
    [['Türnummer', 'Bezeichnung', 'Von', 'Nach', 'Fluchtweg', 'Leser']],
    [['Dörrnr', 'Benämning', 'Från', 'Till', 'Utrymningsväg', 'Läsare']],
    [['Repère', 'Désignation', 'De', 'Vers', 'Issue de secours', 'Lecteur']],
    [['Puerta', 'Descripción', 'Desde', 'Hacia', 'Ruta de escape', 'Lector']],
  ])('are understood in other languages: %j', (titles) =>
    expect(findHeader(table([titles, [...base, 'x', '']])).columns.map((c) => c.meaning)).toEqual([
      'ref',
      'name',
      'from',
      'to',
      'escapeRoute',
      'entryReader',
    ]),
  )
  it('carry a unit for the whole column', () =>
    expect(
      look(
        table([
          ['Ref', 'Name', 'From', 'To', 'Cable length (ft)'],
          [...base, '100'],
        ]),
      ).rows[0]?.listed.lengthM,
    ).toBe(30.48))
  it('can be corrected, and the first of two columns with one meaning counts', () => {
    const t = table([
      ['Ref', 'Name', 'From', 'To', 'Remark', 'Length', 'Run'],
      [...base, 'yes', '1', '2'],
    ])
    const columns = columnsAt(t, 0, {}, { 4: 'escapeRoute' })
    expect(columns.map((c) => c.meaning)).toEqual(['ref', 'name', 'from', 'to', 'escapeRoute', 'lengthM', 'ignore'])
    expect(columnsAt(t, 0, { remark: 'handle' })[4]?.meaning).toBe('handle')
  })
})

describe('the rows of a list', () => {
  const titles = ['Ref', 'Name', 'From', 'To', 'Escape route', 'Release time', 'Passages', 'Reader', 'Length']
  const good = ['A-1', 'One', 'Quay', 'Crew', 'ja', '5 s', '1 200', 'slim reader', '0,5 m']
  const rowWith = (index: number, value: Cell) => good.map((c, i) => (i === index ? value : c))
  it.each([
    [0, '', 'A2', 'there is no reference'],
    [0, 'Total: 12!', 'A2', 'is no reference'],
    [1, null, 'row 2', 'a new door needs a name'],
    [2, null, 'row 2', 'needs the area it leads from'],
    [4, 'maybe', 'E2', 'neither yes nor no'],
    [5, 'quick', 'F2', 'is not a time'],
    [5, '2 h', 'F2', 'is no unit'],
    [5, '9000', 'F2', 'outside 0.5 to 3600'],
    [6, 'many', 'G2', 'not a whole number'],
    [7, 'Unknown reader', 'H2', 'no device sheet'],
    [7, 'yes', 'H2', 'not which reader'],
    [7, 'Frame contact', 'H2', 'not fit'],
    [8, '-3', 'I2', 'below nought'],
    [8, '12 parsecs', 'I2', 'is no unit'],
  ])('a bad cell in column %i (%j) is named and does not sink the next row', (index, value, cell, says) => {
    const p = look(table([titles, rowWith(index, value), ['A-9', ...good.slice(1)]]))
    expect(states(p)).toBe('bad new')
    expect(p.rows[0]?.faults[0]).toMatchObject({
      cell,
      says: expect.stringContaining(says),
      mend: expect.stringMatching(/\.$/),
    })
  })
  it('says of a reference that stands there twice where the other one is', () => {
    const p = look(table([titles, good, good]))
    expect(states(p)).toBe('new bad')
    expect(p.rows[1]?.faults[0]?.says).toBe('A-1 stands in row 2 as well')
  })
  it.each([
    ['yes', true],
    ['Kyllä', true],
    ['X', true],
    ['✓', true],
    ['NEIN', false],
    ['-', false],
    ['ei', false],
    ['oui', true],
    ['sí', true],
    [true, true],
    [0, false],
  ])('takes %j for %j', (text, value) =>
    expect(look(table([titles, rowWith(4, text)])).rows[0]?.listed.escapeRoute).toBe(value),
  )
  it('brings areas along that the job lacks, inside those that it has', () => {
    const p = look(table([titles, rowWith(3, 'Quay / Crew / Flats'), ['A-2', ...rowWith(3, 'Engine hall').slice(1)]]))
    expect(p.areas).toEqual([
      { path: 'Quay / Crew / Flats', name: 'Flats', code: 'FL', parent: 'c' },
      { path: 'Engine hall', name: 'Engine hall', code: 'EH', parent: '' },
    ])
  })
})

const door = (n: number, over: Partial<Door> = {}): Door => ({
  id: `d${n}`,
  ref: `00${n}`,
  name: `Door ${n}, "the =1+1 one"`,
  from: 'q',
  to: 'c',
  escapeRoute: n % 2 === 0,
  passagesPerDay: n * 7,
  walk: n,
  handle: true,
  parts: [
    { id: 'R1', role: 'entryReader', sheet: 'reader-a' },
    { id: 'K1', role: 'lock', sheet: 'lock-a' },
  ],
  cables: [],
  placement: null,
  behaviour: defaultBehaviour,
  testCardsOff: false,
  at: { x: -n, y: n / 4 },
  distances: { 'Riser 1': 10 * n },
  ...over,
})

describe('a door schedule that Rauta writes', () => {
  const doors = [1, 2, 3].map((n) => door(n))
  const source = { doors, areas, cabinets: ['Riser 1', 'Shed & store'], sheets }
  it.each([
    ['CSV', async () => Buffer.from(scheduleCsv(source))],
    ['a workbook', async () => scheduleXlsx(source)],
  ])('as %s changes nothing when it is brought back', async (_name, make) => {
    const p = await read(await make(), doors, 'out')
    expect(p.counts).toEqual({ new: 0, changed: 0, same: 3, bad: 0 })
  })
  it('comes back with just what was altered', async () => {
    const p = await read(
      Buffer.from(
        scheduleCsv({
          ...source,
          doors: doors.map((d) => (d.id === 'd2' ? { ...d, name: 'Other', handle: false } : d)),
        }),
      ),
      doors,
      'out',
    )
    expect(p.rows.filter((r) => r.state === 'changed').map((r) => r.says)).toEqual([
      [expect.stringContaining('will be Other'), 'Handle: yes, will be no'],
    ])
  })
  it('makes a cell that starts like a formula harmless', () =>
    expect(scheduleCsv({ ...source, doors: [door(1, { name: '=HYPERLINK("x")' })] })).toContain('"\'=HYPERLINK'))
  it('gives an empty one with lists and tips, which reads back as no door at all', async () => {
    const { tables } = await readPaper(await scheduleXlsx({ ...source, doors: [] }), 'template.xlsx')
    expect(tables.map((t) => t.name)).toEqual(['Doors', 'Lists'])
    expect(look(tables[0] as Table).rows).toEqual([])
    expect((tables[1]?.rows ?? []).flat()).toEqual(expect.arrayContaining(['Turnstile', 'Slim reader', 'Crew']))
  })
})
