import { postFile, ProblemError } from './api'
import { keepPhoto, keptPhoto, photoSent, photosToSend } from './kept'

/** Longest side of a kept picture, pixels: a nameplate is still read, and a hundred fit on a phone. */
const longestSide = 1600
const quality = 0.8

export interface Taken {
  id: string
  width: number
  height: number
  sha256: string
}

/** Scales a picture down, keeps it on this phone, and sends it where there is a server. @throws Error in words for what is no picture */
export async function takePhoto(id: string, door: string, file: Blob): Promise<Taken> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('This file is no picture. Take a photo, or choose a JPEG or PNG file.')
  })
  const scale = Math.min(1, longestSide / Math.max(bitmap.width, bitmap.height))
  const canvas = Object.assign(document.createElement('canvas'), {
    width: Math.max(1, Math.round(bitmap.width * scale)),
    height: Math.max(1, Math.round(bitmap.height * scale)),
  })
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality))
  if (!blob) throw new Error('The picture could not be made smaller. Take it again.')
  const bytes = await blob.arrayBuffer()
  await keepPhoto({ id, door, type: 'image/jpeg', bytes, sent: false })
  return { id, width: canvas.width, height: canvas.height, sha256: await hashOf(bytes) }
}

/** Sends pictures that the server does not have yet; those come before the records that name them. */
export async function sendPhotos(): Promise<void> {
  for (const photo of await photosToSend()) {
    try {
      await postFile(`/photos/${photo.id}`, new Blob([photo.bytes], { type: photo.type }), new AbortController().signal)
      await photoSent(photo)
    } catch (error) {
      // One that the server will not take holds up nothing else; it stays on this phone.
      if (!(error instanceof ProblemError) || error.status === 401) throw error
    }
  }
}

/** Where a picture is shown from: this phone where it is kept here, else the server. */
export async function photoUrl(id: string): Promise<string> {
  const kept = await keptPhoto(id).catch(() => null)
  return kept ? URL.createObjectURL(new Blob([kept.bytes], { type: kept.type })) : `/api/v1/photos/${id}`
}

async function hashOf(bytes: ArrayBuffer): Promise<string> {
  if ('subtle' in crypto) return hex(new Uint8Array(await crypto.subtle.digest('SHA-256', bytes)))
  // Without a secure context browsers hash nothing themselves.
  const { sha256 } = await import('./sha256')
  return hex(sha256(new Uint8Array(bytes)))
}
const hex = (bytes: Uint8Array) => [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('')
