import { canonicalJson } from '../config/canonical'
import type { Facts } from '../job/facts'
import { cardFormats, type CardFormat } from './formats'
import { formatOf } from './card'
import type { Sending } from './detection'
import { isReaderOrder } from './orders'
import { sendings, storedOf, type OwnFormat, type Setting } from './sending'

/** What cards that were read so can be kept as, the narrowest first: every card that was shown fits. */
export const keptChoices = ({ format, cards }: Sending): string[] =>
  cardFormats
    .filter((kept) => !!kept.facility || (!format.facility && format.number.length >= kept.number.length))
    .filter((kept) => cards.every((card) => storedOf({ ...format, keeps: kept.id }, card)))
    .map((kept) => kept.id)

/** An id that no format has: letters and digits of its name. */
export function formatId(facts: Facts, name: string): string {
  const bare =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30) || 'format'
  const taken = (id: string) => sendings(facts).some((f) => f.id === id) || formatOf(id) !== undefined
  let id = bare
  for (let n = 2; taken(id); n++) id = `${bare}-${n}`
  return id
}

/**
 * The setting for a way of sending; null where it is a cable that has to be mended, or where the reader itself cuts numbers short.
 * @param name of a format that has to be made @param keeps what its cards are kept as
 */
export function settingFor(facts: Facts, { format, order, by }: Sending, name: string, keeps: string): Setting | null {
  if (!isReaderOrder(order) || by === 'short') return null
  // A known format whose cards are kept as its own needs nothing made.
  if (by === 'known' && keeps === (format.keeps ?? format.id)) return { format: format.id, order }
  const made = sendings(facts).find(
    (f) => f.keeps === keeps && canonicalJson(fieldsOf(f)) === canonicalJson(fieldsOf(format)),
  )
  if (made) return { format: made.id, order }
  const own: OwnFormat = { ...fieldsOf(format), id: formatId(facts, name), name: name.trim(), keeps }
  return { format: own.id, order, own }
}
const fieldsOf = ({ bits, facility, number, parity }: CardFormat) => ({
  bits,
  ...(facility ? { facility } : {}),
  number,
  parity,
})
