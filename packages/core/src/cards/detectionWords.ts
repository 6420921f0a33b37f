import type { Detection, NextStep, Sending } from './detection'
import { readingName } from './detective'
import type { BitRun } from './formats'
import { orderNames } from './orders'

const grouped = (n: bigint): string => String(n).replace(/\B(?=(\d{3})+$)/g, ' ')
/** Counted from 1, as people count. */
const runWords = ({ from, length }: BitRun): string => `bits ${from + 1} to ${from + length}`

/** A way of sending in a few words: `26 bits, the bytes of the number the other way round`. */
export function sendingWords({ format, order, by }: Sending): string {
  const turned = order === 'asSent' ? '' : `, ${orderNames[order]}`
  if (by === 'known') return `${format.name}${turned}`
  if (by === 'short') return `${format.name}, which hold only the end of the card’s number`
  const facility = format.facility ? `, facility ${runWords(format.facility)}` : ''
  return `${format.bits} bits: number ${runWords(format.number)}${facility}${turned}`
}

/** What would settle it, said to whoever stands at the reader. */
export function nextStepWords(next: NextStep): string {
  switch (next.ask) {
    case 'printed':
      return 'Type what stands on the card.'
    case 'facility':
      return 'Type the facility as well, or show a card that has both printed.'
    case 'another':
      return 'Show one more card, with another number, and type what stands on it.'
    case 'above':
      return `Show a card with a number over ${grouped(next.number)}, if there is one: it shows how wide the number is.`
  }
}

/** What is known now, in a sentence. @param reader its mark: `R1` */
export function detectionWords({ state, sendings, next, odd }: Detection, reader: string): string {
  const [first] = sendings
  switch (state) {
    case 'certain':
      return `${reader} sends ${first ? sendingWords(first) : ''}.`
    case 'likely':
      return `${reader} seems to send ${first ? sendingWords(first) : ''}. ${next ? nextStepWords(next) : ''}`.trim()
    case 'odd':
      return `All but one card say: ${first ? sendingWords(first) : ''}. Look at card ${(odd ?? 0) + 1} again: it was read or typed wrong.`
    case 'mixed':
      return 'These cards are of different kinds: different numbers of bits came. Look at one kind at a time.'
    case 'none':
      return next?.ask === 'printed'
        ? `No format that is known reads these bits. ${nextStepWords(next)}`
        : 'What is printed stands nowhere in these bits, in any order. Look at the number again, or show another card.'
  }
}

/** What to do about it where no setting helps; empty where one does. */
export function mendWords({ by, order, cards }: Sending): string {
  if (order === 'linesExchanged') return 'Exchange data 0 and data 1 at one end of its cable.'
  if (by !== 'short') return ''
  const names = cards.map(readingName).join(', ')
  return `The reader cuts the number. Have it set to send the whole of it; or keep these cards with what it sends: ${names}. Cards that end alike can’t be told apart then.`
}
