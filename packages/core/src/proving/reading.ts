import { readByCode } from '../access/codes'
import { bitsOfText } from '../cards/card'
import { bitsFromHex } from '../cards/detective'
import { strangeCardWords } from '../cards/strange'
import { onServerClock, type DeviceEvent } from './events'
import type { TestKind } from './test'
import {
  cameAfter,
  after,
  failed,
  notJudged,
  seconds,
  waiting,
  within,
  type JudgeInput,
  type Judgement,
  windowOf,
} from './verdict'

/** Verdict of one kind of test. `own`: events of this door; `events`: of the whole job; both since the test began, by the devices' stamps. */
export type Rule<K extends TestKind['kind']> = (
  kind: Extract<TestKind, { kind: K }>,
  own: DeviceEvent[],
  events: DeviceEvent[],
  input: JudgeInput,
) => Judgement

/** Waits for a card that has not come, and tells what came instead: a number nobody knows is most often the right one in another order. */
function waitingForCard(own: DeviceEvent[], hex: string): Judgement {
  const strange = own.filter((e) => e.kind === 'refused' && e.state === 'unknown' && (e.bits || e.card)).at(-1)
  if (!strange) return waiting('Waiting for the card.')
  const bits = bitsOfText(strange.bits ?? '') ?? bitsFromHex(strange.card)
  return waiting(bits ? strangeCardWords(bits, hex) : `A card nobody knows came: ${strange.card}.`, [strange])
}

/** Whether an event tells that this card was read, with whatever came of it. */
export const isReadingOf = (e: DeviceEvent, card: string): boolean =>
  (e.kind === 'granted' || e.kind === 'refused') && e.card === card

/** The next reading of a card after an earlier one. */
export const cardAgain = (events: readonly DeviceEvent[], than: DeviceEvent, card: string): DeviceEvent | undefined =>
  events.find((e) => isReadingOf(e, card) && cameAfter(e, than))

const cardEvent = (events: DeviceEvent[], card: string) => events.find((e) => isReadingOf(e, card))
/** A card that was read at another door than the one it was presented at. A code that nobody has may be tried anywhere, by anybody. */
function elsewhere(input: JudgeInput, events: DeviceEvent[], card: string): Judgement | null {
  if (card === readByCode('')) return null
  const read = cardEvent(events, card)
  return read && read.door !== input.door
    ? failed(`The card was read at ${input.refOf(read.door)}, ${read.reader}: the readers are exchanged.`, [read])
    : null
}

/** The reading of a card at its own door, or why there is none. */
export function readHere(
  input: JudgeInput,
  own: DeviceEvent[],
  events: DeviceEvent[],
  card: string,
): { read: DeviceEvent } | Judgement {
  const wrong = elsewhere(input, events, card)
  if (wrong) return wrong
  const read = cardEvent(own, card)
  return read ? { read } : waitingForCard(own, card)
}

export function grantedHere(
  input: JudgeInput,
  own: DeviceEvent[],
  events: DeviceEvent[],
  card: string,
): { granted: DeviceEvent } | Judgement {
  const here = readHere(input, own, events, card)
  if (!('read' in here)) return here
  const { read } = here
  return read.kind === 'granted' ? { granted: read } : failed(`Refused: ${read.says}.`, [read])
}

/** Locked again within its time after what released it, the leaf left shut. */
export function timed(own: DeviceEvent[], by: DeviceEvent, kind: { seconds: number; toleranceS: number }): Judgement {
  const unlocked = after(own, by, 'lock', 'unlocked')
  if (!unlocked) return waiting('Seen. Waiting for the lock.', [by])
  const window = windowOf(kind)
  const open = after(own, by, 'leaf', 'open')
  const locked = after(own, unlocked, 'lock', 'locked')
  if (open && (!locked || open.at < locked.at))
    return notJudged('The leaf was opened. Do it again and leave it shut.', [by, unlocked, open])
  if (!locked)
    return {
      ...waiting('Released.', [by, unlocked]),
      timing: { label: 'Released since', since: onServerClock(unlocked), ...window },
    }
  return within(seconds(unlocked, locked), window, kind.seconds, 'Locked again', [by, unlocked, locked])
}

/** What released the door for a test: its card here, or, where no card is asked for, an exit device. */
export function released(
  card: string,
  own: DeviceEvent[],
  events: DeviceEvent[],
  input: JudgeInput,
): { unlocked: DeviceEvent; evidence: DeviceEvent[] } | Judgement {
  const exit = own.find((e) => e.kind === 'exit')
  const left = exit ? { granted: exit } : waiting('Waiting for the exit device.')
  const by = card ? grantedHere(input, own, events, card) : left
  if (!('granted' in by)) return by
  const unlocked = after(own, by.granted, 'lock', 'unlocked')
  return unlocked
    ? { unlocked, evidence: [by.granted, unlocked] }
    : waiting('Seen. Waiting for the lock.', [by.granted])
}
