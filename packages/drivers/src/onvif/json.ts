import type { Json } from '@rauta/core'

export type Dict = { [key: string]: Json }
export const dict = (value: Json): Dict =>
  value !== null && typeof value === 'object' && !Array.isArray(value) ? value : {}
export const text = (value: Json | undefined): string => (typeof value === 'string' ? value : '')

/** Our word for a word of the extension; one that it has not stays as it was told, and so differs. */
export const ours = (known: Readonly<Record<string, string>>, told: string): string =>
  Object.entries(known).find(([, theirs]) => theirs === told)?.[0] ?? told
/** The word of the extension for one of ours. */
export const theirs = (known: Readonly<Record<string, string>>, word: string): string =>
  Object.hasOwn(known, word) ? (known[word] ?? word) : word
