import type { ReactionCause } from '../reactions/records'
import { onServerClock, type DeviceEvent } from './events'
import { cardAgain, grantedHere, readHere, type Rule } from './reading'
import type { TestKind } from './test'
import {
  after,
  cameAfter,
  failed,
  find,
  notJudged,
  one,
  passed,
  seconds,
  waiting,
  windowOf,
  within,
  type Judgement,
} from './verdict'

/** An output that a controller drives by itself comes on so soon after its cause, s (common practice, no source). */
const atOnceS = 2

type Kind = Extract<TestKind, { kind: 'reaction' }>

/** What happened last before something may follow, with all that led to it, or why it has not happened. */
type Cause = { cause: DeviceEvent; evidence: DeviceEvent[] } | Judgement

export const reactionRules: { [K in 'reaction' | 'noReaction']: Rule<K> } = {
  reaction: (kind, own, events, input) => {
    const happened = causeOf(kind, own, events, input)
    if (!('cause' in happened)) return happened
    const { cause, evidence } = happened
    if (kind.lets) return letGo(kind, events, cause, evidence, input.refOf)
    const on = after(own, cause, 'output', 'active', kind.output)
    if (!on) return onAlready(kind, own, cause) ?? waiting(`Seen. Waiting for ${kind.output}.`, evidence)
    const late = seconds(cause, on)
    if (late > atOnceS) return failed(`${kind.output} came on only after ${one(late)} s.`, [...evidence, on])
    const seen = [...evidence, on]
    if (kind.state) return panelStands(kind, own, on, seen)
    const off = after(own, on, 'output', 'idle', kind.output)
    if (kind.hold) return heldFor(kind, own, cause, seen, off)
    if (kind.seconds === 0) return waiting(`${kind.output} was driven. How does the panel stand?`, seen)
    if (!off)
      return {
        ...waiting(`${kind.output} is on.`, seen),
        timing: { label: `${kind.output} on since`, since: onServerClock(on), ...windowOf(kind) },
      }
    return within(seconds(on, off), windowOf(kind), kind.seconds, `${kind.output} went off`, [...seen, off])
  },
  noReaction: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const driven = kind.output ? after(own, granted, 'output', 'active', kind.output) : undefined
    const other = kind.lets ? letGoAfter(events, granted, kind.lets) : undefined
    const came = driven ?? other
    if (came) return failed(`It came for this card too: ${came.says}.`, [granted, came])
    const unlocked = after(own, granted, 'lock', 'unlocked')
    const locked = unlocked && after(own, unlocked, 'lock', 'locked')
    return locked
      ? passed('Released and locked again, and nothing else came of it.', [granted, unlocked, locked])
      : waiting('Released. Leave the leaf shut.', [granted])
  },
}

/** What was on before and went off later never came on for this. */
function onAlready(kind: Kind, own: DeviceEvent[], cause: DeviceEvent): Judgement | null {
  const before = own.filter((e) => e.kind === 'output' && e.part === kind.output && cameAfter(cause, e)).at(-1)
  const off = after(own, cause, 'output', 'idle', kind.output)
  return before?.state === 'active' && off && seconds(cause, off) > atOnceS
    ? notJudged(`${kind.output} was on already. Wait until it is off, then do it again.`, [before, cause, off])
    : null
}

