import type { DeviceSheet, Sheets } from '../devices/sheet'
import { sheetOf } from '../devices/sheet'
import { functionFacts } from '../doors/functions'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import type { Cause } from '../readings/causes'
import { wiredPoints, type WiredPoint } from '../wiring/points'
import { onServerClock, type DeviceEvent } from './events'
import type { Proof, Trial } from './records'
import type { Test } from './test'

/** So many events of a failed test are kept with it. */
const mostTold = 60

/** What the controller of a door told since a test began, oldest first. */
export function toldDuring(facts: Facts, trial: Trial): DeviceEvent[] {
  const controller = facts.door[trial.id]?.placement?.controller
  return all(facts, 'event')
    .filter((e) => e.controller === controller && e.kind !== 'gap' && onServerClock(e) >= trial.startedAt - 200)
    .sort((a, b) => a.at - b.at || a.seq - b.seq)
    .slice(-mostTold)
}

/** The device events among what a proof rests on. */
export const eventsOf = (proof: Proof): DeviceEvent[] =>
  proof.evidence.filter(
    (e): e is DeviceEvent => typeof e === 'object' && e !== null && 'kind' in e && 'says' in e && 'seq' in e,
  )

/** Screw of an input: `input 8 (terminal 72)`. */
function screwOf(board: DeviceSheet, port: string): string {
  const terminal = board.terminals.find((t) => t.port === port && t.kind === 'input')
  return terminal ? `${port} (terminal ${terminal.id})` : port
}

/** The likeliest reasons why a test failed, from what the controller told meanwhile. @param told of the whole controller @param others doors on the same controller, for their references */
export function failureCauses(
  door: Door,
  test: Test,
  told: readonly DeviceEvent[],
  board: DeviceSheet,
  sheets: Sheets,
  others: readonly Door[] = [],
): Cause[] {
  const points = wiredPoints(door, board, sheets)
  const scene: Told = { door, points, told, board, others, own: told.filter((e) => e.door === door.id) }
  const asked = askedInput(test, points)
  if (asked) return inputCauses(scene, asked, sheets)
  if (test.cards.length > 0 && !scene.own.some((e) => e.kind === 'granted' || e.kind === 'refused'))
    return readerCauses(scene)
  return lockCauses(scene, sheets)
}

interface Told {
  door: Door
  points: readonly WiredPoint[]
  told: readonly DeviceEvent[]
  board: DeviceSheet
  others: readonly Door[]
  own: readonly DeviceEvent[]
}

/** The input that a test waits for, where it waits for one. */
function askedInput({ judge }: Test, points: readonly WiredPoint[]): WiredPoint | undefined {
  const worked =
    judge.kind === 'exit' || judge.kind === 'desk' || judge.kind === 'input' || judge.kind === 'sensing'
      ? judge.part
      : ''
  const part = judge.kind === 'breakGlass' ? judge.pole : worked
  return points.find((p) => p.part.id === part && functionFacts[p.function].side === 'input')
}

const cableOf = (door: Door, part: string): string => door.cables.find((c) => c.part === part)?.id ?? 'its cable'

