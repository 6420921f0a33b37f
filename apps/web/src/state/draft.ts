import { useState } from 'react'

const drafts = new Map<string, unknown>()

export interface Draft<T> {
  value: T
  keep: (value: T) => void
  forget: () => void
}
/** What was typed into a form and not sent yet, or how it begins. */
export const draftOf = <T>(key: string, first: T): Draft<T> => ({
  value: drafts.has(key) ? (drafts.get(key) as T) : first,
  keep: (value) => {
    drafts.set(key, value)
  },
  forget: () => {
    drafts.delete(key)
  },
})

/** What is being typed into a form, kept until it is sent: leaving the screen or a sign-in that ran out loses nothing. */
export function useDraft<T>(key: string, first: T): [T, (value: T) => void, () => void] {
  const draft = draftOf(key, first)
  const [value, setValue] = useState<T>(draft.value)
  return [
    value,
    (next) => {
      draft.keep(next)
      setValue(next)
    },
    draft.forget,
  ]
}
