import { cardAgain, grantedHere, readHere, type Rule } from './reading'
import type { TestKind } from './test'
import { after, failed, find, notJudged, passed, seconds, waiting, within, windowOf } from './verdict'
import type { DeviceEvent } from './events'

type BehaviourKind =
  | 'unlockDelay'
  | 'preAlarm'
  | 'relockAtOpening'
  | 'free'
  | 'barred'
  | 'firstPerson'
  | 'alone'
  | 'again'
  | 'inOutIn'
  | 'duress'

const forcedWhileFree = (forced: DeviceEvent) =>
  failed('The forced-open alarm came although the door is free.', [forced])

export const behaviourRules: { [K in BehaviourKind & TestKind['kind']]: Rule<K> } = {
  unlockDelay: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const unlocked = after(own, granted, 'lock', 'unlocked')
    if (!unlocked) return waiting('Seen. Waiting for the lock.', [granted])
    const window = windowOf(kind)
    return within(seconds(granted, unlocked), window, kind.seconds, 'It let go', [granted, unlocked])
  },
  preAlarm: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const open = after(own, granted, 'leaf', 'open')
    if (!open) return waiting('Granted. Open the leaf and keep it open.', [granted])
    const window = windowOf(kind)
    const warning = after(own, open, 'notice', 'preAlarm')
    const alarm = after(own, open, 'alarm', 'heldOpen')
    if (alarm && !warning) return failed('The held-open alarm came with no warning before it.', [granted, open, alarm])
    const closed = after(own, open, 'leaf', 'closed')
    if (!warning)
      return closed
        ? notJudged('The leaf closed before the warning was due. Do it again.', [granted, open, closed])
        : waiting('Open. Waiting for the warning.', [granted, open])
    const inTime = within(seconds(open, warning), window, kind.seconds, 'The warning came', [granted, open, warning])
    if (inTime.state !== 'passed') return inTime
    if (alarm) return { ...inTime, evidence: [...inTime.evidence, alarm] }
    return closed
      ? notJudged('The leaf closed before the alarm was due. Do it again.', [granted, open, warning, closed])
      : waiting('Warned. Waiting for the alarm.', [granted, open, warning])
  },
  relockAtOpening: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const unlocked = after(own, granted, 'lock', 'unlocked')
    if (!unlocked) return waiting('Granted. Waiting for the lock.', [granted])
    const open = after(own, unlocked, 'leaf', 'open')
    const locked = after(own, unlocked, 'lock', 'locked')
    if (!open)
      return locked
        ? notJudged('It locked again before the leaf was opened. Do it again.', [granted, unlocked, locked])
        : waiting('Released. Open the leaf and keep it open.', [granted, unlocked])
    const closed = after(own, open, 'leaf', 'closed')
    if (locked && (!closed || locked.at < closed.at))
      return passed('Locked again while the leaf was still open.', [granted, unlocked, open, locked])
    return closed
      ? failed('The leaf was open and closed again, and the lock had not locked meanwhile.', [
          granted,
          unlocked,
          open,
          closed,
        ])
      : waiting('Open. Waiting for the lock.', [granted, unlocked, open])
  },
  free: (kind, own) => {
    const free = find(own, 'mode', 'free')
    const early = find(own, 'leaf', 'open')
    if (early && (!free || early.at < free.at))
      return notJudged('The leaf was opened before the controller had said that it is free. Do it again.', [early])
    if (!free) return waiting('Waiting for the door to be free.')
    const used = own.find((e) => e.kind === 'granted' || e.kind === 'exit' || e.kind === 'desk')
    if (used) return notJudged('A card or a button was used. Do it again with neither.', [free, used])
    const forced = find(own, 'alarm', 'forced')
    if (forced) return forcedWhileFree(forced)
    const unlocked = find(own, 'lock', 'unlocked')
    const open = after(own, free, 'leaf', 'open')
    if (open && !unlocked)
      return failed('The leaf opened although the lock had not let go: does it lock at all?', [free, open])
    if (!unlocked) return waiting('Free. Waiting for the lock.', [free])
    const locked = after(own, unlocked, 'lock', 'locked')
    if (locked && !open) return failed('It locked again although it is free.', [free, unlocked, locked])
    if (open) return passed('Free: opened with no card and no button.', [free, unlocked, open])
    return waiting(kind.contact ? 'Free. Open the leaf.' : 'Free. Did the leaf open?', [free, unlocked])
  },
  barred: (kind, own, events, input) => {
    const barred = find(own, 'mode', 'barred')
    const here = readHere(input, own, events, kind.card)
    if (!('read' in here)) return barred ? here : waiting('Waiting for the door to be barred.')
    const { read } = here
    if (!barred || barred.at > read.at)
      return notJudged('The card came before the door was barred. Do it again.', [read])
    if (read.kind === 'granted') return failed('The door was released for this card, barred or not.', [barred, read])
    return read.state === 'barred'
      ? passed(`Refused: ${read.says}.`, [barred, read])
      : failed(`Refused for another reason: ${read.says}.`, [barred, read])
  },
  firstPerson: (kind, own, events, input) => {
    const early = find(own, 'mode', 'free')
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return early ? failed('The door was free before anybody had come.', [early]) : here
    const { granted } = here
    if (early && early.at < granted.at) return failed('The door was free before anybody had come.', [early, granted])
    const forced = find(own, 'alarm', 'forced')
    if (forced) return forcedWhileFree(forced)
    const unlocked = after(own, granted, 'lock', 'unlocked')
    if (!unlocked) return waiting('Granted. Waiting for the lock.', [granted])
    const locked = after(own, unlocked, 'lock', 'locked')
    if (locked) return failed('It locked again behind the first person.', [granted, unlocked, locked])
    if (!early) return waiting('Released. Waiting for the door to be free.', [granted, unlocked])
    if (!kind.contact) return waiting('Free. Did it open the second time?', [granted, early])
    const open = after(own, unlocked, 'leaf', 'open')
    const closed = open && after(own, open, 'leaf', 'closed')
    const again = closed && after(own, closed, 'leaf', 'open')
    if (again) {
      const used = own.filter((e) => (e.kind === 'granted' || e.kind === 'exit') && e.at > closed.at)[0]
      return used
        ? notJudged('A card or a button was used the second time. Do it again without.', [granted, used])
        : passed('Free once the first person had come: opened again with no card.', [granted, early, open, again])
    }
    return waiting(closed ? 'Closed. Open it once more, with no card.' : 'Free. Open the leaf and let it close.', [
      granted,
      early,
    ])
  },
  alone: (kind, own, events, input) => {
    const unlocked = find(own, 'lock', 'unlocked')
    if (unlocked) return failed('The lock let go for one person alone.', [unlocked])
    const waits = own.find((e) => e.kind === 'notice' && e.state === 'second')
    const here = readHere(input, own, events, kind.card)
    if (!('read' in here)) return waits ? waiting('Seen. Present no other card.', [waits]) : here
    const { read } = here
    if (read.kind === 'granted') return failed('Granted to one person alone.', [read])
    return read.state === 'alone'
      ? passed(`Refused: ${read.says}.`, [...(waits ? [waits] : []), read])
      : failed(`Refused for another reason: ${read.says}.`, [read])
  },
  again: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const second = cardAgain(own, granted, kind.card)
    if (!second) return waiting('Released. Present the same card once more.', [granted])
    if (kind.reason === '') {
      const told = after(own, granted, 'notice', 'passback')
      if (second.kind === 'refused') return failed(`Refused the second time: ${second.says}.`, [granted, second])
      return told
        ? passed('Released both times, and told the second time.', [granted, second, told])
        : waiting('Released twice. Waiting for the controller to tell.', [granted, second])
    }
    if (second.kind === 'granted') return failed('Released the second time too.', [granted, second])
    return second.state === kind.reason
      ? passed(`Refused the second time: ${second.says}.`, [granted, second])
      : failed(`Refused for another reason: ${second.says}.`, [granted, second])
  },
  duress: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const told = own.find((e) => e.kind === 'notice' && e.state === 'duress')
    if (!told) return waiting('Let in. Waiting for the controller to tell of the duress.', [granted])
    const loud = find(own, 'alarm', 'forced') ?? find(own, 'alarm', 'heldOpen')
    return loud
      ? failed('An alarm sounded at the door: whoever forces them hears it.', [granted, told, loud])
      : passed('Let in, and told in silence.', [granted, told])
  },
  inOutIn: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const first = here.granted
    if (first.reader !== kind.entry)
      return notJudged(`The first card came at ${first.reader}. Do it again, beginning at ${kind.entry}.`, [first])
    const out = cardAgain(own, first, kind.card)
    if (!out) return waiting(`In. Now at ${kind.exit}.`, [first])
    if (out.reader !== kind.exit)
      return notJudged(`The second card came at ${out.reader}. Do it again, the second at ${kind.exit}.`, [first, out])
    if (out.kind === 'refused') return failed(`Refused on the way out: ${out.says}.`, [first, out])
    const again = cardAgain(own, out, kind.card)
    if (!again) return waiting(`Out. Now at ${kind.entry} once more.`, [first, out])
    if (again.reader !== kind.entry)
      return notJudged(`The third card came at ${again.reader}. Do it again, the third at ${kind.entry}.`, [again])
    return again.kind === 'granted'
      ? passed('In, out, and in again.', [first, out, again])
      : failed(`Refused the second time in: ${again.says}.`, [first, out, again])
  },
}
