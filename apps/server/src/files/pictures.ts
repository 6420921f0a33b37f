import type { Photo } from '@rauta/core'
import { inner, margin, type Page } from './page'

/** Bytes of pictures, by the id of their record. */
export type Pictures = ReadonlyMap<string, { type: string; sha256: string; bytes: Buffer }>

const gap = 12
const wide = (inner - gap) / 2
const tall = 190
const printable = new Set(['image/jpeg', 'image/png'])

/** Pictures of a door, two beside each other, each with what it is of, who took it, when, and the beginning of its hash. */
export function drawPictures(page: Page, list: readonly Photo[], pictures: Pictures, time: (ms: number) => string): void {
  if (list.length === 0) return
  const judged = list.map((photo) => ({ photo, why: whyNot(page, photo, pictures) }))
  const here = judged.filter((j) => !j.why).map((j) => j.photo)
  page.heading('Pictures', here.length === judged.length ? tall : 0)
  for (const { photo, why } of judged) if (why) page.row(nameOf(photo), `${captionOf(photo, time)}. ${why}`)
  for (let i = 0; i < here.length; i += 2) {
    const pair = here.slice(i, i + 2)
    page.room(tall + 40)
    const top = page.pdf.y + 4
    pair.forEach((photo, n) => {
      page.pdf.y = top
      page.figure(nameOf(photo), tall, (x, y) => { page.pdf.image(pictures.get(photo.id)?.bytes ?? Buffer.alloc(0), x + n * (wide + gap), y, { fit: [wide, tall], valign: 'bottom' }) })
    })
    const below = page.pdf.y + 2
    const ends = pair.map((photo, n) => page.caption(`${nameOf(photo)}, ${captionOf(photo, time)}`, margin + n * (wide + gap), below, wide))
    page.pdf.x = margin
    page.pdf.y = Math.max(...ends) + 6
  }
}

const nameOf = (photo: Photo): string => `Picture of ${photo.of === 'nameplate' || photo.of === 'cabinet' ? `the ${photo.of}` : photo.of}${photo.cable ? ` of ${photo.cable}` : ''}`
const captionOf = (photo: Photo, time: (ms: number) => string): string => `${photo.by}, ${time(photo.at)}, SHA-256 ${photo.sha256.slice(0, 16)}`

/** In words, why a picture is not in print; empty where it is. */
function whyNot(page: Page, photo: Photo, pictures: Pictures): string {
  const there = pictures.get(photo.id)
  if (!there) return 'It waits on the phone that took it.'
  if (there.sha256 !== photo.sha256) return 'What is kept is not the picture that was recorded.'
  if (!printable.has(there.type)) return `It is kept as ${there.type.replace('image/', '')} and is seen in the application only.`
  try { (page.pdf as unknown as { openImage(bytes: Buffer): unknown }).openImage(there.bytes) } catch { return 'It cannot be read as a picture.' }
  return ''
}
