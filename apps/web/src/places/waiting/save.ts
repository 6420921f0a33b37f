import { saveBytes } from '../../parts/save'
import { waitingFile, type Waiting } from '../../state/kept'

/** Hands records over to the person at the phone, as a file that the lead can bring in. */
export function saveWaiting(records: readonly Waiting[]): void {
  const file = waitingFile(records, Date.now())
  if (!file) return
  saveBytes(
    new Blob([JSON.stringify(file, null, 1)], { type: 'application/json' }),
    `rauta-waiting-${file.by}-${file.savedAt.slice(0, 16).replace(/[:T]/g, '-')}.json`,
  )
}
