import type { Facts, Sheets } from '@rauta/core'
import { insideOf, layoutCabinet, type CabinetLayout, type Inside } from '@rauta/core/inside'
import { inner, type Page } from './page'

const tallest = 660
/** Smaller than this, the numbers of screws can't be read on paper: then the boards stand there without them, and the strips follow as tables. */
const smallest = 0.6

/** The inside of a cabinet in lines under its heading, and below it what each line is. */
export function cabinetFigure(page: Page, name: string, facts: Facts, sheets: Sheets): void {
  const inside = insideOf(name, facts, sheets)
  if (inside.fitted.length === 0) return
  const whole = layoutCabinet(inside, inner, 22)
  const layout = tallest / whole.height >= smallest ? whole : layoutCabinet(withoutScrews(inside), inner)
  const scale = Math.min(1, tallest / layout.height)
  page.heading('Inside, in the order of the power', layout.height * scale)
  page.figure(
    `Inside of ${name}: ${inside.fitted.map((f) => `${f.ref} ${f.says}`).join(', ')}`,
    layout.height * scale + 6,
    (x, y) => {
      page.pdf.translate(x, y).scale(scale)
      draw(page, layout)
    },
  )
  if (layout.links.length === 0) return
  page.heading('What joins them')
  for (const { link, mark } of layout.links) page.row(mark ? `${mark} (leaves the cabinet)` : link.kind, link.says)
}

const withoutScrews = ({ fitted, links }: Inside): Inside => ({
  links,
  fitted: fitted.map((f) => ({ ...f, groups: [] })),
})

function draw({ pdf }: Page, layout: CabinetLayout): void {
  for (const { link, points, mark, side } of layout.links) {
    if (link.kind === 'network') pdf.dash(2, { space: 2 })
    points.forEach((p, i) => (i === 0 ? pdf.moveTo(p.x, p.y) : pdf.lineTo(p.x, p.y)))
    pdf
      .lineWidth(link.kind === 'power' ? 2 : 1)
      .stroke('#000')
      .undash()
    const end = points.at(-1)
    if (mark && end)
      pdf
        .font('mono')
        .fontSize(9)
        .fillColor('#000')
        .text(mark, side < 0 ? end.x - 8 : end.x + 2, end.y - 6, { lineBreak: false })
  }
  for (const { fitted, x, y, w, h, groups } of layout.fitted) {
    pdf
      .rect(x, y, w, h)
      .lineWidth(fitted.kind === 'board' ? 1.6 : 0.9)
      .stroke('#000')
    pdf
      .font('strong')
      .fontSize(11)
      .fillColor('#000')
      .text(fitted.ref, x + 10, y + 6, { lineBreak: false })
    pdf
      .font('text')
      .fontSize(9)
      .text(`${fitted.says}${fitted.cables ? `, ${fitted.cables} cables` : ''}`, x + 10, y + 22, { lineBreak: false })
    for (const g of groups) {
      pdf
        .font('text')
        .fontSize(9)
        .text(g.title, g.x, g.y + 4, { lineBreak: false })
      for (const s of g.screws) {
        pdf.rect(s.x, s.y, s.w, s.h).lineWidth(0.6).stroke('#000')
        pdf.circle(s.x + s.w / 2, s.y + 8, 3.4)
        if (s.screw.on.length) pdf.fill('#000')
        else pdf.lineWidth(0.6).stroke('#000')
        const { number } = s.screw
        // Centred by hand: a width would make the library begin a new page where the drawing, before it is scaled, is taller than one.
        pdf
          .font('mono')
          .fontSize(8)
          .fillColor('#000')
          .text(number, s.x + (s.w - pdf.widthOfString(number)) / 2, s.y + 16, { lineBreak: false })
      }
    }
  }
}
