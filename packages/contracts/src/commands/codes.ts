import { codeDigits, codeFault, codesOf, type CodeHolder, type Facts, type Person, type TestCodes } from '@rauta/core'
import { Refusal } from './command'

/** Digits of a code, as typed at a keypad. */
export const digits = {
  type: 'string',
  pattern: '^[0-9]+$',
  minLength: codeDigits.least,
  maxLength: codeDigits.most,
} as const

/** @throws Refusal where a code is none, or stands already: a keypad knows nobody but by the code */
function checkCode(code: string, field: string, others: readonly CodeHolder[]): void {
  const fault = codeFault(code)
  if (fault) throw new Refusal(fault, field)
  const twin = others.find((c) => c.code === code)
  if (twin)
    throw new Refusal(
      `This is the code of ${twin.name}${twin.duress ? ' under duress' : ''}. Each code stands once: choose another.`,
      field,
    )
}

/** @throws Refusal with the field, where somebody's codes are none, or are known already */
export function checkCodes(facts: Facts, { id, code, duress }: Pick<Person, 'id' | 'code' | 'duress'>): void {
  const others = codesOf(facts).filter((c) => c.person !== id)
  if (code !== undefined) checkCode(code, 'code', others)
  if (duress === undefined) return
  if (code === undefined) throw new Refusal('A code under duress stands beside a code. Give a code first.', 'duress')
  checkCode(duress, 'duress', [...others, { code, person: id, name: 'the same person', duress: false }])
}

/** @throws Refusal with the field, where the codes of the test cards are none, are known already, or stand twice */
export function checkTestCodes(facts: Facts, codes: TestCodes | undefined): void {
  if (!codes) return
  const people = codesOf(facts).filter((c) => c.person !== null)
  const kit = (code: string): CodeHolder => ({ code, person: null, name: 'the test cards', duress: false })
  checkCode(codes.good, 'codes.good', people)
  checkCode(codes.duress, 'codes.duress', [...people, kit(codes.good)])
  checkCode(codes.unknown, 'codes.unknown', [...people, kit(codes.good), kit(codes.duress)])
}
