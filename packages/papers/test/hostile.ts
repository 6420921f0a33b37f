import { strToU8, zipSync } from 'fflate'

export const ns = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"'
const office = 'http://schemas.openxmlformats.org'

/** A workbook of one sheet, as small as a reader takes it. */
export const workbook = (sheet: string, more: Record<string, Uint8Array> = {}): Uint8Array =>
  zipSync({
    '[Content_Types].xml': strToU8(`<Types xmlns="${office}/package/2006/content-types"/>`),
    'xl/workbook.xml': strToU8(
      `<workbook ${ns} xmlns:r="${office}/officeDocument/2006/relationships"><sheets><sheet name="S" sheetId="1" r:id="r1"/></sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      `<Relationships xmlns="${office}/package/2006/relationships"><Relationship Id="r1" Type="${office}/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
    ),
    'xl/worksheets/sheet1.xml': strToU8(sheet),
    ...more,
  })
