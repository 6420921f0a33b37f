import { strToU8 } from 'fflate'
import { PaperError, readPaper } from '../src'
import { ns, workbook } from './hostile'

const cells = (inner: string) => `<worksheet ${ns}><sheetData>${inner}</sheetData></worksheet>`
const text = (at: string, words: string) => `<c r="${at}" t="inlineStr"><is><t>${words}</t></is></c>`

const refused = async (bytes: Uint8Array, why: RegExp, file = 'list.xlsx') => {
  const began = performance.now()
  const error = await readPaper(bytes, file).then(
    () => null,
    (e: unknown) => e,
  )
  expect(error).toBeInstanceOf(PaperError)
  expect((error as PaperError).says).toMatch(why)
  expect((error as PaperError).says).toContain(file)
  expect(performance.now() - began).toBeLessThan(5000)
}

describe('a workbook that was made to do harm', () => {
  it('of 1 kB with one far cell is refused before a table of that size is made', async () => {
    await refused(
      workbook(cells(`<row r="1">${text('A1', 'x')}</row><row r="1048576">${text('XFD1048576', 'x')}</row>`)),
      /as far as row 1048576, column 16384/,
    )
    await refused(workbook(cells(`<row r="250000">${text('A250000', 'x')}</row>`)), /200000 rows and 1000 columns/)
    await refused(workbook(cells(`<row r="1">${text('AMK1', 'x')}</row>`)), /200000 rows and 1000 columns/)
    // Neither side is out of bounds by itself.
    await refused(
      workbook(cells(`<row r="1">${text('ALK1', 'x')}</row><row r="150000">${text('A150000', 'x')}</row>`)),
      /more than a list can have/,
    )
  })
  it('whose dimension lies is read as far as its cells reach', async () => {
    const sheet = `<worksheet ${ns}><dimension ref="A1:XFD1048576"/><sheetData><row r="1">${text('A1', 'Ref')}</row></sheetData></worksheet>`
    expect((await readPaper(workbook(sheet), 'list.xlsx')).tables[0]?.rows).toEqual([['Ref']])
  })
  it('with 40,000 cells that never close by name, or as many comments, takes no longer than any other', async () => {
    const began = performance.now()
    const open = Array.from({ length: 40_000 }, (_, i) => `<row r="${i + 1}"><c r="A${i + 1}" s="1"/></row>`).join('')
    await refused(workbook(cells(open)), /no filled cell/)
    const comments = Array.from(
      { length: 40_000 },
      (_, i) => `<!-- c --><row r="${i + 1}"><!-- c -->${text(`A${i + 1}`, 'Ref')}</row>`,
    ).join('')
    await readPaper(workbook(cells(comments)), 'list.xlsx')
    expect(performance.now() - began).toBeLessThan(15_000)
  })
  /** Sizes in the central directory, where readers look, changed for every file that unfolds to more than so many bytes. */
  const saying = (honest: Uint8Array, above: number, size: number): Buffer => {
    const lying = Buffer.from(honest)
    for (let at = lying.indexOf('PK\x01\x02', 0, 'latin1'); at >= 0; at = lying.indexOf('PK\x01\x02', at + 4, 'latin1'))
      if (lying.readUInt32LE(at + 24) > above) lying.writeUInt32LE(size, at + 24)
    return lying
  }
  it('that unfolds to more than a list can have is refused before it is unfolded', async () => {
    const bomb = workbook(cells(`<row r="1">${text('A1', 'x')}</row>`), { 'xl/media/big.bin': new Uint8Array(50_000) })
    await refused(saying(bomb, 40_000, 320_000_000), /unfolds to more/)
  })
  it('that says it unfolds to less than it does is refused', async () => {
    const honest = workbook(cells(`<row r="1">${text('A1', 'x'.repeat(5000))}</row>`))
    await refused(saying(honest, 5000, 40), /cannot be read as a spreadsheet/)
  })
  it('with a document type or entities of its own is refused', async () => {
    await refused(
      workbook(`<!DOCTYPE x [<!ENTITY a "b">]>${cells(text('A1', '&a;'))}`),
      /cannot be read as a spreadsheet/,
    )
  })
})

describe('text that was made to do harm', () => {
  it('with a million columns, or more rows or cells than a list has, is refused', async () => {
    await refused(strToU8(','.repeat(1_000_000)), /more than 1000 cells in row 1/, 'list.csv')
    await refused(strToU8('a\n'.repeat(200_001)), /more than 200000 rows/, 'list.csv')
    await refused(strToU8(`${'a;'.repeat(900)}\n`.repeat(5_000)), /more than 4000000 cells/, 'list.csv')
  })
  it('as large as a list can be is read', async () => {
    const { tables } = await readPaper(strToU8(`${'a;'.repeat(20)}b\n`.repeat(20_000)), 'list.csv')
    expect(tables[0]?.rows).toHaveLength(20_000)
  })
})
