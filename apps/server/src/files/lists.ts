import { jobOf } from '@rauta/core'
import { labels, type Label } from '@rauta/core/lists'
import { sheetsFor } from '@rauta/contracts'
import { tableOf, usualOptions, type ListName, type ListOptions } from './listTables'
import { footOf, inner, margin, PdfFile, type Column } from './page'
import type { PaperFor } from './wireSheet'

const widths: Record<Exclude<ListName, 'labels'>, readonly number[]> = {
  conductors: [44, 30, 76, 62, 40, 62, 62, 50, 40, 33],
  checks: [90, 60, 300, 49],
  cables: [60, 120, 100, 92, 44, 44, 39],
  cuts: [150, 45, 120, 80, 104],
  'at-hand': [150, 45, 30, 150, 54, 40, 30],
  flows: [78, 50, 78, 58, 24, 26, 70, 82, 36],
}
const titles: Record<ListName, string> = {
  conductors: 'Conductors',
  checks: 'Check-off of the cabinets',
  cables: 'Cable list',
  cuts: 'Cut list',
  labels: 'Labels',
  'at-hand': 'What must be at hand',
  flows: 'What IT must let through',
}

/** The list on paper; labels as a sheet of labels to cut out, each with its code. */
export async function listPdf(which: ListName, paper: PaperFor, options: ListOptions = usualOptions): Promise<Buffer> {
  const job = jobOf(paper.facts)
  const out = new PdfFile(titles[which], job?.name ?? '', footOf(titles[which], paper.facts, paper.made))
  if (which === 'labels') drawLabels(out, labels(paper.facts, sheetsFor(paper.facts)), paper.origin)
  else {
    const page = out.page()
    const table = tableOf(which, paper, options)
    page.title(titles[which])
    page.line(
      `${job?.name ?? ''}${which === 'cuts' ? ` · drums of ${options.drumM} m, ${options.endsM} m added to each piece for both ends` : ''}`,
    )
    page.pdf.moveDown(0.6)
    const columns: Column[] = table.columns.map((title, i) => ({ title, width: widths[which][i] ?? 60 }))
    page.table(
      columns,
      table.rows.map((r) => r.map((v) => (v === null ? '' : String(v)))),
    )
  }
  return out.end()
}

/** An origin that only the computer itself can open. */
const loopback = /\/\/(127\.|localhost|\[::1\])/
const across = 2
const down = 9
const tall = (841.89 - 2 * margin) / down
const wide = inner / across

function drawLabels(out: PdfFile, list: readonly Label[], origin: string): void {
  let page = out.page()
  if (list.length === 0) page.line('Nothing is planned yet.')
  list.forEach((label, i) => {
    const at = i % (across * down)
    if (i > 0 && at === 0) page = out.page()
    const { pdf } = page
    const x = margin + (at % across) * wide
    const y = margin + Math.floor(at / across) * tall
    pdf
      .rect(x + 3, y + 3, wide - 6, tall - 6)
      .lineWidth(0.5)
      .dash(2, { space: 2 })
      .stroke('#000')
      .undash()
    page.code(origin + label.path, x + 12, y + 12, tall - 24)
    const left = x + tall
    if (loopback.test(origin))
      page.caption(
        'Its code opens on this computer only: start with --lan for phones.',
        x + 8,
        y + tall - 13,
        wide - 16,
      )
    pdf.addStructure(
      pdf.struct('P', {}, () => {
        label.lines.forEach((line, n) =>
          pdf
            .font(n === 0 ? 'strong' : 'text')
            .fontSize(n === 0 ? 15 : 9)
            .fillColor('#000')
            .text(line, left, y + 14 + (n === 0 ? 0 : 10 + n * 14), {
              width: wide - tall - 12,
              height: n === 0 ? 18 : 13,
              ellipsis: true,
              lineBreak: n === 0,
            }),
        )
      }),
    )
    // The next label is placed by hand: nothing may run on to a new page of itself.
    pdf.x = margin
    pdf.y = margin
  })
}
