import { all, type Facts } from '../job/facts'
import { recordKind } from '../job/kind'
import { byRef } from '../job/order'
import type { Door, Part } from '../doors/door'
import { formatOf, numberedCard, usualFormat, type StoredCard } from './card'
import { cardFormats, formatFault, mostBits, sentFormats, type Bits, type CardFormat, type CardNumber } from './formats'
import { isReaderOrder, orderNames, readSent, type ReaderOrder } from './orders'

/** A way in which readers of this job send, told by bits, fields and parity. What its cards are kept as is a format that ships. */
export interface OwnFormat extends CardFormat {
  keeps: string
}

declare module '../job/facts' {
  interface RecordTypes {
    cardFormat: OwnFormat
  }
}
export const cardFormatKind = recordKind('cardFormat', {
  fields: {
    id: 'text',
    name: 'text',
    bits: 'number',
    facility: 'object?',
    number: 'object',
    parity: 'list',
    keeps: 'text',
  },
  touches: ({ id }, facts) => {
    const doors = readersSetTo(facts, id).map((r) => r.door)
    const access = doors.flatMap((d) => d.placement?.controller ?? [])
    return { doors: doors.map((d) => d.id), access }
  },
})

/** Readers that are set to a format, by door. */
export const readersSetTo = (facts: Facts, format: string): { door: Door; part: Part }[] =>
  all(facts, 'door')
    .sort(byRef)
    .flatMap((door) => door.parts.filter((p) => p.format === format).map((part) => ({ door, part })))

/** How a reader's bits are read. */
export interface Reads {
  /** Id of a format that ships, or of one of the job's own; 26 bits where it is not said. */
  format?: string
  /** As sent where it is not said. */
  order?: ReaderOrder
}

/** What would make a reader's cards be read, where it is a setting and not a cable; with the format that has to be made for it. */
export interface Setting {
  format: string
  order: ReaderOrder
  own?: OwnFormat
}

/** Whether a reader is set so already. */
export const isSetTo = ({ format = usualFormat, order = 'asSent' }: Reads, to: Setting): boolean =>
  !to.own && format === to.format && order === to.order

const known = new WeakMap<Facts['cardFormat'], readonly CardFormat[]>()
/** Every way of sending that the job knows: those that ship, and its own. */
export function sendings(facts: Facts): readonly CardFormat[] {
  let found = known.get(facts.cardFormat)
  if (!found) known.set(facts.cardFormat, (found = [...sentFormats, ...all(facts, 'cardFormat')]))
  return found
}

export const sendingOf = (facts: Facts, id: string = usualFormat): CardFormat | undefined =>
  sendings(facts).find((f) => f.id === id)

/** What a reader reads, in words; the id where there is none of that name. */
export const sendingName = (facts: Facts, id: string = usualFormat): string => sendingOf(facts, id)?.name ?? id

/** How a reader is set, in words: `26 bits, the bytes of the number the other way round`. */
export const readsWords = (facts: Facts, { format, order = 'asSent' }: Reads): string =>
  `${sendingName(facts, format)}${order === 'asSent' ? '' : `, ${orderNames[order]}`}`

/** Id of the format that cards read so are kept as. */
export const keptAs = (facts: Facts, id: string = usualFormat): string => sendingOf(facts, id)?.keeps ?? id

/** A card as it is kept that was read so; null where it does not fit what it would be kept as: it is nobody's then. */
export function storedOf(format: CardFormat, { facility, number }: CardNumber): StoredCard | null {
  const kept = formatOf(format.keeps ?? format.id)
  if (!kept || number >= 1n << BigInt(kept.number.length)) return null
  if (kept.facility && (facility ?? 0) >= 2 ** kept.facility.length) return null
  if (kept.facility) return numberedCard(kept.id, facility ?? 0, Number(number))
  const serial = number
    .toString(16)
    .padStart(kept.bits / 4, '0')
    .toUpperCase()
  return { ...numberedCard(kept.id, 0, 0), serial }
}

/** The card that a reader sent, where its bits are sound by its format and order. */
export function cardSent(format: CardFormat | undefined, order: string | undefined, bits: Bits): StoredCard | null {
  if (!format || (order !== undefined && !isReaderOrder(order))) return null
  const read = readSent(format, order ?? 'asSent', bits)
  return read?.parity ? storedOf(format, read) : null
}

/** What cards that are read by a format of the job's own may be kept as. */
export const keptFormats: readonly string[] = cardFormats.map((f) => f.id)

/** What is wrong with a format of the job's own, and with which of its fields; null where nothing is. */
export function ownFormatFault(format: OwnFormat): { field: string; says: string } | null {
  const { name, bits, facility, number, keeps } = format
  if (cardFormats.some((f) => f.id === format.id || f.name.toLowerCase() === name.trim().toLowerCase()))
    return { field: 'name', says: `${name} ships with Rauta. Give yours another name.` }
  if (bits < leastBits) return { field: 'bits', says: `${bits} bits are too few: ${leastBits} to ${mostBits}.` }
  const fault = formatFault(format)
  if (fault) return fault
  const kept = formatOf(keeps)
  if (!kept) return { field: 'keeps', says: `There is no card format ${keeps}.` }
  if (!kept.facility && (facility || number.length < kept.number.length))
    return {
      field: 'keeps',
      says: `A ${kept.name} has ${kept.number.length} bits and no facility; ${name} has ${number.length}${facility ? ' and a facility' : ''}.`,
    }
  return null
}
/** Fewer say nothing about a card. */
const leastBits = 4
