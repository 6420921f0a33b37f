import iconv from 'iconv-lite'
import fc from 'fast-check'
import {
  applyChanges,
  cardFormats,
  emptyFacts,
  isSerial,
  numberedCard,
  put,
  serialCard,
  type Facts,
  type Person,
  type Table,
} from '@rauta/core'
import {
  findPersonHeader,
  personColumnsAt,
  previewPeople,
  readPeople,
  type PeoplePreview,
} from '@rauta/core/peoplelist'
import { commands } from '@rauta/contracts'
import { peopleCsv, peopleXlsx, readPaper } from '../src'

const job = (): Facts => {
  const facts = emptyFacts()
  return applyChanges(
    facts,
    [
      put(facts, 'job', { id: 'job', zone: 'Europe/Helsinki' } as never),
      put(facts, 'group', { id: 'g', name: 'Staff' }),
      put(facts, 'group', { id: 'n', name: 'Night', parent: 'g' }),
      put(facts, 'person', {
        id: 'p',
        number: '007',
        name: 'Aino Laine',
        cards: [{ id: 'c', facility: 61, number: 4423, state: 'in use' }],
        groups: ['g'],
      }),
      put(facts, 'person', { id: 't1', number: '8', name: 'Twin Name', cards: [], groups: [] }),
      put(facts, 'person', { id: 't2', number: '9', name: 'Twin Name', cards: [], groups: [] }),
      put(facts, 'testCards', {
        id: 'kit',
        good: { facility: 88, number: 1 },
        lost: { facility: 88, number: 2 },
        outOfHours: { facility: 88, number: 3 },
        unknown: { facility: 88, number: 4 },
      }),
    ],
    1,
  )
}
const look = (table: Table, facts = job()): PeoplePreview => {
  const { row, columns } = findPersonHeader(table)
  return previewPeople(row < 0 ? [] : readPeople(table, row, columns), facts)
}
const read = async (bytes: Uint8Array | string, facts = job(), name = 'list.csv'): Promise<PeoplePreview> => {
  const { tables } = await readPaper(typeof bytes === 'string' ? Buffer.from(bytes) : bytes, name)
  return look(tables[0] as Table, facts)
}
const rows = (p: PeoplePreview) => p.rows.map((r) => `${r.number || r.name}: ${r.state}`)
/** Takes the good rows over by the command that the server gives. */
const taken = (preview: PeoplePreview, facts: Facts, id = 'i1'): Facts => {
  const people = preview.rows.filter((r) => r.state === 'new' || r.state === 'changed').map((r) => r.listed)
  const command = commands['people.import']
  if (!command || people.length === 0) return facts
  const changes = command.apply(facts, { file: 'list.csv', people, meanings: {} } as never, {
    id,
    by: 'vesa',
    role: 'lead',
    at: 0,
    sheets: {},
  })
  return applyChanges(facts, changes, facts.rev + 1)
}
const named = (facts: Facts, name: string): Person | undefined =>
  Object.values(facts.person).find((p) => p.name === name)

const list = [
  'Staff no;Name;Department;Card no;Company;Valid until;Needs longer',
  '007;Aino Laine;Staff / Night;61 04423;Näyttämö Oy;31.12.2027;no',
  '010;Örjan Åkesson – Müller;Staff;61-04500; 61 04501;;2027-06-30;yes',
].join('\n')

