import { all, type Facts } from '../job/facts'
import type { Person } from './records'

/** Digits of a code, least and most (common practice, no source). */
export const codeDigits = { least: 4, most: 8 } as const

/** What ends a code at a keypad, and what begins it anew (common practice, no source). */
export const keypadEnds = '#'
export const keypadClears = '*'

/** Every digit follows the one before it alike: all the same, or a run up or down, over nought too. */
function isRun(code: string): boolean {
  const steps = [...code].slice(1).map((d, i) => (Number(d) - Number(code[i]) + 10) % 10)
  return [0, 1, 9].some((step) => steps.every((s) => s === step))
}

/** Why digits are no code, or null. */
export function codeFault(code: string): string | null {
  const { least, most } = codeDigits
  if (!/^\d*$/.test(code)) return 'A code has digits alone.'
  if (code.length < least || code.length > most)
    return `A code has ${least} to ${most} digits; this has ${code.length}.`
  return isRun(code) ? 'Everybody tries equal digits and runs first. Choose another code.' : null
}

/** Whose a code is. */
export interface CodeHolder {
  code: string
  /** Id of the person; null for a code of the test cards. */
  person: string | null
  name: string
  duress: boolean
}

/** Every code of the job: a keypad knows nobody but by the code, so that each stands once. */
export function codesOf(facts: Facts): CodeHolder[] {
  const of = (code: string | undefined, person: string | null, name: string, duress = false): CodeHolder[] =>
    code === undefined ? [] : [{ code, person, name, duress }]
  const kit = facts.testCards['kit']?.codes
  return [
    ...all(facts, 'person').flatMap((p) => [
      ...of(p.code, p.id, `${p.number} ${p.name}`),
      ...of(p.duress, p.id, `${p.number} ${p.name}`, true),
    ]),
    ...(kit ? [kit.good, kit.duress, kit.unknown].flatMap((code) => of(code, null, 'the test cards')) : []),
  ]
}

/** Token of the credential by which somebody passes with a code alone. */
export const codeToken = (person: Pick<Person, 'id'>): string => `code.${person.id}`

/** Tokens of every credential that somebody may have on a device: one for each card, and the one of their code. */
export const credentialTokens = (person: Person): string[] => [...person.cards.map((c) => c.id), codeToken(person)]

/** What an event says was read where a code came alone: never the code itself. */
export const readByCode = (token: string): string => `code:${token}`

/** A code that nobody has and nobody would try first. @param drawn a whole number from 0 to below its argument */
export function newCode(facts: Facts, digits: number, drawn: (below: number) => number): string {
  const taken = new Set(codesOf(facts).map((c) => c.code))
  for (;;) {
    const code = Array.from({ length: digits }, () => drawn(10)).join('')
    if (codeFault(code) === null && !taken.has(code)) return code
  }
}
