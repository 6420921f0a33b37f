import { keypadClears, keypadEnds, type Bits } from '@rauta/core'

/** So long a keypad waits for the next key, and a card for its code, ms (common practice, no source). */
const patienceMs = 10_000
/** More digits than any code has are kept by no keypad. */
const mostTyped = 16

type Later = (ms: number, then: () => void) => () => void

/** A key as a keypad sends it by Wiegand: four bits, ten for the star and eleven for the hash (common practice, no source). */
export function keyOfBits(bits: Bits): string | null {
  const value = bits.reduce<number>((sum, bit) => sum * 2 + bit, 0)
  return [...'0123456789', keypadClears, keypadEnds][value] ?? null
}
export const bitsOfKey = (key: string): Bits => {
  const value = [...'0123456789', keypadClears, keypadEnds].indexOf(key)
  return [3, 2, 1, 0].map((place) => ((value >> place) & 1) as 0 | 1)
}
export const bitsInKey = 4

/** What is being typed at each keypad, and which card waits there for its code. */
export class Keypads {
  private readonly typing = new Map<string, { digits: string; end: () => void }>()
  private readonly waiting = new Map<string, { then: (code: string | null) => void; end: () => void }>()
  constructor(private readonly later: Later) {}

  /** @returns the code once it was ended, and no card waited for it */
  press(place: string, key: string): string | null {
    const before = this.typing.get(place)
    before?.end()
    this.typing.delete(place)
    if (key === keypadClears) return null
    const digits = before?.digits ?? ''
    if (key === keypadEnds) return this.ended(place, digits)
    this.typing.set(place, {
      digits: (digits + key).slice(0, mostTyped),
      end: this.later(patienceMs, () => this.typing.delete(place)),
    })
    return null
  }
  private ended(place: string, code: string): string | null {
    const card = this.waiting.get(place)
    if (!card) return code || null
    this.over(place, code)
    return null
  }
  private over(place: string, code: string | null): void {
    const card = this.waiting.get(place)
    this.waiting.delete(place)
    card?.end()
    card?.then(code)
  }

  /** A card waits for its code. @param then with the code, or null where none came */
  await(place: string, then: (code: string | null) => void): void {
    this.over(place, null)
    this.waiting.set(place, { then, end: this.later(patienceMs, () => this.over(place, null)) })
  }

  clear(): void {
    for (const { end } of [...this.typing.values(), ...this.waiting.values()]) end()
    this.typing.clear()
    this.waiting.clear()
  }
}