function inputCauses(scene: Told, asked: WiredPoint, sheets: Sheets): Cause[] {
  const { door, told, board, points, others } = scene
  const part = asked.part.id
  const should = screwOf(board, asked.port)
  const seen = told.some((e) => e.door === door.id && e.part === part)
  if (seen) return lockCauses(scene, sheets, `${part} is seen on ${should}. `)
  const strays = [
    ...new Set(
      told.filter((e) => e.kind === 'input' && e.state === 'active' && !e.door && e.port).map((e) => e.port ?? ''),
    ),
  ]
  const wrong = strays.map((port): Cause => ({
    rule: 'other-input',
    says: `${part} sits on another input: ${screwOf(board, port)}.`,
    tell: `Move its conductor to ${should}, then test again.`,
  }))
  const elsewhere = told
    .filter((e) => e.part && (e.kind === 'input' || e.kind === 'exit' || e.kind === 'desk'))
    .filter(
      (e) =>
        e.door !== door.id ||
        points.some((p) => p.part.id === e.part && p.part.id !== part && p.function === asked.function),
    )
    .slice(0, 1)
    .map((e): Cause => {
      const ref = others.find((d) => d.id === e.door)?.ref ?? (e.door === door.id ? door.ref : 'another door')
      return {
        rule: 'exchanged',
        says: `What came was ${ref} ${e.part}${e.port ? ` on ${screwOf(board, e.port)}` : ''}: the cables may be exchanged.`,
        tell: `Look which cable really ends on ${should}.`,
      }
    })
  return [
    ...wrong,
    ...elsewhere,
    {
      rule: 'silent-input',
      says: `${strays.length || elsewhere.length ? 'Or nothing' : 'Nothing'} came on ${should}: a conductor of ${cableOf(door, part)} is loose or cut, or ${part} is dead.`,
      tell: `Bridge ${should} to its 0 V at the controller: if it is told now, the fault is in ${cableOf(door, part)} or ${part}.`,
    },
    {
      rule: 'rests-wrong',
      says: `Or ${part} rests ${asked.idle === 'open' ? 'closed' : 'open'} and the plan says ${asked.idle ?? 'open'}.`,
      tell: `Measure across ${part} while nobody works it; then set its rest under Behaviour.`,
    },
  ]
}

function readerCauses({ door, points, told, others }: Told): Cause[] {
  const reader = points.find((p) => functionFacts[p.function].side === 'reader')?.part.id ?? 'the reader'
  const other = told.find((e) => (e.kind === 'granted' || e.kind === 'refused') && e.door !== door.id)
  const ref = others.find((d) => d.id === other?.door)?.ref ?? 'another door'
  const cable = cableOf(door, reader)
  return [
    ...(other
      ? [
          {
            rule: 'exchanged',
            says: `A card was read at ${ref}, ${other.reader}: the readers may be exchanged.`,
            tell: 'Look which reader cable really ends on this door’s port.',
          },
        ]
      : []),
    {
      rule: 'no-read',
      says: `No card came from ${reader}: a data conductor of ${cable} is loose, or ${reader} has no power.`,
      tell: `Does ${reader} light up when it gets a card? Then look at its data conductors, else at its supply.`,
    },
  ]
}

function lockCauses({ door, points, own, board }: Told, sheets: Sheets, seen = ''): Cause[] {
  const lock = points.find((p) => p.function === 'lock' || p.function === 'secondLock')
  const contact = points.find((p) => p.function === 'contact')
  const found: Cause[] = []
  const told = own.some((e) => e.kind === 'lock' && e.state === 'unlocked')
  const opened = own.some((e) => e.kind === 'leaf' && e.state === 'open')
  if (lock && told && !opened) {
    const safe = sheetOf(sheets, lock.part.sheet).lock?.fail === 'safe'
    const should = safe ? 'its volts must go while it is released' : 'its volts must come while it is released'
    found.push({
      rule: 'lock-still',
      says: `${seen}The controller released ${lock.part.id} on ${lock.port}, and the leaf was not seen open: ${lock.part.id} did not let go, or it sits on the other contact of the relay.`,
      tell: `Measure at ${lock.part.id}: ${should}.`,
    })
  }
  if (contact && told && !opened)
    found.push({
      rule: 'contact-silent',
      says: `If the leaf did open, ${contact.part.id} does not see it on ${screwOf(board, contact.port)}.`,
      tell: `Hold the leaf open and measure across ${cableOf(door, contact.part.id)}.`,
    })
  if (lock && !told)
    found.push({
      rule: 'not-released',
      says: `${seen}The controller did not release the door.`,
      tell: 'Look what it holds of this door under Load, and whether somebody told the door to stay shut.',
    })
  return found
}