describe('a list of people as text', () => {
  const good = list.replace('61-04500; 61 04501', '"61-04500; 61 04501"')
  it.each([
    ['UTF-8', Buffer.from(good)],
    ['UTF-8 with its mark', Buffer.from('\ufeff' + good)],
    ['UTF-16 LE with its mark', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(good, 'utf16le')])],
    ['UTF-16 BE with its mark', Buffer.concat([Buffer.from([0xfe, 0xff]), iconv.encode(good, 'utf-16be')])],
    ['Windows-1252', iconv.encode(good, 'windows-1252')],
  ])('%s is read the same', async (_name, bytes) => {
    const preview = await read(bytes)
    expect(rows(preview)).toEqual(['007: changed', '010: new'])
    expect(preview.rows[0]?.says).toEqual([
      'Company: not said, will be Näyttämö Oy',
      'Valid until: not said, will be 2027-12-31',
      'Groups: Staff, will be Staff / Night',
    ])
    expect(preview.rows[1]?.listed).toEqual({
      number: '010',
      name: 'Örjan Åkesson – Müller',
      groups: ['Staff'],
      cards: [
        { facility: 61, number: 4500 },
        { facility: 61, number: 4501 },
      ],
      validUntil: '2027-06-30',
      longer: true,
    })
  })
  it('a semicolon outside quotation marks shifts the row, and the row is named', async () => {
    const [, second] = (await read(list)).rows
    expect(second?.state).toBe('bad')
  })
})

describe('titles', () => {
  it.each([
    ['English', 'Employee ID,First name,Last name,Access group,Badge number,Start date,Expiry date'],
    ['Finnish', 'Henkilönumero,Etunimi,Sukunimi,Ryhmä,Kortin numero,Voimassa alkaen,Voimassa asti'],
    ['Swedish', 'Anställningsnummer,Förnamn,Efternamn,Grupp,Kortnummer,Giltig från,Giltig till'],
    ['German', 'Personalnummer,Vorname,Nachname,Gruppe,Kartennummer,Gültig ab,Gültig bis'],
    ['French', 'Matricule,Prénom,Nom,Groupe,Numéro de carte,Début,Fin'],
    ['Spanish', 'Legajo,Nombre,Apellidos,Grupo,Número de tarjeta,Válido desde,Válido hasta'],
  ])('in %s are known', async (_language, head) => {
    const [row] = (await read(`${head}\n12,Ilse,Berg,Staff,61 4600,2027-01-01,2027-02-01`)).rows
    expect(row).toMatchObject({
      state: 'new',
      listed: {
        number: '12',
        name: 'Ilse Berg',
        groups: ['Staff'],
        cards: [{ facility: 61, number: 4600 }],
        validFrom: '2027-01-01',
        validUntil: '2027-02-01',
      },
    })
  })
  it('may stand under a title of the sheet, and be said over again', async () => {
    const text = 'People of the terminal\n\nNumber,Name\n20,One\nNumber,Name\n21,Two'
    expect(rows(await read(text))).toEqual(['20: new', '21: new'])
  })
  it('a column is taken for what somebody says, and remembered', () => {
    const table: Table = {
      name: 't',
      rows: [
        ['Number', 'Name', 'Ref'],
        ['5', 'X', 'Gate crew'],
      ],
    }
    const chosen = personColumnsAt(table, 0, {}, { 2: 'remark' })
    expect([...readPeople(table, 0, chosen)][0]?.person.remark).toBe('Gate crew')
    const remembered = Object.fromEntries(chosen.map((c) => [c.key, c.meaning]))
    expect(personColumnsAt(table, 0, remembered).map((c) => c.meaning)).toEqual(['number', 'name', 'remark'])
    expect(personColumnsAt(table, 0, { ref: 'constructor' }).map((c) => c.meaning)).toEqual([
      'number',
      'name',
      'ignore',
    ])
  })
})

