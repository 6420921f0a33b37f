import { saveFrom } from '../../parts/save'
import { waitingFile, type Waiting } from '../../state/kept'

/** Hands records over to the person at the phone, as a file that the lead can bring in. */
export function saveWaiting(records: readonly Waiting[]): void {
  const file = waitingFile(records, Date.now())
  if (!file) return
  const url = URL.createObjectURL(new Blob([JSON.stringify(file, null, 1)], { type: 'application/json' }))
  saveFrom(url, `rauta-waiting-${file.by}-${file.savedAt.slice(0, 16).replace(/[:T]/g, '-')}.json`)
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
