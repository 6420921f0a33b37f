import { behaviourRules } from './behaviourRules'
import { reactionRules } from './reactionRules'
import { decidingRules } from './decidingRules'
import { radioRules } from './radioRules'
import { onServerClock, type DeviceEvent } from './events'
import { grantedHere, readHere, released, timed, type Rule } from './reading'
import type { TestKind } from './test'
import { after, failed, find, notJudged, one, passed, seconds, waiting, within, windowOf } from './verdict'

/** An order is stamped by the server when the device has answered; the lock may have moved so much before, ms. */
const orderSlackMs = 3000

export const rules: { [K in TestKind['kind']]: Rule<K> } = {
  ...behaviourRules,
  ...reactionRules,
  ...radioRules,
  ...decidingRules,
  beforeLoad: (_kind, own) => {
    const opened = own.find((e) => e.kind === 'granted' || (e.kind === 'lock' && e.state === 'unlocked'))
    return opened
      ? failed('The controller released the door although it should hold nothing.', [opened])
      : waiting('Try it, then answer.')
  },
  readerIs: (kind, own, events, input) => {
    const here = readHere(input, own, events, kind.card)
    if (!('read' in here)) return here
    const { read } = here
    return read.reader === kind.reader
      ? passed(`Read at ${kind.reader}.`, [read])
      : failed(`Read at ${read.reader}: the readers of this door are exchanged.`, [read])
  },
  opens: (kind, own, events, input) => {
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
      if (input.test.ask)
        return locked
          ? waiting('Released and locked again. Did the leaf open?', [granted, unlocked, locked])
          : waiting('Released.', [granted, unlocked])
      const other = events.find(
        (e) => e.kind === 'leaf' && e.state === 'open' && e.door !== input.door && e.at > granted.at,
      )
      if (locked)
        return failed(
          other
            ? `Released, but the leaf of ${input.refOf(other.door)} opened: the locks are exchanged.`
            : `Released for ${one(seconds(unlocked, locked))} s and the leaf never opened: is this the lock on that relay?`,
          [granted, unlocked, locked, ...(other ? [other] : [])],
        )
      return waiting('Released. Open the leaf.', [granted, unlocked])
    }
    const seen = kind.contact ? after(own, granted, 'input', 'active', kind.contact) : null
    const wrong =
      kind.contact && !seen
        ? own.find((e) => e.kind === 'input' && e.state === 'active' && e.at >= granted.at)
        : undefined
    if (wrong && locked)
      return failed(
        `${wrong.part ?? 'Another contact'} saw the leaf and not ${kind.contact}: the contacts are exchanged.`,
        [granted, unlocked, open, wrong],
      )
    const closed = after(own, open, 'leaf', 'closed')
    if (!closed) return waiting('Open. Let it close.', [granted, unlocked, open])
    if (kind.contact && !seen)
      return waiting(`Closed. ${kind.contact} has not seen it.`, [granted, unlocked, open, closed])
    return locked
      ? passed('Released, opened, closed and locked again.', [granted, unlocked, open, closed, locked])
      : waiting('Closed. Waiting for the lock.', [granted, unlocked, open, closed])
  },
  releaseTime: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    return 'granted' in here ? timed(own, here.granted, kind) : here
  },
  refused: (kind, own, events, input) => {
    const here = readHere(input, own, events, kind.card)
    if (!('read' in here)) return here
    const { read } = here
    if (read.kind === 'granted') return failed('The door was released for this card.', [read])
    return read.state === kind.reason
      ? passed(`Refused: ${read.says}.`, [read])
      : failed(`Refused for another reason: ${read.says}.`, [read])
  },
  exit: (kind, own) => {
    const named = (e: DeviceEvent) => (e.part ? e.part === kind.part : kind.only)
    const pressed = own.find((e) => e.kind === 'exit' && named(e))
    const other = own.find((e) => e.kind === 'exit' && !named(e))
    const forced = find(own, 'alarm', 'forced')
    if (forced) return failed(`The forced-open alarm came: the controller did not see ${kind.part}.`, [forced])
    if (other && !pressed)
      return failed(
        `The controller saw ${other.part ?? 'another exit device'} and not ${kind.part}: their inputs are exchanged.`,
        [other],
      )
    if (!pressed) return waiting(`Waiting for ${kind.part}.`)
    const unlocked = own.find((e) => e.kind === 'lock' && e.state === 'unlocked' && e.at >= pressed.at)
    const open = after(own, pressed, 'leaf', 'open')
    if (!unlocked)
      return open
        ? failed('The leaf opened although the lock had not let go: does it lock at all?', [pressed, open])
        : waiting(`${kind.part} was seen. Waiting for the lock.`, [pressed])
    if (open) return passed(`${kind.part} seen, released, opened.`, [pressed, unlocked, open])
    const locked = after(own, unlocked, 'lock', 'locked')
    if (!kind.contact) return waiting('Released. Did the leaf open?', [pressed, unlocked])
    return locked
      ? failed('Released, but the leaf never opened.', [pressed, unlocked, locked])
      : waiting('Released. Open the leaf.', [pressed, unlocked])
  },
  desk: (kind, own) => {
    const pressed = own.find((e) => e.kind === 'desk' && e.part === kind.part)
    const other = own.find((e) => e.kind === 'exit' || e.kind === 'desk')
    if (!pressed)
      return other
        ? failed(`The controller took it for ${other.part ?? 'an exit button'}: the inputs are exchanged.`, [other])
        : waiting(`Waiting for ${kind.part}.`)
    return timed(own, pressed, kind)
  },
  handle: (kind, own) => {
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    const alarm = own.find((e) => e.kind === 'alarm' && e.state === 'forced')
    if (!open) return waiting('Waiting for the leaf.')
    if (alarm)
      return kind.alarm
        ? passed('Opened; the forced-open alarm came, as set.', [open, alarm])
        : failed('The forced-open alarm came although it is set off.', [open, alarm])
    const closed = after(own, open, 'leaf', 'closed')
    if (!closed) return waiting('Open. Let it close.', [open])
    return kind.alarm
      ? failed('Opened and closed without the forced-open alarm.', [open, closed])
      : passed('Opened and closed without an alarm.', [open, closed])
  },
  forced: (_kind, own) => {
    const alarm = own.find((e) => e.kind === 'alarm' && e.state === 'forced')
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    const released = own.find((e) => e.kind === 'lock' && e.state === 'unlocked')
    if (released && (!alarm || released.at < alarm.at))
      return {
        state: 'not judged',
        says: 'The door was released by the controller, so nothing was forced. Do it again.',
        evidence: [released],
      }
    if (alarm) return passed('The forced-open alarm came.', open ? [open, alarm] : [alarm])
    const closed = open && after(own, open, 'leaf', 'closed')
    if (open && closed) return failed('Opened and closed, and no alarm came.', [open, closed])
    return waiting(open ? 'Open. Waiting for the alarm.' : 'Waiting for the leaf.', open ? [open] : [])
  },
  heldOpen: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    if (!('granted' in here)) return here
    const open = after(own, here.granted, 'leaf', 'open')
    if (!open) return waiting('Granted. Open the leaf and keep it open.', [here.granted])
    const window = windowOf(kind)
    const alarm = after(own, open, 'alarm', 'heldOpen')
    if (alarm) return within(seconds(open, alarm), window, kind.seconds, 'The alarm came', [here.granted, open, alarm])
    const closed = after(own, open, 'leaf', 'closed')
    if (closed) {
      const held = seconds(open, closed)
      return held > window.to
        ? failed(`Held open for ${one(held)} s and no alarm came.`, [here.granted, open, closed])
        : {
            state: 'not judged',
            says: `The leaf closed after ${one(held)} s, before the alarm was due. Do it again.`,
            evidence: [open, closed],
          }
    }
    return {
      ...waiting('Keep it open.', [here.granted, open]),
      timing: { label: 'Open since', since: onServerClock(open), ...window },
    }
  },
  breakGlass: (kind, own) => {
    const released = own.find((e) => e.kind === 'granted' || e.kind === 'exit' || e.kind === 'desk')
    if (released)
      return notJudged('A card or a button released the door. Do it again with the break glass alone.', [released])
    const open = find(own, 'leaf', 'open')
    if (!kind.pole)
      return open ? passed('The leaf opened with no card and no button.', [open]) : waiting('Waiting for the leaf.')
    const broken = find(own, 'input', 'active', kind.pole)
    const forced = find(own, 'alarm', 'forced')
    if (forced)
      return failed(`The forced-open alarm came: the controller does not take ${kind.pole} for broken.`, [forced])
    if (open && broken)
      return passed(`${kind.pole} told that it was broken, and the leaf opened without an alarm.`, [broken, open])
    const closed = open && after(own, open, 'leaf', 'closed')
    if (open && closed)
      return failed(`The leaf opened, and ${kind.pole} never told that it was broken.`, [open, closed])
    return broken
      ? waiting('Broken. Push the leaf open.', [broken])
      : waiting(
          open ? `Open. ${kind.pole} has not told that it is broken.` : `Waiting for ${kind.pole}.`,
          open ? [open] : [],
        )
  },
  secondLeaf: (kind, own, events, input) => {
    const start = released(kind.card, own, events, input)
    if ('state' in start) return start
    const evidence = start.evidence
    if (!kind.second) return waiting('Released. Did the second leaf open?', evidence)
    const first = kind.first ? after(own, start.unlocked, 'input', 'active', kind.first) : undefined
    const open = after(own, start.unlocked, 'input', 'active', kind.second)
    if (first && !open)
      return failed(`${kind.first} saw it and not ${kind.second}: the contacts of the two leaves are exchanged.`, [
        ...evidence,
        first,
      ])
    if (!open) {
      const locked = after(own, start.unlocked, 'lock', 'locked')
      return locked
        ? failed(`Released, and ${kind.second} never saw the second leaf open.`, [...evidence, locked])
        : waiting('Released. Open the second leaf.', evidence)
    }
    const closed = after(own, open, 'input', 'idle', kind.second)
    return closed
      ? passed(`${kind.second} saw the second leaf open and close.`, [...evidence, open, closed])
      : waiting('Open. Let it close.', [...evidence, open])
  },
  sensing: (kind, own) => {
    const unlocked = find(own, 'lock', 'unlocked')
    if (!unlocked) return waiting('Waiting for the lock.')
    const told = after(own, unlocked, 'input', 'active', kind.part)
    const open = after(own, unlocked, 'leaf', 'open')
    if (open && (!told || told.at > open.at))
      return failed(`The leaf opened while ${kind.part} still said locked.`, [unlocked, open])
    const locked = after(own, unlocked, 'lock', 'locked')
    if (!told)
      return locked
        ? failed(`Released and locked again, and ${kind.part} said locked all the while.`, [unlocked, locked])
        : waiting(`Released. Waiting for ${kind.part}.`, [unlocked])
    if (kind.contact && !open)
      return locked
        ? notJudged('The leaf was not opened. Do it again.', [unlocked, told, locked])
        : waiting('Unlocked. Open the leaf.', [unlocked, told])
    const closed = open && after(own, open, 'leaf', 'closed')
    if (kind.contact && !closed) return waiting('Open. Let it close.', [unlocked, told])
    const again = after(own, closed ?? told, 'input', 'idle', kind.part)
    if (!locked) return waiting('Closed. Waiting for the lock.', [unlocked, told])
    return again
      ? passed(`${kind.part} said unlocked before the leaf moved, and locked again at the end.`, [
          unlocked,
          told,
          ...(open ? [open] : []),
          ...(closed ? [closed] : []),
          locked,
          again,
        ])
      : waiting(`Locked. ${kind.part} still says unlocked.`, [unlocked, told, locked])
  },
  opener: (kind, own) => {
    const started = find(own, 'output', 'active', kind.part)
    const unlocked = find(own, 'lock', 'unlocked')
    if (started && (!unlocked || started.at < unlocked.at))
      return failed(`${kind.part} started before the lock had let go.`, [started])
    if (!unlocked) return waiting('Waiting for the lock.')
    const open = after(own, unlocked, 'leaf', 'open')
    if (open && (!started || open.at < started.at))
      return notJudged('The leaf was opened before the opener started. Do it again and keep your hands off.', [
        unlocked,
        open,
      ])
    const locked = after(own, unlocked, 'lock', 'locked')
    if (!started)
      return locked
        ? failed(`Released and locked again, and ${kind.part} never started.`, [unlocked, locked])
        : waiting('Released. Waiting for the opener.', [unlocked])
    const told = kind.sensing ? after(own, unlocked, 'input', 'active', kind.sensing) : undefined
    if (kind.sensing && (!told || told.at > started.at))
      return failed(`${kind.part} started while ${kind.sensing} still said locked.`, [unlocked, started])
    const waited = seconds(unlocked, started)
    if (waited < kind.afterS - kind.toleranceS || waited > kind.afterS + kind.toleranceS)
      return failed(`${kind.part} started ${one(waited)} s after the lock; ${kind.afterS} s was wanted.`, [
        unlocked,
        started,
      ])
    if (open)
      return passed(`The lock let go, ${kind.part} started ${one(waited)} s later and moved the leaf.`, [
        unlocked,
        started,
        open,
      ])
    return kind.contact && locked
      ? failed(`${kind.part} started, and the leaf never moved.`, [unlocked, started, locked])
      : waiting(
          `${kind.part} started ${one(waited)} s after the lock. ${kind.contact ? 'Waiting for the leaf.' : 'Did it move the leaf?'}`,
          [unlocked, started],
        )
  },
  input: (kind, own) => {
    const told = find(own, 'input', 'active', kind.part)
    const other = own.find((e) => e.kind === 'input' && e.state === 'active' && e.part !== kind.part)
    if (!told)
      return other
        ? failed(`${other.part ?? 'Another input'} told, and not ${kind.part}: the inputs are exchanged.`, [other])
        : waiting(`Waiting for ${kind.part}.`)
    const moved = kind.quiet
      ? own.find(
          (e) =>
            e.kind === 'granted' ||
            e.kind === 'exit' ||
            e.kind === 'desk' ||
            (e.kind === 'lock' && e.state === 'unlocked') ||
            (e.kind === 'alarm' && e.state !== 'none'),
        )
      : undefined
    if (moved) return failed(`Something came of it: ${moved.says}.`, [told, moved])
    const idle = after(own, told, 'input', 'idle', kind.part)
    return idle
      ? passed(`${kind.part} told, and told again when it was put back.`, [told, idle])
      : waiting(`${kind.part} tells. Put it back.`, [told])
  },
  told: (kind, own) => {
    const other = own.find((e) => e.kind === 'granted' || e.kind === 'exit' || e.kind === 'desk')
    if (other) return notJudged('A card or a button released the door. Do it again from the screen alone.', [other])
    const order = find(own, 'order', 'release')
    if (!order) return waiting('Release it from here.')
    const forced = find(own, 'alarm', 'forced')
    const unlocked = own.find(
      (e) => e.kind === 'lock' && e.state === 'unlocked' && onServerClock(e) >= onServerClock(order) - orderSlackMs,
    )
    if (forced) return failed('The forced-open alarm came although the door was told to let go.', [order, forced])
    if (!unlocked) return waiting('Told. Waiting for the lock.', [order])
    const open = after(own, unlocked, 'leaf', 'open')
    if (open) return passed('Told, released, opened.', [order, unlocked, open])
    const locked = after(own, unlocked, 'lock', 'locked')
    if (kind.contact && locked)
      return failed('Released, but the leaf never opened: is this the lock on that relay?', [order, unlocked, locked])
    return waiting(kind.contact ? 'Released. Open the leaf.' : 'Released. Did the leaf open?', [order, unlocked])
  },
  holds: (_kind, own) => {
    const open = own.find((e) => e.kind === 'leaf' && e.state === 'open')
    return open ? failed('The leaf opened although it should hold.', [open]) : waiting('Pull it, then answer.')
  },
}