describe('bad rows are named and left out, the others go on', () => {
  const head = 'Number|Name|Groups|Cards|Facility|Card format|Valid from|Valid until|Needs longer|Company|Remark'
  const cases: [string, string, RegExp][] = [
    ['30||||||||||', 'Name', /somebody new needs a name/],
    [`30|${'n'.repeat(121)}|||||||||`, 'Name', /121 letters/],
    [`30|N|||||||||${'r'.repeat(501)}`, 'Remark', /501 letters/],
    [`30|N||||||||${'c'.repeat(121)}|`, 'Company', /121 letters/],
    ['|Twin Name|||||||||', 'Name', /several people are called Twin Name/],
    ['30|N||sixty|||||||', 'Cards', /no card number/],
    ['30|N||61 70000|||||||', 'Cards', /no card number/],
    ['30|N||4002119|||||||', 'Cards', /may be 3 cards/],
    ['30|N||61 04423|||||||', 'Cards', /is Aino Laine’s/],
    ['30|N||88 1|||||||', 'Cards', /test cards/],
    ['30|N||4500|x||||||', 'Facility', /no facility/],
    ['30|N||6100 x|61||||||', 'Cards', /no card number/],
    ['30|N||70000|61||||||', 'Cards', /does not fit/],
    ['30|N||61 04500||40 bits|||||', 'Card format', /no card format/],
    ['30|N||61 04500||serial number, 4 bytes|||||', 'Cards', /does not fit/],
    ['30|N|||||2027-02-30||||', 'Valid from', /is no day/],
    ['30|N|||||1/2/2027||||', 'Valid from', /is no day/],
    ['30|N|||||2027-02-02|2027-02-01|||', 'Valid until', /before it begins/],
    ['30|N|||||||perhaps||', 'Needs longer', /neither yes nor no/],
    [`30|N|${Array.from({ length: 9 }, (_, i) => `g${i}`).join(' / ')}||||||||`, 'Groups', /9 groups in each other/],
    [`30|N|${'g'.repeat(121)}||||||||`, 'Groups', /121 letters/],
  ]
  // Parted by tabs, so that a row may hold every other sign.
  const text = (...lines: string[]) => [head, ...lines].map((l) => l.replaceAll('|', '\t')).join('\n')
  it.each(cases)('%s', async (line, column, says) => {
    // The format and facility columns speak for the row alone.
    const preview = await read(text(line, '31|Good One|Staff||||||||'))
    expect(preview.rows.map((r) => r.state)).toEqual(['bad', 'new'])
    expect(preview.rows[0]?.faults).toContainEqual(
      expect.objectContaining({ column, says: expect.stringMatching(says) as string }),
    )
    expect(preview.rows[0]?.faults.every((f) => f.mend !== '')).toBe(true)
  })
  it('the same person twice, by number and by name; one card in two rows; more cards than one may have', async () => {
    const many = Array.from({ length: 11 }, (_, i) => `62 ${i}`).join(';')
    const preview = await read(
      text(
        '30|N|||||||||',
        '30|M|||||||||',
        '|New Name|||||||||',
        '|new  name|||||||||',
        '32|A||62 900|||||||',
        '33|B||62 900|||||||',
        `34|C||${many}|||||||`,
      ),
    )
    expect(preview.rows.map((r) => r.state).join(' ')).toBe('new bad new bad new bad bad')
  })
  it('a date that a spreadsheet made of a number, a broken formula, a number without its noughts', () => {
    const table: Table = {
      name: 't',
      rows: [
        ['Number', 'Name', 'Cards', 'Valid until'],
        [{ date: '2027-01-04' }, 'N', null, null],
        ['41', 'N', { broken: '#REF!' }, null],
        [42, 'N', null, { date: '2027-12-31' }],
      ],
    }
    const preview = look(table)
    expect(rows(preview)).toEqual(['N: bad', '41: bad', '42: new'])
    expect(preview.rows[2]).toMatchObject({
      listed: { validUntil: '2027-12-31' },
      notes: [expect.stringMatching(/noughts/)],
    })
  })
})

