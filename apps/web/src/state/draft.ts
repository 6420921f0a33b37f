import { useState } from 'react'

const drafts = new Map<string, unknown>()

/** What is being typed into a form, kept until it is sent: leaving the screen or a sign-in that ran out loses nothing. */
export function useDraft<T>(key: string, first: T): [T, (value: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => (drafts.has(key) ? (drafts.get(key) as T) : first))
  return [
    value,
    (next) => {
      drafts.set(key, next)
      setValue(next)
    },
    () => {
      drafts.delete(key)
    },
  ]
}
