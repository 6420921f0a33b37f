import type { JobLimits } from '../job/facts'
import { onServerClock, type DeviceEvent } from './events'
import type { Trial } from './records'
import type { Test } from './script'

export interface Judgement {
  state: 'waiting' | 'passed' | 'failed' | 'not judged'
  says: string
  evidence: DeviceEvent[]
  /** Something that is being timed now: since when (server clock) and the window in seconds. */
  timing?: { label: string; since: number; from: number; to: number }
}

export interface JudgeInput {
  test: Test
  trial: Trial
  door: string
  controller: string
  /** All events of the job that may belong to the trial, any order. */
  events: readonly DeviceEvent[]
  limits: JobLimits
  /** Reference of a door by its id, for words. */
  refOf: (door: string) => string
}

/** Stamps may lie this much before the start of a trial, ms: the measured clock offset is no finer. */
const startSlackMs = 500

/**
 * Verdict of a running test from the devices' own events. Times are differences of one device's stamps; the server's
 * receipt serves as plausibility only.
 */
export function judge(input: JudgeInput): Judgement {
  const since = input.trial.startedAt - startSlackMs
  const events = input.events.filter((e) => (e.kind === 'gap' ? e.received >= since : onServerClock(e) >= since)).sort((a, b) => a.at - b.at || a.seq - b.seq)
  const own = events.filter((e) => e.controller === input.controller)
  const gap = own.find((e) => e.kind === 'gap')
  if (gap) return { state: 'not judged', says: 'Events were missing while the test ran. Do it again.', evidence: [gap] }
  const reboot = own.find((e) => e.boot !== input.trial.boot)
  if (reboot && input.trial.boot) return { state: 'not judged', says: 'The controller restarted during the test. Do it again.', evidence: [reboot] }
  const verdict = rules[input.test.judge.kind](input, own.filter((e) => e.door === input.door), events)
  const late = verdict.evidence.find((e) => Math.abs(e.received - onServerClock(e)) > input.limits.receiptS * 1000)
  if (late && verdict.state !== 'waiting') {
    return { ...verdict, state: 'not judged', says: `An event came ${Math.round(Math.abs(late.received - onServerClock(late)) / 1000)} s away from its own stamp; the job allows ${input.limits.receiptS} s.` }
  }
  return verdict
}

type RuleFn = (input: JudgeInput, own: DeviceEvent[], events: DeviceEvent[]) => Judgement

const waiting = (says: string, evidence: DeviceEvent[] = []): Judgement => ({ state: 'waiting', says, evidence })
const passed = (says: string, evidence: DeviceEvent[]): Judgement => ({ state: 'passed', says, evidence })
const failed = (says: string, evidence: DeviceEvent[]): Judgement => ({ state: 'failed', says, evidence })
const seconds = (from: DeviceEvent, to: DeviceEvent) => (to.at - from.at) / 1000
const one = (n: number) => n.toFixed(1)

const cardEvent = (events: DeviceEvent[], card: string) => events.find((e) => (e.kind === 'granted' || e.kind === 'refused') && e.card === card)
const after = (events: DeviceEvent[], than: DeviceEvent, kind: DeviceEvent['kind'], state: string) => events.find((e) => e.kind === kind && e.state === state && (e.at > than.at || (e.at === than.at && e.seq > than.seq)))

/** A card that was read at another door than the one it was presented at. */
function elsewhere(input: JudgeInput, events: DeviceEvent[], card: string): Judgement | null {
  const read = cardEvent(events, card)
  return read && read.door !== input.door ? failed(`The card was read at ${input.refOf(read.door)}, ${read.reader}: the readers are exchanged.`, [read]) : null
}

function grantedHere(input: JudgeInput, own: DeviceEvent[], events: DeviceEvent[], card: string): { granted: DeviceEvent } | Judgement {
  const wrong = elsewhere(input, events, card)
  if (wrong) return wrong
  const read = cardEvent(own, card)
  if (!read) return waiting('Waiting for the card.')
  return read.kind === 'granted' ? { granted: read } : failed(`Refused: ${read.says}.`, [read])
}

