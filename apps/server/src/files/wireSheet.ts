import {
  all,
  boardOf,
  byRef,
  cableName,
  checkOff,
  coresOf,
  coreWords,
  expectedReading,
  inCurrentOrder,
  jobOf,
  judgeReading,
  newestOf,
  readingText,
  netOf,
  plannedOf,
  readingFacts,
  readingsFor,
  sheetOf,
  switchesFor,
  windowWords,
  wireHints,
  type Controller,
  type DeviceSheet,
  type Door,
  type Facts,
  type Part,
  type Planned,
  type Reading,
  type ReadingKind,
  type Sheets,
  type SwitchCoding,
} from '@rauta/core'
import { onScrews } from '@rauta/core/inside'
import { sheetsFor } from '@rauta/contracts'
import { cabinetFigure } from './cabinetFigure'
import { doorFigure } from './doorFigure'
import { footOf, inner, margin, PdfFile, type Column, type Made, type Page } from './page'

/** Where the codes on paper lead to. */
export interface PaperFor {
  facts: Facts
  origin: string
  made: Made
}

const conductorColumns: readonly Column[] = [
  { title: 'From', width: 62 },
  { title: 'Lead', width: 88 },
  { title: 'Colour', width: 66 },
  { title: 'Cable, core', width: 108 },
  { title: 'To terminal', width: 108 },
  { title: 'Terminated', width: inner - 432 },
]
const readingColumns: readonly Column[] = [
  { title: 'Cable', width: 52 },
  { title: 'Reading', width: 190 },
  { title: 'Should be', width: 130 },
  { title: 'Measured', width: inner - 372 },
]

/** What is wired at one door: drawing, every conductor with its two ends, what else to mind, readings with their windows. */
export function drawWireSheet(out: PdfFile, door: Door, { facts, origin, made }: PaperFor): void {
  out.foot = footOf(`${door.ref} ${door.name}, wire sheet`, facts, made)
  const page = out.page()
  const sheets = sheetsFor(facts)
  const controller = facts.controller[door.placement?.controller ?? '']
  page.code(`${origin}/doors/${door.id}/wire`, margin + inner - 62, margin - 8, 62)
  page.title(`${door.ref} ${door.name}`)
  page.lead(
    `${jobOf(facts)?.name ?? ''} · wire sheet · ${facts.area[door.from]?.name ?? ''} to ${facts.area[door.to]?.name ?? ''}`,
  )
  page.lead(door.parts.map((p) => `${p.id} ${sheetOf(sheets, p.sheet).name}`).join(', ') || 'No hardware yet')
  if (!controller) {
    page.lead('The door is on no controller yet, so no conductor has an end.')
    return
  }
  page.lead(
    `On ${controller.ref} ${sheetOf(sheets, controller.sheet).name} in ${controller.cabinet}${door.placement?.portGroup === '*' ? '' : `, door port ${door.placement?.portGroup}`}`,
  )
  page.pdf.moveDown(0.5)
  const board = boardOf(sheets, controller)
  const net = netOf(door, board, sheets)
  doorFigure(page, door, controller, board, net, sheets)
  const cores = new Map(door.cables.map((c) => [c.id, coresOf(c, net.conductors)]))
  if (net.conductors.length) {
    page.heading('Conductors, as the current runs')
    page.table(
      conductorColumns,
      inCurrentOrder(net.conductors).map((c) => [
        `${door.ref} ${c.part}`,
        c.leadName,
        c.colour || 'none: meter it',
        `${c.cable} ${coreWords(cores.get(c.cable)?.of[c.id])}`,
        `${controller.ref} ${c.terminal.id} ${c.terminal.label}`,
        '',
      ]),
    )
    for (const l of net.links) page.box(l.says)
  }
  page.heading('Cables')
  for (const c of door.cables)
    page.row(
      `${c.id} to ${c.part}`,
      `${cableName(c.type)}, ${c.lengthM ? `${c.lengthM} m` : 'no length yet'}${c.planned ? ` as built (planned ${c.planned.lengthM} m)` : ''}`,
    )
  const hints = wireHints(door, controller, sheets)
  if (hints.length) {
    page.heading('Mind')
    for (const h of hints) page.box(h.says)
  }
  for (const part of door.parts) switchFigure(page, part, sheetOf(sheets, part.sheet).coding)
  readings(page, door, board, facts)
}

