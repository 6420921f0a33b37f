import { waitingFile, type Waiting } from '../../state/kept'

/** Hands a file over to the person at the phone. */
export function saveFile(name: string, type: string, content: BlobPart): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

export function saveWaiting(records: readonly Waiting[]): void {
  const file = waitingFile(records, Date.now())
  if (file) saveFile(`rauta-waiting-${file.by}-${file.savedAt.slice(0, 16).replace(/[:T]/g, '-')}.json`, 'application/json', JSON.stringify(file, null, 1))
}
