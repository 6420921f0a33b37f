import { jobOf, type Done, type Facts } from '@rauta/core'
import {
  atHandList,
  cableList,
  checkList,
  conductorList,
  cutList,
  labels,
  usualDrumM,
  usualEndsM,
  type Label,
} from '@rauta/core/lists'
import { sheetsFor } from '@rauta/contracts'
import type { TableOut } from '@rauta/papers'
import { inner, margin, PdfFile, type Column } from './page'
import type { PaperFor } from './wireSheet'

export const listNames = ['conductors', 'cables', 'cuts', 'labels', 'checks', 'at-hand'] as const
export type ListName = (typeof listNames)[number]
export interface ListOptions {
  drumM: number
  endsM: number
}
export const usualOptions: ListOptions = { drumM: usualDrumM, endsM: usualEndsM }

/** A list of the job as a table: the same on paper, as CSV and in a workbook. */
export function tableOf(which: ListName, { facts, origin }: PaperFor, options: ListOptions = usualOptions): TableOut {
  const sheets = sheetsFor(facts)
  const done = (d: Done | null) => (d ? `by ${d.by}` : '')
  switch (which) {
    case 'conductors':
      return {
        name: 'Conductors',
        columns: ['Door', 'Part', 'Lead', 'Colour', 'Cable', 'Core', 'Controller', 'Terminal', 'Printed', 'Ended'],
        rows: conductorList(facts, sheets).map((r) => [
          r.door,
          r.part,
          r.lead,
          r.colour || 'none: meter it',
          r.cable,
          r.core,
          r.controller,
          r.terminal,
          r.label,
          done(r.ended),
        ]),
      }
    case 'checks':
      return {
        name: 'Cabinets',
        columns: ['Cabinet', 'Controller', 'What to check', 'Done'],
        rows: checkList(facts, sheets).map((r) => [r.cabinet, r.controller, r.says, done(r.done)]),
      }
    case 'cables':
      return {
        name: 'Cables',
        columns: ['Cable', 'From', 'To', 'Kind', 'Length, m', 'Planned, m', 'State'],
        rows: cableList(facts, sheets).map((r) => [r.name, r.from, r.to, r.kind, r.lengthM, r.plannedM, r.state]),
      }
    case 'cuts':
      return {
        name: 'Cuts',
        columns: ['Kind', 'Drum', 'Cable', 'Cut, m', 'Left on the drum, m'],
        rows: cutRows(facts, options),
      }
    case 'labels':
      return {
        name: 'Labels',
        columns: ['For', 'Line 1', 'Line 2', 'Line 3', 'Code'],
        rows: labels(facts, sheets).map((l) => [
          l.for,
          l.lines[0] ?? '',
          l.lines[1] ?? '',
          l.lines[2] ?? '',
          origin + l.path,
        ]),
      }
    case 'at-hand':
      return {
        name: 'At hand',
        columns: ['What', 'How many', 'Unit', 'For', 'From whom', 'By when', 'Got'],
        rows: atHandList(facts, sheets).map((i) => {
          const p = facts.procured[i.id]
          return [i.what, i.count, i.unit, i.for, p?.from ?? '', p?.due ?? '', done(p?.got ?? null)]
        }),
      }
  }
}

function cutRows(facts: Facts, { drumM, endsM }: ListOptions): (string | number | null)[][] {
  const one = (n: number) => Math.round(n * 10) / 10
  return cutList(cableList(facts, sheetsFor(facts)), drumM, endsM).flatMap((kind) => [
    ...kind.drums.flatMap((d, i) => {
      let left = drumM
      return d.pieces.map((p) => {
        left -= p.lengthM
        return [kind.kind, i + 1, p.name, one(p.lengthM), one(left)]
      })
    }),
    ...kind.tooLong.map((name) => [kind.kind, null, `${name}: longer than a drum of ${drumM} m`, null, null]),
    ...(kind.unknown ? [[kind.kind, null, `${kind.unknown} more without a length`, null, null]] : []),
  ])
}

const widths: Record<Exclude<ListName, 'labels'>, readonly number[]> = {
  conductors: [44, 30, 76, 62, 40, 62, 62, 50, 40, 33],
  checks: [90, 60, 300, 49],
  cables: [60, 120, 100, 92, 44, 44, 39],
  cuts: [150, 45, 120, 80, 104],
  'at-hand': [150, 45, 30, 150, 54, 40, 30],
}
const titles: Record<ListName, string> = {
  conductors: 'Conductors',
  checks: 'Check-off of the cabinets',
  cables: 'Cable list',
  cuts: 'Cut list',
  labels: 'Labels',
  'at-hand': 'What must be at hand',
}

/** The list on paper; labels as a sheet of labels to cut out, each with its code. */
export async function listPdf(which: ListName, paper: PaperFor, options: ListOptions = usualOptions): Promise<Buffer> {
  const job = jobOf(paper.facts)
  const out = new PdfFile(titles[which], job?.name ?? '')
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
