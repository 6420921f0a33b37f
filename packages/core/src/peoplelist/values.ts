import { cardFault, cardName, isSerial, numberedCard, serialCard, usualFormat, type StoredCard } from '../cards/card'
import { cardFormats } from '../cards/formats'
import { plain, type Cell } from '../columns/table'
import { refuse, take, type Taken } from '../columns/value'
import { cardsTyped } from '../access/enrolment'
import { isDay } from '../access/validity'

/** Id of a card format by its name, its id, or its bits: `26 bits`, `34`, `wiegand26`, `serial number, 7 bytes`. */
export function cardFormat(text: string): Taken<string> {
  const word = plain(text)
  const found = cardFormats.find(
    (f) =>
      plain(f.name) === word ||
      plain(f.id) === word ||
      (!isSerial(f.id) && [`${f.bits}`, `${f.bits} bit`].includes(word)),
  )
  return found
    ? take(found.id)
    : refuse(`“${text}” is no card format`, `Write one of: ${cardFormats.map((f) => f.name).join('; ')}.`)
}

const example = 'Write facility and number, for example 61 04423, or the serial number, for example 04 A1 B2 C3.'

/** One card as a cell has it. @param facility from a column of its own @param format from a column of its own; what is usual where it is not said */
function oneCard(text: string, facility: number | null, format: string | null): Taken<StoredCard> {
  if (format !== null && isSerial(format)) return checked(serialCard(format, text), text)
  const wide = format === 'wide' ? /^(\d{1,10})[\s,;:/-]+(\d{1,15})$/.exec(text.trim()) : null
  if (wide) return checked(numberedCard('wide', Number(wide[1]), Number(wide[2])), text)
  if (facility !== null) {
    if (!/^\d{1,10}$/.test(text))
      return refuse(`“${text}” is no card number`, 'Write digits alone: the facility stands in its own column.')
    return checked(numberedCard(format ?? usualFormat, facility, Number(text)), text)
  }
  const all = cardsTyped(text).map((c) => c.card)
  const fitting = format === null ? all : all.filter((c) => (c.format ?? usualFormat) === format)
  // Facility and number that fit 26 bits are taken for the usual card; nothing else is guessed.
  const usual = fitting.find(
    (c) => /\D/.test(text) && c.serial === undefined && (c.format ?? usualFormat) === usualFormat,
  )
  const found = usual ?? (fitting.length === 1 ? fitting[0] : undefined)
  if (found) return take(found)
  if (fitting.length === 0) return refuse(`“${text}” is no card number`, example)
  const names = fitting.map((c) => cardName(c)).join(', ')
  return refuse(
    `“${text}” may be ${fitting.length} cards (${names})`,
    'Say which with a column Card format, or write facility and number.',
  )
}

const checked = (card: StoredCard, text: string): Taken<StoredCard> => {
  const fault = cardFault(card)
  return fault ? refuse(`“${text}” does not fit: ${fault.replace(/\.$/, '')}`, example) : take(card)
}

/** Every card of a cell, each with its format before it where that is not the column's; several are parted by `;`, `|`, `+` or a new line. */
export function cardsIn(text: string, facility: number | null, format: string | null): Taken<StoredCard[]> {
  const cards: StoredCard[] = []
  for (const part of listIn(text, /[;|+\n]/)) {
    const [, named = '', rest = part] = /^(\D.*|\d+ bits?):\s+(.+)$/.exec(part) ?? []
    const own = named ? cardFormat(named) : null
    if (own && !own.ok) return own
    const card = oneCard(rest, own ? null : facility, own ? own.value : format)
    if (!card.ok) return card
    cards.push(card.value)
  }
  return take(cards)
}

export const listIn = (text: string, by: RegExp): string[] =>
  text
    .split(by)
    .map((t) => t.trim())
    .filter(Boolean)

/** A day, or a day with a time: `2027-01-31`, `31.1.2027`, `2027-01-31 16:00`, or a date of the spreadsheet. */
export function dayIn(cell: Cell, text: string): Taken<string> {
  if (typeof cell === 'object' && cell && 'date' in cell) return take(cell.date)
  const iso = /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{1,2}):(\d{2}))?$/.exec(text)
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})(?: (\d{1,2})[:.](\d{2}))?$/.exec(text)
  const two = (t: string | undefined) => (t ?? '').padStart(2, '0')
  const [, y, m, d, hour, minute] =
    iso ?? (dotted ? [dotted[0], dotted[3], dotted[2], dotted[1], dotted[4], dotted[5]] : [])
  const value = y === undefined ? '' : `${y}-${two(m)}-${two(d)}${hour === undefined ? '' : `T${two(hour)}:${minute}`}`
  return isDay(value)
    ? take(value)
    : refuse(
        `“${text}” is no day`,
        'Write it as 2027-01-31 or 31.1.2027: day and month the other way round are never guessed.',
      )
}
