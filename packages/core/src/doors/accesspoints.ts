import { isKind, sheetOf, takesCards, type Sheets } from '../devices/sheet'
import type { Door, Part } from './door'

/** Where somebody asks to pass: an entry or exit reader, or a lock or station that is itself the reader. */
export interface AccessPlace {
  part: Part
  /** Whether it stands on the secured side and lets out. */
  leaving: boolean
  /** Whether it reads cards or tags. */
  cards: boolean
  /** Whether it has keys for a code. */
  keys: boolean
}

/** Whether a test can be told from it who is there: by a card, or at the way in by a code. */
export const knowsWho = ({ cards, keys, leaving }: AccessPlace): boolean => cards || (keys && !leaving)

/** Every place of a door at which somebody asks to pass, in the order of its parts. */
export function accessPlaces(door: Door, sheets: Sheets): AccessPlace[] {
  return door.parts.flatMap((part) => {
    const sheet = sheetOf(sheets, part.sheet)
    const reads = part.role === 'entryReader' || part.role === 'exitReader' || isKind(sheet, 'reader')
    return reads
      ? [{ part, leaving: part.role === 'exitReader', cards: takesCards(sheet), keys: sheet.reading?.keypad === true }]
      : []
  })
}

/** Token of an access point on every device: the door and the part that reads. */
export const accessPointToken = (door: { id: string }, part: string): string => `${door.id}.${part}`