function causeOf(kind: Kind, own: DeviceEvent[], events: DeviceEvent[], input: Parameters<Rule<'reaction'>>[3]): Cause {
  const plain = (found: DeviceEvent | undefined, says: string): Cause =>
    found ? { cause: found, evidence: [found] } : waiting(says)
  const ways: Readonly<Record<ReactionCause, () => Cause>> = {
    granted() {
      const here = grantedHere(input, own, events, kind.card)
      if (!('granted' in here)) return here
      const { granted } = here
      if (!kind.twice) return { cause: granted, evidence: [granted] }
      const second = cardAgain(own, granted, kind.card)
      const early = own.find(
        (e) => e.kind === 'output' && e.state === 'active' && e.part === kind.output && (!second || e.at < second.at),
      )
      if (early) return failed(`${kind.output} came on when the card was shown once.`, [granted, early])
      if (!second) return waiting('Released. Show the same card once more.', [granted])
      return second.kind === 'granted'
        ? { cause: second, evidence: [granted, second] }
        : failed(`Refused the second time: ${second.says}.`, [granted, second])
    },
    refused() {
      const here = readHere(input, own, events, kind.card)
      if (!('read' in here)) return here
      return here.read.kind === 'refused'
        ? { cause: here.read, evidence: [here.read] }
        : failed('The door was released for this card.', [here.read])
    },
    duress: () => plain(find(own, 'notice', 'duress'), 'Waiting for the code under duress.'),
    forced: () => plain(find(own, 'alarm', 'forced'), 'Waiting for the forced-open alarm.'),
    heldOpen: () => plain(find(own, 'alarm', 'heldOpen'), 'Waiting for the held-open alarm.'),
    preAlarm: () => plain(find(own, 'notice', 'preAlarm'), 'Waiting for the warning.'),
    exit: () =>
      plain(
        own.find((e) => e.kind === 'exit'),
        'Waiting for the exit device.',
      ),
    desk: () =>
      plain(
        own.find((e) => e.kind === 'desk'),
        'Waiting for the desk button.',
      ),
    input: () => plain(find(own, 'input', 'active', kind.input), `Waiting for ${kind.input}.`),
    inputEnds() {
      const active = find(own, 'input', 'active', kind.input)
      const idle = active && after(own, active, 'input', 'idle', kind.input)
      if (active && idle) return { cause: idle, evidence: [active, idle] }
      return waiting(active ? `${kind.input} is active. Put it back.` : `Waiting for ${kind.input}.`)
    },
  }
  return ways[kind.cause]()
}

/** Stamps of two doors of one controller are of one clock. */
const letGoAfter = (events: readonly DeviceEvent[], than: DeviceEvent, door: string): DeviceEvent | undefined =>
  events.find((e) => e.kind === 'lock' && e.state === 'unlocked' && e.door === door && e.at >= than.at)

function letGo(
  kind: Kind,
  events: readonly DeviceEvent[],
  cause: DeviceEvent,
  evidence: DeviceEvent[],
  refOf: (door: string) => string,
): Judgement {
  const unlocked = letGoAfter(events, cause, kind.lets)
  if (!unlocked) return waiting(`Seen. Waiting for ${refOf(kind.lets)}.`, evidence)
  const late = seconds(cause, unlocked)
  const seen = [...evidence, unlocked]
  return late > atOnceS
    ? failed(`${refOf(kind.lets)} was let go only after ${one(late)} s.`, seen)
    : passed(`${refOf(kind.lets)} was let go.`, seen)
}

function panelStands(kind: Kind, own: DeviceEvent[], on: DeviceEvent, seen: DeviceEvent[]): Judgement {
  const wanted = kind.set ? 'active' : 'idle'
  const told = own.find((e) => e.kind === 'input' && e.part === kind.state && cameAfter(e, on))
  if (!told) return waiting(`${kind.output} was driven. Waiting for ${kind.state}.`, seen)
  return told.state === wanted
    ? passed(`${kind.output} was driven, and the panel is ${kind.set ? 'set' : 'unset'}.`, [...seen, told])
    : failed(`${kind.state} says that the panel is ${kind.set ? 'unset' : 'set'}.`, [...seen, told])
}

/** What ends a cause that lasts. */
const endOf = (kind: Kind, own: DeviceEvent[], cause: DeviceEvent): DeviceEvent | undefined =>
  kind.cause === 'input' ? after(own, cause, 'input', 'idle', kind.input) : after(own, cause, 'alarm', 'none')

function heldFor(
  kind: Kind,
  own: DeviceEvent[],
  cause: DeviceEvent,
  seen: DeviceEvent[],
  off: DeviceEvent | undefined,
): Judgement {
  const end = endOf(kind, own, cause)
  if (off && (!end || off.at < end.at)) return failed(`${kind.output} went off while it lasted.`, [...seen, off])
  if (!end) return waiting(`${kind.output} is on. Let it end.`, seen)
  if (!off) return waiting(`Over. Waiting for ${kind.output} to go off.`, [...seen, end])
  const late = seconds(end, off)
  return late > atOnceS
    ? failed(`${kind.output} went off only ${one(late)} s after it was over.`, [...seen, end, off])
    : passed(`${kind.output} was on while it lasted, and no longer.`, [...seen, end, off])
}
