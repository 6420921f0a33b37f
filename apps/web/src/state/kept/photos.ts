import { keptDb, strictly, type KeptPhoto } from './db'
import { NotKeptError } from './waiting'

/** Pictures that are kept here at most once the server has them. */
const mostSent = 60

/** Keeps a picture; resolves only when it is on the disk. @throws NotKeptError */
export async function keepPhoto(photo: KeptPhoto): Promise<void> {
  const db = await keptDb()
  if (!db) throw new NotKeptError()
  try {
    const tx = db.transaction('photos', 'readwrite', strictly)
    await Promise.all([tx.store.put(photo), tx.done])
  } catch {
    throw new NotKeptError()
  }
}

export async function photosToSend(): Promise<KeptPhoto[]> {
  return ((await (await keptDb())?.getAll('photos')) ?? []).filter((p) => !p.sent)
}

export const keptPhoto = async (id: string): Promise<KeptPhoto | null> =>
  (await (await keptDb())?.get('photos', id)) ?? null

/** The server has it: it stays here to be seen offline, until there are many. */
export async function photoSent(photo: KeptPhoto): Promise<void> {
  const db = await keptDb()
  if (!db) return
  const tx = db.transaction('photos', 'readwrite')
  await tx.store.put({ ...photo, sent: true })
  const sent = (await tx.store.getAll()).filter((p) => p.sent)
  // Ids are in the order of time.
  for (const old of sent.slice(0, Math.max(0, sent.length - mostSent))) await tx.store.delete(old.id)
  await tx.done
}