const rules: Record<Test['judge']['kind'], RuleFn> = {
  beforeLoad: (_input, own) => {
    const opened = own.find((e) => e.kind === 'granted' || (e.kind === 'lock' && e.state === 'unlocked'))
    return opened ? failed('The controller released the door although it should hold nothing.', [opened]) : waiting('Try it, then answer.')
  },
  readerIs: (input, own, events) => {
    const kind = input.test.judge as Extract<Test['judge'], { kind: 'readerIs' }>
    const wrong = elsewhere(input, events, kind.card)
    if (wrong) return wrong
    const read = cardEvent(own, kind.card)
    if (!read) return waiting('Waiting for the card.')
    return read.reader === kind.reader ? passed(`Read at ${kind.reader}.`, [read]) : failed(`Read at ${read.reader}: the readers of this door are exchanged.`, [read])
  },
  opens: (input, own, events) => {
    const kind = input.test.judge as Extract<Test['judge'], { kind: 'opens' }>
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const { granted } = here
    const alarm = own.find((e) => e.kind === 'alarm' && e.state !== 'none')
    if (alarm) return failed(`An alarm came: ${alarm.says}.`, [granted, alarm])
    const unlocked = after(own, granted, 'lock', 'unlocked')
    if (!unlocked) return waiting('Granted. Waiting for the lock.', [granted])
    const open = after(own, granted, 'leaf', 'open')
    const locked = after(own, unlocked, 'lock', 'locked')
    if (!open) {
      if (input.test.ask) return locked ? waiting('Released and locked again. Did the leaf open?', [granted, unlocked, locked]) : waiting('Released.', [granted, unlocked])
      const other = events.find((e) => e.kind === 'leaf' && e.state === 'open' && e.door !== input.door && e.at > granted.at)
      if (locked) return failed(other ? `Released, but the leaf of ${input.refOf(other.door)} opened: the locks are exchanged.` : `Released for ${one(seconds(unlocked, locked))} s and the leaf never opened: is this the lock on that relay?`, [granted, unlocked, locked, ...(other ? [other] : [])])
      return waiting('Released. Open the leaf.', [granted, unlocked])
    }
    const closed = after(own, open, 'leaf', 'closed')
    if (!closed) return waiting('Open. Let it close.', [granted, unlocked, open])
    return locked ? passed('Released, opened, closed and locked again.', [granted, unlocked, open, closed, locked]) : waiting('Closed. Waiting for the lock.', [granted, unlocked, open, closed])
  },
  releaseTime: (input, own, events) => {
    const kind = input.test.judge as Extract<Test['judge'], { kind: 'releaseTime' }>
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const unlocked = after(own, here.granted, 'lock', 'unlocked')
    if (!unlocked) return waiting('Granted. Waiting for the lock.', [here.granted])
    const window = { from: kind.seconds - kind.toleranceS, to: kind.seconds + kind.toleranceS }
    const open = after(own, here.granted, 'leaf', 'open')
    const locked = after(own, unlocked, 'lock', 'locked')
    if (open && (!locked || open.at < locked.at)) return { state: 'not judged', says: 'The leaf was opened. Do it again and leave it shut.', evidence: [here.granted, unlocked, open] }
    if (!locked) return { ...waiting('Released.', [here.granted, unlocked]), timing: { label: 'Released since', since: onServerClock(unlocked), ...window } }
    return within(seconds(unlocked, locked), window, kind.seconds, 'Locked again', [here.granted, unlocked, locked])
  },
  refused: (input, own, events) => {
    const kind = input.test.judge as Extract<Test['judge'], { kind: 'refused' }>
    const wrong = elsewhere(input, events, kind.card)
    if (wrong) return wrong
    const read = cardEvent(own, kind.card)
    if (!read) return waiting('Waiting for the card.')
    if (read.kind === 'granted') return failed('The door was released for this card.', [read])
    return read.state === kind.reason ? passed(`Refused: ${read.says}.`, [read]) : failed(`Refused for another reason: ${read.says}.`, [read])
  },
  exit: (input, own) => {
    const pressed = own.find((e) => e.kind === 'exit')
    const forced = own.find((e) => e.kind === 'alarm' && e.state === 'forced')
    if (forced) return failed('The forced-open alarm came: the controller did not see the exit button.', [forced])
    if (!pressed) return waiting('Waiting for the button.')
    const unlocked = own.find((e) => e.kind === 'lock' && e.state === 'unlocked' && e.at >= pressed.at)
    if (!unlocked) return waiting('Pressed. Waiting for the lock.', [pressed])
    const open = after(own, pressed, 'leaf', 'open')
    if (open) return passed('Pressed, released, opened.', [pressed, unlocked, open])
    const locked = after(own, unlocked, 'lock', 'locked')
    return locked ? failed('Released, but the leaf never opened.', [pressed, unlocked, locked]) : waiting('Released. Open the leaf.', [pressed, unlocked])
  },
  handle: (input, own) => {
    const kind = input.test.judge as Extract<Test['judge'], { kind: 'handle' }>
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    const alarm = own.find((e) => e.kind === 'alarm' && e.state === 'forced')
    if (!open) return waiting('Waiting for the leaf.')
    if (alarm) return kind.alarm ? passed('Opened; the forced-open alarm came, as set.', [open, alarm]) : failed('The forced-open alarm came although it is set off.', [open, alarm])
    const closed = after(own, open, 'leaf', 'closed')
    if (!closed) return waiting('Open. Let it close.', [open])
    return kind.alarm ? failed('Opened and closed without the forced-open alarm.', [open, closed]) : passed('Opened and closed without an alarm.', [open, closed])
  },
  forced: (_input, own) => {
    const alarm = own.find((e) => e.kind === 'alarm' && e.state === 'forced')
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    const released = own.find((e) => e.kind === 'lock' && e.state === 'unlocked')
    if (released && (!alarm || released.at < alarm.at)) return { state: 'not judged', says: 'The door was released by the controller, so nothing was forced. Do it again.', evidence: [released] }
    if (alarm) return passed('The forced-open alarm came.', open ? [open, alarm] : [alarm])
    const closed = open && after(own, open, 'leaf', 'closed')
    if (open && closed) return failed('Opened and closed, and no alarm came.', [open, closed])
    return waiting(open ? 'Open. Waiting for the alarm.' : 'Waiting for the leaf.', open ? [open] : [])
  },
  heldOpen: (input, own, events) => {
    const kind = input.test.judge as Extract<Test['judge'], { kind: 'heldOpen' }>
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const open = after(own, here.granted, 'leaf', 'open')
    if (!open) return waiting('Granted. Open the leaf and keep it open.', [here.granted])
    const window = { from: kind.seconds - kind.toleranceS, to: kind.seconds + kind.toleranceS }
    const alarm = after(own, open, 'alarm', 'heldOpen')
    if (alarm) return within(seconds(open, alarm), window, kind.seconds, 'The alarm came', [here.granted, open, alarm])
    const closed = after(own, open, 'leaf', 'closed')
    if (closed) {
      const held = seconds(open, closed)
      return held > window.to ? failed(`Held open for ${one(held)} s and no alarm came.`, [here.granted, open, closed]) : { state: 'not judged', says: `The leaf closed after ${one(held)} s, before the alarm was due. Do it again.`, evidence: [open, closed] }
    }
    return { ...waiting('Keep it open.', [here.granted, open]), timing: { label: 'Open since', since: onServerClock(open), ...window } }
  },
  breakGlass: (_input, own) => {
    const released = own.find((e) => e.kind === 'granted' || e.kind === 'exit')
    if (released) return { state: 'not judged', says: 'A card or the button released the door. Do it again with the break glass alone.', evidence: [released] }
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    return open ? passed('The leaf opened with no card and no button.', [open]) : waiting('Waiting for the leaf.')
  },
  holds: (_input, own) => {
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    return open ? failed('The leaf opened although it should hold.', [open]) : waiting('Pull it, then answer.')
  },
}

function within(value: number, window: { from: number; to: number }, wanted: number, what: string, evidence: DeviceEvent[]): Judgement {
  const said = `${what} after ${one(value)} s; ${wanted} s was wanted`
  return value >= window.from && value <= window.to ? passed(`${said}, within ${one(window.from)} to ${one(window.to)} s.`, evidence) : failed(`${said} (${one(window.from)} to ${one(window.to)} s).`, evidence)
}
