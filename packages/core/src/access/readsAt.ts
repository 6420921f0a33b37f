import { bitsOfText } from '../cards/card'
import type { Sending, Shown } from '../cards/detection'
import { cardFormats, type Bits, type CardNumber } from '../cards/formats'
import { storedOf } from '../cards/sending'
import { keptChoices } from '../cards/settingFor'
import { accessPlaces } from '../doors/accesspoints'
import type { Sheets } from '../devices/sheet'
import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import { holdingOf, type EnrolmentPlace } from './enrolment'

/** A read with all that came. */
export interface RawRead {
  id: string
  /** The device's stamp, ms. */
  at: number
  bits: Bits
  /** Whether the controller could make nothing of it. */
  strange: boolean
}

/** Different cards that a reader sent since a moment, the first shown first; one that was shown again stands once. @param since server time of receipt, ms */
export function readsAt(facts: Facts, { door, part }: EnrolmentPlace, since: number): RawRead[] {
  const reads = all(facts, 'event')
    .filter((e) => e.door === door.id && e.reader === part && e.received > since && !!e.bits)
    .sort((a, b) => a.received - b.received || a.seq - b.seq)
    .flatMap((e): RawRead[] => {
      const bits = bitsOfText(e.bits ?? '')
      return bits ? [{ id: e.id, at: e.at, bits, strange: e.kind === 'refused' && e.state === 'unknown' }] : []
    })
  return [...new Map(reads.map((r) => [r.bits.join(''), r])).values()]
}

/** Readers of cards in the job that are of the same type as this one: they most often send alike. */
export function readersLike(facts: Facts, sheets: Sheets, { door, part }: EnrolmentPlace): EnrolmentPlace[] {
  const sheet = door.parts.find((p) => p.id === part)?.sheet
  return all(facts, 'door')
    .sort(byRef)
    .flatMap((d) =>
      accessPlaces(d, sheets)
        .filter((p) => p.cards && p.part.sheet === sheet && !(d.id === door.id && p.part.id === part))
        .map((p) => ({ door: d, part: p.part.id })),
    )
}

const isHeld = (facts: Facts, { format }: Sending, card: CardNumber, keeps: string): boolean => {
  const stored = storedOf({ ...format, keeps }, card)
  return !!stored && holdingOf(facts, stored).of !== 'nobody'
}

/** The same with only the cards that somebody carries or says what stands on: another that was just heard there forbids nothing. @param shown the cards it is from, in their order */
export const vouchedFor = (facts: Facts, sending: Sending, shown: readonly Shown[]): Sending => ({
  ...sending,
  cards: sending.cards.filter(
    (card, i) => !!shown[i]?.printed || cardFormats.some((kept) => isHeld(facts, sending, card, kept.id)),
  ),
})

/** What cards that are read so are best kept as: as somebody's card is kept already that was shown, else as the format says itself, else the narrowest. */
export function keptBest(facts: Facts, sending: Sending): string {
  const choices = keptChoices(sending)
  const { format, cards, by } = sending
  const held = choices.find((keeps) => cards.some((card) => isHeld(facts, sending, card, keeps)))
  const own = by === 'known' ? (format.keeps ?? format.id) : ''
  return held ?? (choices.includes(own) ? own : (choices[0] ?? ''))
}
