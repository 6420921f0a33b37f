import { cardFormats } from '@rauta/core'
import { Pick } from './Pick'

/** A choice among the card formats. */
export function FormatPick(props: { label: string; value: string; onChange: (format: string) => void }) {
  return <Pick {...props} options={cardFormats.map((f) => ({ value: f.id, label: f.name }))} />
}