/** How the switches of a device stand for its address, drawn: on is up, a turning switch shows its digit. */
function switchFigure(page: Page, part: Part, coding: SwitchCoding | undefined): void {
  const set = coding && part.address !== undefined ? switchesFor(coding, part.address) : null
  if (!coding || !set?.ok) return
  page.figure(`Switches of ${part.id} for address ${part.address}: ${set.words}`, 46, (x, y) => {
    const { pdf } = page
    pdf
      .font('strong')
      .fontSize(10)
      .fillColor('#000')
      .text(part.id, x, y + 12, { lineBreak: false })
    set.switches.forEach((value, i) => {
      const left = x + 30 + i * 22
      pdf
        .rect(left, y + 4, 16, 24)
        .lineWidth(1)
        .stroke('#000')
      if (coding.kind === 'binary') pdf.rect(left + 2, value ? y + 6 : y + 16, 12, 10).fill('#000')
      else
        pdf
          .font('mono')
          .fontSize(13)
          .fillColor('#000')
          .text(String(value), left, y + 9, { width: 16, align: 'center', lineBreak: false })
      pdf
        .font('text')
        .fontSize(7)
        .fillColor('#000')
        .text(String(i + 1), left, y + 30, { width: 16, align: 'center', lineBreak: false })
    })
    if (coding.kind === 'binary')
      pdf
        .font('text')
        .fontSize(7)
        .text('on is up', x + 36 + set.switches.length * 22, y + 12, { lineBreak: false })
  })
}

/** What was measured last, with its verdict; empty to be written by hand. */
function measured(newest: readonly Reading[], kind: ReadingKind, door: Door, planned: Planned): string {
  const reading = newest.find((r) => r.kind === kind)
  if (!reading) return ''
  const verdict = judgeReading(reading, door, planned, newest)
  const judged = verdict?.in ? 'in tolerance' : 'out of tolerance'
  const word = verdict ? judged : 'not judged'
  return `${readingText(verdict?.value ?? reading.value)} ${readingFacts[kind].unit}, ${word}, ${reading.by}`
}

function readings(page: Page, door: Door, board: DeviceSheet, facts: Facts): void {
  const sheets = sheetsFor(facts)
  const planned = plannedOf(facts, sheets)
  const rows = door.cables.flatMap((c) =>
    readingsFor(door, c.id, sheets, board).map((kind) => {
      const expected = expectedReading(door, c.id, kind, planned, kind === 'loop')
      return [
        c.id,
        `${readingFacts[kind].name}${expected ? `, ${expected.says}` : ''}`,
        expected ? windowWords(expected) : 'no length yet',
        measured(newestOf(facts, door.id, c.id), kind, door, planned),
      ]
    }),
  )
  if (rows.length === 0) return
  page.heading('Readings, the meter’s leads taken off')
  page.table(readingColumns, rows)
}

export async function wireSheetPdf(door: Door, paper: PaperFor): Promise<Buffer> {
  const out = new PdfFile(`${door.ref} ${door.name}: wire sheet`, jobOf(paper.facts)?.name ?? '', '')
  drawWireSheet(out, door, paper)
  return out.end()
}

const stripColumns: readonly Column[] = [
  { title: 'Terminal', width: 90 },
  { title: 'Group', width: 60 },
  { title: 'On it', width: inner - 150 },
]

