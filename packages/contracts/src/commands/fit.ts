/** Names that every object of the language is born with: as an id or a key they would find what nobody put there. */
const inborn = new Set(Object.getOwnPropertyNames(Object.prototype))

/** Largest number that anything here is measured or counted in. */
const largest = 1e15
const deepest = 32

export interface Unfit {
  /** Where in the value, with dots between. */
  field: string
  says: string
}

/**
 * What no command may carry, whatever its schema says: text that a store can't hold, numbers that are none, names that
 * every object is born with, values nested without end. Null where everything is fit.
 */
export function unfitValue(value: unknown, field = '', depth = 0): Unfit | null {
  if (depth > deepest) return { field, says: 'is nested too deeply' }
  if (typeof value === 'string') return unfitText(value, field)
  if (typeof value === 'number')
    return Number.isFinite(value) && Math.abs(value) <= largest ? null : { field, says: 'is no number that can be' }
  if (typeof value !== 'object' || value === null) return null
  for (const key of Object.keys(value)) {
    const at = field ? `${field}.${key}` : key
    const unfit = Array.isArray(value) ? null : unfitText(key, at)
    const found = unfit ?? unfitValue((value as Record<string, unknown>)[key], at, depth + 1)
    if (found) return found
  }
  return null
}

function unfitText(text: string, field: string): Unfit | null {
  if (text.includes('\u0000')) return { field, says: 'has a sign in it that cannot be stored (NUL)' }
  if (/\p{Cs}/u.test(text)) return { field, says: 'has half a sign in it. Write it anew' }
  return inborn.has(text) ? { field, says: `cannot be “${text}”: choose another word` } : null
}
