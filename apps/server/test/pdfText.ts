import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** All that is written in a PDF, page after page. */
export async function pdfText(pdf: Uint8Array): Promise<string> {
  const document = await getDocument({ data: pdf, verbosity: 0 }).promise
  let text = ''
  for (let n = 1; n <= document.numPages; n++)
    text += (await (await document.getPage(n)).getTextContent()).items.map((i) => ('str' in i ? i.str : '')).join(' ')
  await document.destroy()
  return text.replace(/\s+/g, ' ')
}
