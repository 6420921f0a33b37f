import {
  layoutDoor,
  ownUnitOf,
  sheetOf,
  type Controller,
  type DeviceSheet,
  type Door,
  type DoorLayout,
  type Net,
  type Sheets,
} from '@rauta/core'
import { inner, type Page } from './page'

/** Codes of colours, IEC 60757 (from memory): what a drawing in black and white says beside a line. */
export const colourCodes: Readonly<Record<string, string>> = {
  black: 'BK',
  brown: 'BN',
  red: 'RD',
  orange: 'OG',
  yellow: 'YE',
  green: 'GN',
  blue: 'BU',
  violet: 'VT',
  grey: 'GY',
  white: 'WH',
  pink: 'PK',
}

/** The door drawing in lines: each conductor with the code of its colour beside its screw. */
export function doorFigure(
  page: Page,
  door: Door,
  controller: Controller,
  board: DeviceSheet,
  net: Net,
  sheets: Sheets,
): void {
  const layout = layoutDoor(door, net, inner, {
    fromRight: board.controller?.terminalOneAt === 'right',
    cell: 26,
    unit: ownUnitOf(door, board)?.id,
  })
  const lift = 74
  page.figure(
    `${door.ref}: ${door.parts.map((p) => `${p.id} ${sheetOf(sheets, p.sheet).name}`).join(', ')}, on ${controller.ref}`,
    layout.height - lift + 14,
    (x, y) => draw(page, layout, x, y - lift + 6),
  )
}

function draw({ pdf }: Page, layout: DoorLayout, x: number, y: number): void {
  pdf.lineWidth(1).strokeColor('#000').fillColor('#000')
  for (const l of layout.links)
    pdf
      .moveTo(x + l.from.x, y + l.from.y)
      .lineTo(x + l.from.x, y + l.from.y - 10)
      .lineTo(x + l.to.x, y + l.to.y - 10)
      .lineTo(x + l.to.x, y + l.to.y)
      .lineWidth(1.4)
      .stroke('#000')
  for (const { conductor, points } of layout.conductors) {
    points.forEach((p, i) => (i === 0 ? pdf.moveTo(x + p.x, y + p.y) : pdf.lineTo(x + p.x, y + p.y)))
    pdf.lineWidth(0.9).stroke('#000')
    const foot = points.at(-1)
    if (foot)
      pdf
        .font('text')
        .fontSize(6.5)
        .fillColor('#000')
        .text(colourCodes[conductor.colour] ?? '?', x + foot.x + 1.5, y + foot.y - 9, { lineBreak: false })
  }
  for (const s of layout.spares)
    pdf
      .moveTo(x + s.at.x, y + s.at.y)
      .lineTo(x + s.at.x, y + s.at.y + 11)
      .moveTo(x + s.at.x - 4, y + s.at.y + 12)
      .lineTo(x + s.at.x + 4, y + s.at.y + 12)
      .lineWidth(1.2)
      .stroke('#000')
  for (const p of layout.parts) {
    pdf
      .rect(x + p.x, y + p.y, p.w, p.h)
      .lineWidth(1.2)
      .stroke('#000')
    pdf
      .font('strong')
      .fontSize(11)
      .fillColor('#000')
      .text(p.part.id, x + p.x, y + p.y + 9, { width: p.w, align: 'center', lineBreak: false })
  }
  for (const t of layout.terminals) {
    if (t.again) pdf.dash(2, { space: 2 })
    pdf
      .rect(x + t.x, y + t.y, t.w, 30)
      .lineWidth(0.8)
      .stroke('#000')
      .undash()
    pdf
      .font('mono')
      .fontSize(10)
      .fillColor('#000')
      .text(t.id, x + t.x, y + t.y + 4, { width: t.w, align: 'center', lineBreak: false })
    pdf
      .font('text')
      .fontSize(7)
      .text(t.label, x + t.x, y + t.y + 18, { width: t.w, align: 'center', lineBreak: false })
  }
}