describe('what is taken over', () => {
  it('people, cards and groups, each group inside the one that it is in; the same file again changes nothing', async () => {
    const text =
      'Number,Name,Groups,Cards\n,Somebody New,Guests / Summer,61 5000\n,Second New,Guests / Summer; Night,\n007,,Night,61 5001'
    const facts = job()
    const preview = await read(text)
    expect(preview.groups.map((g) => g.path)).toEqual(['Guests', 'Guests / Summer'])
    const after = taken(preview, facts)
    expect(named(after, 'Somebody New')).toMatchObject({
      number: '010',
      cards: [{ facility: 61, number: 5000, state: 'in use' }],
    })
    expect(named(after, 'Second New')).toMatchObject({ number: '011', groups: ['i1-g1', 'n'] })
    expect(after.group['i1-g1']).toEqual({ id: 'i1-g1', name: 'Summer', parent: 'i1-g0' })
    expect(named(after, 'Aino Laine')?.cards.map((c) => c.number)).toEqual([4423, 5001])
    const again = await read(text, after)
    expect(again.counts).toEqual({ new: 0, changed: 0, same: 3, bad: 0 })
    expect(again.groups).toEqual([])
  })
  it('an empty cell leaves what is there; no takes the longer times away', async () => {
    const facts = taken(await read('Number,Company,Needs longer\n007,Quay Works,yes'), job())
    expect(named(facts, 'Aino Laine')).toMatchObject({ company: 'Quay Works', longer: true })
    const after = taken(await read('Number,Name,Company,Needs longer\n007,Aino Laine,,no', facts), facts)
    expect(named(after, 'Aino Laine')?.company).toBe('Quay Works')
    expect(named(after, 'Aino Laine')).not.toHaveProperty('longer')
  })
  it('numbers that the list gives itself are not given to somebody else', async () => {
    const after = taken(await read('Number,Name\n,Without\n010,With'), job())
    expect(named(after, 'Without')?.number).toBe('011')
    expect(named(after, 'With')?.number).toBe('010')
  })
  it('the command refuses by itself what a preview would have left out', () => {
    const apply = (people: unknown[]) => () =>
      commands['people.import']?.apply(job(), { file: 'f', people, meanings: {} } as never, {
        id: 'i',
        by: 'v',
        role: 'lead',
        at: 0,
        sheets: {},
      })
    expect(apply([{ number: '50' }])).toThrow(/no name/)
    expect(apply([{ name: 'Twin Name' }])).toThrow(/Several people/)
    expect(apply([{ name: 'A', cards: [{ facility: 61, number: 4423 }] }])).toThrow(/Aino Laine’s/)
    expect(apply([{ name: 'A', cards: [{ facility: 88, number: 1 }] }])).toThrow(/test cards/)
    expect(
      apply([
        { name: 'A', cards: [{ facility: 1, number: 1 }] },
        { name: 'B', cards: [{ facility: 1, number: 1 }] },
      ]),
    ).toThrow(/twice/)
    expect(apply([{ number: '007' }, { number: '007' }])).toThrow(/twice/)
    expect(apply([{ name: 'A', validFrom: '2027-02-02', validUntil: '2027-02-01' }])).toThrow(/before it begins/)
    expect(apply([{ name: 'A', groups: ['/'] }])).toThrow(/names no group/)
    expect(apply([{ name: 'A', cards: [{ facility: 999, number: 1 }] }])).toThrow(/does not fit/)
  })
})

