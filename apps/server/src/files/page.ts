import { createRequire } from 'node:module'
import { jobOf, type Facts } from '@rauta/core'
import PDFDocument from 'pdfkit'
import encodeQR from 'qr'

const require = createRequire(import.meta.url)
export const fonts = {
  text: require.resolve('@expo-google-fonts/barlow/400Regular/Barlow_400Regular.ttf'),
  strong: require.resolve('@expo-google-fonts/barlow-semi-condensed/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf'),
  mono: require.resolve('@expo-google-fonts/ibm-plex-mono/400Regular/IBMPlexMono_400Regular.ttf'),
}
export type Face = keyof typeof fonts
export const margin = 48
/** Points between the margins of A4. */
export const inner = 595.28 - 2 * margin
const bottom = 841.89 - margin
const footY = 841.89 - 30

/** Who had a paper made, and when. */
export interface Made {
  by: string
  at: number
}
/** What stands at the foot of every page beside its number: what it is of, of which state of the job, when, by whom. */
export function footOf(what: string, facts: Facts, { by, at }: Made): string {
  const job = jobOf(facts)
  const when = new Intl.DateTimeFormat('en-GB', {
    timeZone: job?.zone ?? 'UTC',
    day: '2-digit',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  }).format(at)
  return `${job?.name ?? ''} · ${what} · revision ${facts.rev} · ${when} · ${by}`
}

/** A4, tagged for reading aloud; nothing on it is told by colour alone. */
export class PdfFile {
  readonly pdf: PDFKit.PDFDocument
  private readonly parts: Buffer[] = []
  private readonly feet: string[] = []
  private readonly finished: Promise<Buffer>
  /** @param foot of every page; others may follow from page to page */
  constructor(
    title: string,
    author: string,
    public foot: string,
  ) {
    this.pdf = new PDFDocument({
      size: 'A4',
      margin,
      tagged: true,
      lang: 'en',
      displayTitle: true,
      autoFirstPage: false,
      bufferPages: true,
      info: { Title: title, Author: author },
    })
    this.pdf.on('pageAdded', () => this.feet.push(this.foot))
    this.finished = new Promise((done) => {
      this.pdf.on('data', (part: Buffer) => this.parts.push(part))
      this.pdf.on('end', () => done(Buffer.concat(this.parts)))
    })
    for (const [name, file] of Object.entries(fonts)) this.pdf.registerFont(name, file)
  }

  page(): Page {
    this.pdf.addPage()
    return new Page(this.pdf)
  }
  end(): Promise<Buffer> {
    this.writeFeet()
    this.pdf.end()
    return this.finished
  }

  private writeFeet(): void {
    const { start, count } = this.pdf.bufferedPageRange()
    for (let i = 0; i < count; i++) {
      this.pdf.switchToPage(start + i)
      const { margins } = this.pdf.page
      const kept = margins.bottom
      // The foot stands inside the margin, where text would begin a new page.
      margins.bottom = 0
      this.pdf.markContent('Artifact', { type: 'Pagination' })
      this.pdf
        .font('text')
        .fontSize(8)
        .fillColor('#000')
        .text(`${this.feet[i] ?? ''} · page ${i + 1} of ${count}`, margin, footY, { width: inner, lineBreak: false })
      this.pdf.endMarkedContent()
      margins.bottom = kept
    }
  }
}

export interface Column {
  title: string
  width: number
  face?: Face
}

