import type { Photo } from '@rauta/core'
import { inner, margin, type Page } from './page'

/** Bytes of pictures, by the id of their record. */
export type Pictures = ReadonlyMap<string, { type: string; sha256: string; bytes: Buffer }>

const gap = 12
const wide = (inner - gap) / 2
const tall = 190
const printable = new Set(['image/jpeg', 'image/png'])

/** Pictures of a door, two beside each other, each with what it is of, who took it, when, and the beginning of its hash. */
export function drawPictures(
  page: Page,
  list: readonly Photo[],
  pictures: Pictures,
  time: (ms: number) => string,
): void {
  if (list.length === 0) return
  const opened = list.map((photo) => ({ photo, ...open(page, photo, pictures) }))
  const here = opened.filter((o) => o.image)
  page.heading('Pictures', here.length === opened.length ? tall : 0)
  for (const { photo, why } of opened) if (why) page.row(nameOf(photo), `${captionOf(photo, time)}. ${why}`)
  for (let i = 0; i < here.length; i += 2) {
    const pair = here.slice(i, i + 2)
    page.room(tall + 40)
    const top = page.pdf.y + 4
    pair.forEach(({ photo, image }, n) => {
      page.pdf.y = top
      page.figure(nameOf(photo), tall, (x, y) => {
        page.pdf.image(image as Buffer, x + n * (wide + gap), y, { fit: [wide, tall], valign: 'bottom' })
      })
    })
    const below = page.pdf.y + 2
    const ends = pair.map(({ photo }, n) =>
      page.caption(`${nameOf(photo)}, ${captionOf(photo, time)}`, margin + n * (wide + gap), below, wide),
    )
    page.pdf.x = margin
    page.pdf.y = Math.max(...ends) + 6
  }
}

const nameOf = (photo: Photo): string =>
  `Picture of ${photo.of === 'nameplate' || photo.of === 'cabinet' ? `the ${photo.of}` : photo.of}${photo.cable ? ` of ${photo.cable}` : ''}`
const captionOf = (photo: Photo, time: (ms: number) => string): string =>
  `${photo.by}, ${time(photo.at)}, SHA-256 ${photo.sha256.slice(0, 16)}`

/** A picture as the PDF library has it decoded (its types speak of bytes only), or in words why it is not in print. */
function open(page: Page, photo: Photo, pictures: Pictures): { image?: unknown; why?: string } {
  const there = pictures.get(photo.id)
  if (!there) return { why: 'It waits on the phone that took it.' }
  if (there.sha256 !== photo.sha256) return { why: 'What is kept is not the picture that was recorded.' }
  if (!printable.has(there.type))
    return { why: `It is kept as ${there.type.replace('image/', '')} and is seen in the application only.` }
  try {
    return { image: (page.pdf as unknown as { openImage(bytes: Buffer): unknown }).openImage(there.bytes) }
  } catch {
    return { why: 'It cannot be read as a picture.' }
  }
}
