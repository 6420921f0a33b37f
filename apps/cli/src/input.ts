import { complaintWords } from '@rauta/contracts'
import type { ErrorObject, ValidateFunction } from 'ajv'
import { Bad, type Read } from './outcome'

/** A JSON file as its schema asks. @throws Bad in words, with the place in the file */
export function parse<T>(file: string, read: Read, check: ValidateFunction): T {
  const value = json(file, read)
  const endless = notFinite(value, '')
  if (endless) throw new Bad(`${file}: ${endless} is no number that a computer can hold. Write a smaller one.`)
  if (!check(value)) throw new Bad(`${file}: ${wordsOf(check.errors ?? [])}`)
  return value as T
}

function json(file: string, read: Read): unknown {
  let text: string
  try {
    text = read(file)
  } catch {
    throw new Bad(`${file} cannot be read. Is it there, and may you read it?`)
  }
  // Editors put a byte-order mark before the text.
  const bare = text.replace(/^\uFEFF/, '')
  if (bare.trim() === '') throw new Bad(`${file} is empty. Write the input as JSON.`)
  try {
    return JSON.parse(bare)
  } catch (error) {
    throw new Bad(`${file} is not JSON: ${(error as Error).message}`)
  }
}

/** Where a number is endless (`1e999`), as a path; null where all are finite. */
function notFinite(value: unknown, at: string): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : at || 'the input'
  if (typeof value !== 'object' || value === null) return null
  for (const [key, inner] of Object.entries(value)) {
    const found = notFinite(inner, pathOf(at, key, Array.isArray(value)))
    if (found) return found
  }
  return null
}

const pathOf = (at: string, key: string, inList: boolean): string => {
  if (inList) return `${at}[${key}]`
  return at ? `${at}.${key}` : key
}

const placeOf = (instancePath: string): string =>
  instancePath
    .split('/')
    .slice(1)
    .map((k) => k.replaceAll('~1', '/').replaceAll('~0', '~'))
    .reduce((at, key) => pathOf(at, key, /^\d+$/.test(key)), '')

/** The first complaint that says something, in plain words with its place. */
export function wordsOf(errors: readonly ErrorObject[]): string {
  const telling = errors.find((e) => !['oneOf', 'anyOf', 'if', 'allOf'].includes(e.keyword)) ?? errors[0]
  if (!telling) return 'this is not as it should be.'
  const alternatives = errors.find((e) => e.keyword === 'oneOf')
  if (alternatives && telling.keyword === 'required') {
    const sets = errors
      .filter((e) => e.keyword === 'required' && e.instancePath === alternatives.instancePath)
      .map((e) => String((e.params as { missingProperty: string }).missingProperty))
    return `${placeOf(alternatives.instancePath) || 'the input'} needs ${[...new Set(sets)].join(' or ')}.`
  }
  return `${placeOf(telling.instancePath) || 'the input'} ${complaintWords(telling)}.`
}

/** @throws Bad where a name stands twice in a list; letters large and small count as the same */
export function refuseTwins(names: readonly string[], where: string): void {
  const seen = new Set<string>()
  for (const name of names) {
    const key = name.trim().toUpperCase()
    if (seen.has(key)) throw new Bad(`${where}: ${name} stands twice. Each needs a name of its own.`)
    seen.add(key)
  }
}