/** A controller: its strip with everything on it, links between boards, what hangs on its supply, and the check-off of its cabinet. */
export function drawControllerSheet(out: PdfFile, controller: Controller, { facts, origin, made }: PaperFor): void {
  out.foot = footOf(`${controller.ref} in ${controller.cabinet}`, facts, made)
  const sheets = sheetsFor(facts)
  const board = boardOf(sheets, controller)
  const doors = all(facts, 'door').filter((d) => d.placement?.controller === controller.id)
  const page = out.page()
  page.code(`${origin}/controllers/${controller.id}`, margin + inner - 62, margin - 8, 62)
  page.title(`${controller.ref} ${board.name}`)
  page.lead(
    `${jobOf(facts)?.name ?? ''} · ${controller.cabinet} · ${controller.address || 'no address yet'}${controller.serial ? ` · serial ${controller.serial}` : ''}`,
  )
  page.lead(`Terminal 1 is at the ${board.controller?.terminalOneAt ?? 'left'}, its text upright.`)
  page.heading('Check-off of the cabinet')
  const done = facts.cabinet[controller.id]?.done ?? {}
  for (const item of checkOff(controller, facts, sheets))
    page.box(item.says, done[item.id] ? `done by ${done[item.id]?.by}` : '')
  page.heading('Strip')
  const on = onScrews(
    doors,
    board,
    sheets,
    (d, c) => `${d.ref} ${c.part} ${c.leadName}${c.colour ? ` (${c.colour})` : ''}, ${c.cable}`,
  )
  page.table(
    stripColumns,
    board.terminals.map((t) => [
      `${t.id} ${t.label}`,
      t.group === '*' ? 'any' : t.group,
      on.get(t.id)?.join('; ') ?? 'empty',
    ]),
  )
}

export async function controllerSheetPdf(controller: Controller, paper: PaperFor): Promise<Buffer> {
  const out = new PdfFile(`${controller.ref}: sheet`, jobOf(paper.facts)?.name ?? '', '')
  drawControllerSheet(out, controller, paper)
  return out.end()
}

/** A cabinet: everything in it, then a sheet for each controller. */
export async function cabinetSheetPdf(name: string, paper: PaperFor): Promise<Buffer> {
  const { facts, origin, made } = paper
  const sheets = sheetsFor(facts)
  const out = new PdfFile(`${name}: cabinet`, jobOf(facts)?.name ?? '', footOf(`cabinet ${name}`, facts, made))
  const page = out.page()
  const controllers = all(facts, 'controller')
    .filter((c) => c.cabinet === name)
    .sort(byRef)
  const units = all(facts, 'unit').filter((u) => u.cabinet === name)
  page.code(`${origin}/cabinets/${encodeURIComponent(name)}`, margin + inner - 62, margin - 8, 62)
  page.title(name)
  page.line(`${jobOf(facts)?.name ?? ''} · cabinet`)
  page.heading('In it')
  for (const c of controllers)
    page.row(
      c.ref,
      [
        sheetOf(sheets, c.sheet).name,
        ...(c.expanders ?? []).map((e) => `${e.id} ${sheetOf(sheets, e.sheet).name}`),
        supplyWords(c, facts, sheets),
      ]
        .filter(Boolean)
        .join(', '),
    )
  for (const u of units) page.row(u.ref, sheetOf(sheets, u.sheet).name)
  cabinetFigure(page, name, facts, sheets)
  page.heading('Cables that end here')
  for (const d of all(facts, 'door').filter((x) => controllers.some((c) => c.id === x.placement?.controller)))
    for (const c of d.cables)
      page.box(`${d.ref} ${c.id} from ${c.part}, ${cableName(c.type)}${c.lengthM ? `, ${c.lengthM} m` : ''}`)
  for (const c of controllers) drawControllerSheet(out, c, paper)
  return out.end()
}

/** What feeds a controller; empty for one that the network feeds. */
function supplyWords(c: Controller, facts: Facts, sheets: Sheets): string {
  if (c.fedFrom) return `fed on from ${facts.controller[c.fedFrom.controller]?.ref ?? ''}`
  return sheetOf(sheets, c.sheet).feeds ? '' : (sheets[c.supply]?.name ?? '')
}
