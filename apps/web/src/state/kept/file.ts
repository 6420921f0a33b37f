import type { CommandRequest, WaitingFile } from '@rauta/contracts'
import type { Waiting } from './db'

/** As the server takes it: without what only this phone needs. */
export const requestOf = (w: Waiting, now: number): CommandRequest => ({
  id: w.id,
  name: w.name,
  payload: w.payload,
  seen: w.seen,
  ...(w.phone ? { phone: w.phone } : {}),
  waitedMs: Math.max(0, now - w.madeAt),
})

/** Records of one person and one job as a file that the lead can bring in. */
export function waitingFile(records: readonly Waiting[], now: number): WaitingFile | null {
  const first = records[0]
  return first
    ? {
        format: 'rauta-waiting-1',
        job: first.job,
        by: first.by,
        savedAt: new Date(now).toISOString(),
        records: records.map((r) => requestOf(r, now)),
      }
    : null
}

/** A file as it was saved, or in words why it is none. */
export function readWaitingFile(text: string): WaitingFile | string {
  try {
    const file = JSON.parse(text) as Partial<WaitingFile>
    if (file.format !== 'rauta-waiting-1' || !Array.isArray(file.records))
      return 'This file holds no waiting records. Choose the one that the phone saved; its name begins with rauta-waiting.'
    // It went on waiting in the file.
    const more = Math.max(0, Date.now() - Date.parse(file.savedAt ?? ''))
    return {
      ...(file as WaitingFile),
      records: file.records.map((r) => ({ ...r, waitedMs: (r.waitedMs ?? 0) + (Number.isFinite(more) ? more : 0) })),
    }
  } catch {
    return 'This file can’t be read. It may be cut short: save it on the phone once more.'
  }
}