describe('a list that Rauta writes is read back as the same', () => {
  const word = fc.stringMatching(/^[A-Za-zÀ-ÿ][A-Za-zÀ-ÿ0-9 .'-]{0,20}[A-Za-zÀ-ÿ]$/).map((s) => s.replace(/ +/g, ' '))
  const card = fc
    .constantFrom(...cardFormats)
    .chain((f) =>
      isSerial(f.id)
        ? fc.stringMatching(new RegExp(`^[0-9A-F]{${f.bits / 4}}$`)).map((serial) => serialCard(f.id, serial))
        : fc
            .tuple(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 65535 }))
            .map(([facility, number]) => numberedCard(f.id, facility, number)),
    )
  const day = fc
    .date({ min: new Date('2024-01-01'), max: new Date('2040-01-01'), noInvalidDate: true })
    .map((d) => d.toISOString().slice(0, 16))
  const people = fc
    .uniqueArray(
      fc.record({
        name: word,
        cards: fc.uniqueArray(card, { maxLength: 3, selector: (c) => JSON.stringify(c) }),
        more: fc.record(
          { company: word, contact: word, remark: word, validFrom: day, longer: fc.constant(true) },
          { requiredKeys: [] },
        ),
        groups: fc.uniqueArray(fc.constantFrom('g', 'n'), { maxLength: 2 }),
      }),
      { maxLength: 6, selector: (p) => p.cards.map((c) => JSON.stringify(c)).join() || p.name },
    )
    .filter((list) => {
      const all = list.flatMap((p) => p.cards.map((c) => JSON.stringify(c)))
      return new Set(all).size === all.length
    })
  const asPeople = (list: { name: string; cards: object[]; more: object; groups: string[] }[]): Person[] =>
    list.map((p, i) => ({
      id: `x${i}`,
      number: `1${i}`,
      name: p.name,
      groups: p.groups,
      ...p.more,
      cards: p.cards.map((c, n) => ({ ...c, id: `x${i}-${n}`, state: 'in use' })) as Person['cards'],
    }))
  const withPeople = (list: Person[]): Facts => {
    const facts = emptyFacts()
    const { group } = job()
    return applyChanges(
      { ...facts, group },
      list.map((p) => put(facts, 'person', p)),
      1,
    )
  }
  it('as CSV', async () => {
    await fc.assert(
      fc.asyncProperty(people, async (list) => {
        const all = asPeople(list)
        const facts = withPeople(all)
        const preview = await read(peopleCsv({ people: all, groups: facts.group }), facts)
        expect(preview.rows.map((r) => [r.state, r.says, r.faults])).toEqual(all.map(() => ['same', [], []]))
      }),
      { numRuns: 60 },
    )
  })
  it('as a workbook, and the template is empty', async () => {
    await fc.assert(
      fc.asyncProperty(people, async (list) => {
        const all = asPeople(list)
        const facts = withPeople(all)
        const preview = await read(await peopleXlsx({ people: all, groups: facts.group }), facts, 'people.xlsx')
        expect(preview.rows.map((r) => [r.state, r.says, r.faults])).toEqual(all.map(() => ['same', [], []]))
      }),
      { numRuns: 12 },
    )
  })
  it('cards that are lost are not handed on, and not given back by bringing the list again', async () => {
    const facts = job()
    const [aino] = [facts.person['p']].filter((p) => p !== undefined)
    const lost: Person[] = aino ? [{ ...aino, cards: aino.cards.map((c) => ({ ...c, state: 'lost' })) }] : []
    expect(peopleCsv({ people: lost, groups: facts.group })).not.toContain('04423')
  })
  it('no cell is a formula to a spreadsheet', () => {
    const facts = job()
    const csv = peopleCsv({
      people: [{ id: 'e', number: '1', name: '=HYPERLINK("x")', cards: [], groups: [] }],
      groups: facts.group,
    })
    expect(csv).toContain("'=HYPERLINK")
  })
})

it('5,000 rows with every kind of bad one: each is named, none lost', () => {
  const bad = ['', '61 70000', 'x', '61 04423', '88 2']
  const table: Table = {
    name: 't',
    rows: [
      ['Number', 'Name', 'Cards'],
      ...Array.from({ length: 5000 }, (_, i) => [
        `A${i}`,
        i % 10 === 0 ? '' : `Person ${i}`,
        i % 10 === 5 ? (bad[(i / 5) % 5] ?? '') : `${20 + Math.floor(i / 60000)} ${i}`,
      ]),
    ],
  }
  const preview = look(table)
  expect(preview.rows).toHaveLength(5000)
  const { counts } = preview
  expect(counts.new + counts.bad).toBe(5000)
  expect(preview.rows.filter((r) => r.state === 'bad').every((r) => r.faults.length > 0)).toBe(true)
  const after = taken(preview, job())
  expect(Object.keys(after.person)).toHaveLength(3 + counts.new)
  expect(look(table, after).counts).toEqual({ new: 0, changed: 0, same: counts.new, bad: counts.bad })
})
