import { plain } from './table'

/** A value taken from a cell, or what is wrong with it and how to mend it. */
export type Taken<T> =
  { ok: true; value: T; /** To be told beside. */ note?: string } | { ok: false; says: string; mend: string }
export const take = <T>(value: T): Taken<T> => ({ ok: true, value })
export const refuse = <T>(says: string, mend: string): Taken<T> => ({ ok: false, says, mend })

const yes = new Set('yes y true 1 x ja j k kylla on oui o si s ok vrai wahr sant cierto verdadero'.split(' '))
const no = new Set('no n false 0 ei e nein non nej off none keine faux falsch falskt falso'.split(' '))

/** Yes or no in English, Finnish, Swedish, German, French or Spanish; marks like ✓ and - count too. */
export function yesNo(text: string): Taken<boolean> {
  if (/^[✓✔☑]$/.test(text)) return take(true)
  if (/^[-–—✗✘☐]$/.test(text)) return take(false)
  const word = plain(text)
  if (yes.has(word)) return take(true)
  return no.has(word) ? take(false) : refuse(`“${text}” is neither yes nor no`, 'Write yes or no.')
}