/** Writes down a page: headings, lines, rows, tables and drawings, each tagged. */
export class Page {
  constructor(readonly pdf: PDFKit.PDFDocument) {}
  title(text: string): void {
    this.tag('H1', () =>
      this.pdf
        .font('strong')
        .fontSize(22)
        .text(text, margin, undefined, { width: inner - 80 })
        .moveDown(0.2),
    )
  }
  /** @param below points of what must stand on the same page */
  heading(text: string, below = 0): void {
    this.room(66 + below)
    this.tag('H2', () => this.pdf.moveDown(0.8).font('strong').fontSize(14).text(text, margin).moveDown(0.2))
  }
  /** A line at the head of a sheet, beside its code. */
  lead(text: string): void {
    this.tag('P', () =>
      this.pdf
        .font('text')
        .fontSize(10)
        .text(text, margin, undefined, { width: inner - 80 }),
    )
  }
  line(text: string, face: Face = 'text'): void {
    this.tag('P', () =>
      this.pdf
        .font(face)
        .fontSize(face === 'mono' ? 8.5 : 10)
        .text(text, margin),
    )
  }
  row(left: string, right: string): void {
    this.tag('P', () => {
      this.room(22)
      const y = this.pdf.y
      this.pdf.font('text').fontSize(10).text(left, margin, y, { width: 165 })
      const leftEnd = this.pdf.y
      this.pdf.text(right, margin + 175, y, { width: 325 })
      this.pdf.y = Math.max(leftEnd, this.pdf.y) + 1
    })
  }
  /** A box to tick and what it is for. */
  box(text: string, done = ''): void {
    this.room(20)
    const y = this.pdf.y
    this.pdf
      .rect(margin, y + 1, 10, 10)
      .lineWidth(0.8)
      .stroke('#000')
    this.tag('P', () =>
      this.pdf
        .font('text')
        .fontSize(10)
        .text(done ? `${text} (${done})` : text, margin + 18, y, { width: inner - 18 }),
    )
    this.pdf.y += 3
  }
  /** Rows under their titles; the titles are said again on each page. */
  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    this.room(40)
    const table = this.pdf.struct('Table')
    this.pdf.addStructure(table)
    const head = () => {
      this.cells(
        table,
        columns,
        columns.map((c) => c.title),
        'TH',
        'strong',
      )
      this.rule(1)
    }
    head()
    for (const row of rows) {
      const tall = Math.max(
        ...columns.map((c, i) =>
          this.pdf
            .font(c.face ?? 'text')
            .fontSize(10)
            .heightOfString(row[i] ?? '', { width: c.width - 6 }),
        ),
      )
      if (this.pdf.y + tall > bottom) {
        this.pdf.addPage()
        head()
      }
      this.cells(table, columns, row, 'TD')
      this.rule(0.3)
    }
    table.end()
  }
  private cells(
    table: PDFKit.PDFStructureElement,
    columns: readonly Column[],
    row: readonly string[],
    kind: 'TH' | 'TD',
    face?: Face,
  ): void {
    const y = this.pdf.y
    let x = margin
    let end = y
    const line = this.pdf.struct('TR')
    table.add(line)
    columns.forEach((c, i) => {
      line.add(
        this.pdf.struct(kind, {}, () => {
          this.pdf
            .font(face ?? c.face ?? 'text')
            .fontSize(10)
            .text(row[i] ?? '', x, y + 2, { width: c.width - 6 })
        }),
      )
      end = Math.max(end, this.pdf.y)
      x += c.width
    })
    line.end()
    this.pdf.y = end + 2
  }
  private rule(weight: number): void {
    this.pdf
      .moveTo(margin, this.pdf.y)
      .lineTo(margin + inner, this.pdf.y)
      .lineWidth(weight)
      .stroke('#000')
    this.pdf.y += 1
  }
  /** A drawing of so many points in height; `draw` is given where its top left is. */
  figure(alt: string, height: number, draw: (x: number, y: number) => void): void {
    this.room(height)
    const y = this.pdf.y
    this.pdf.addStructure(
      this.pdf.struct('Figure', { alt }, () => {
        this.pdf.save()
        draw(margin, y)
        this.pdf.restore()
      }),
    )
    this.pdf.x = margin
    this.pdf.y = y + height
  }
  /** Small words at a place, so wide. @returns where they end */
  caption(text: string, x: number, y: number, width: number): number {
    this.tag('Caption', () => this.pdf.font('text').fontSize(8.5).text(text, x, y, { width }))
    return this.pdf.y
  }
  stroke(path: string, caption: string): void {
    this.figure(`Signature of ${caption}`, 70, (x, y) => {
      this.pdf.translate(x, y).scale(0.4).path(path).lineWidth(3).stroke('#1F2527')
    })
    this.line(caption)
  }
  /** A code at a place on the page; it moves nothing. */
  code(text: string, x: number, y: number, size: number): void {
    const { pdf } = this
    const back = { x: pdf.x, y: pdf.y }
    const cells = encodeQR(text, 'raw', { border: 2 })
    const cell = size / cells.length
    pdf.addStructure(
      pdf.struct('Figure', { alt: `Code that opens ${text}` }, () => {
        cells.forEach((row, r) =>
          row.forEach((on, c) => {
            if (on) pdf.rect(x + c * cell, y + r * cell, cell + 0.05, cell + 0.05)
          }),
        )
        pdf.fill('#000')
      }),
    )
    pdf.x = back.x
    pdf.y = back.y
  }
  room(points: number): void {
    if (this.pdf.y + points > bottom) this.pdf.addPage()
  }
  private tag(kind: string, draw: () => void): void {
    this.pdf.addStructure(
      this.pdf.struct(kind, {}, () => {
        draw()
      }),
    )
  }
}
