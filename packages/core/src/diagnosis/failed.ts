import { bitsOfText, formatOf, usualFormat } from '../cards/card'
import { readingsOf } from '../cards/detective'
import type { Bits } from '../cards/formats'
import { readSent } from '../cards/orders'
import { awaitedReading } from '../cards/strange'
import { boardOf } from '../devices/board'
import { doorsOn } from '../devices/records'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { functionFacts } from '../doors/functions'
import { all, type Facts } from '../job/facts'
import type { DeviceEvent } from '../proving/events'
import { eventsOf } from '../proving/failure'
import type { Proof } from '../proving/records'
import { scriptFor } from '../proving/script'
import type { Test } from '../proving/test'
import { byRadio } from '../radio/port'
import { wiredPoints, type WiredPoint } from '../wiring/points'
import { noNames, type Names } from './causes'
import type { Failure } from './diagnose'
import type { SubjectId } from './knowledge'

/** A test that failed, with all that was told by its controller meanwhile. */
export interface FailedTest {
  /** Of the proof that says so. */
  proof: string
  door: Door
  test: Test
  /** Of the whole controller, oldest first. */
  told: readonly DeviceEvent[]
  board: DeviceSheet
  /** Reference of the controller. */
  controller: string
  sheets: Sheets
  /** What the controller said of the lock last, before it failed. */
  lockSaid?: DeviceEvent | undefined
  /** Doors on the same controller, for their references. */
  others: readonly Door[]
}

/** The failure that a result tells of; null where it tells of none that Rauta knows causes for, or the door has changed so that its test is gone. */
export function failureOfProof(facts: Facts, proof: Proof, sheets: Sheets): Failure | null {
  const door = facts.door[proof.door]
  const controller = facts.controller[door?.placement?.controller ?? '']
  if (proof.verdict !== 'failed' || !door || !controller) return null
  const test = scriptFor(facts, door, sheets).find((t) => t.id === proof.test)
  if (!test) return null
  return failureOf({
    proof: proof.id,
    door,
    test,
    told: eventsOf(proof),
    lockSaid: newestLock([...all(facts, 'event'), ...eventsOf(proof)], proof),
    board: boardOf(sheets, controller),
    controller: controller.ref,
    sheets,
    others: doorsOn(facts, controller.id),
  })
}

const newestLock = (events: readonly DeviceEvent[], { door, at }: Proof): DeviceEvent | undefined =>
  events
    .filter((e) => e.kind === 'lock' && e.door === door && e.received <= at)
    .sort((a, b) => a.at - b.at || a.seq - b.seq)
    .at(-1)

interface Scene extends FailedTest {
  points: readonly WiredPoint[]
  own: readonly DeviceEvent[]
}

/** What kind of failure it is and what the devices told of it; null where Rauta knows of no causes for it beyond its own words. */
export function failureOf(failed: FailedTest): Failure | null {
  const { door, board, sheets, told } = failed
  const scene: Scene = {
    ...failed,
    points: wiredPoints(door, board, sheets),
    own: told.filter((e) => e.door === door.id),
  }
  const { judge } = failed.test
  if (judge.kind === 'holds' || judge.kind === 'beforeLoad') return leafGives(scene)
  if (judge.kind === 'breakGlass') return glassKeeps(scene, judge.pole)
  const asked = askedInput(scene)
  if (asked && !workSeen(scene, asked)) return inputSilent(scene, asked)
  const card = judge.kind === 'refused' ? undefined : failed.test.cards[0]
  if (card !== undefined && !scene.own.some((e) => e.kind === 'granted')) return cardFailed(scene, card)
  return leafStays(scene)
}

const failure = (scene: Scene, subject: SubjectId, known: Failure['known'], names: Partial<Names>): Failure => ({
  id: scene.proof,
  subject,
  since: 0,
  known,
  names: { ...namesOf(scene), ...names },
})

/** Screw of an input: `input 8 (terminal 72)`. */
function screwOf(board: DeviceSheet, port: string): string {
  const terminal = board.terminals.find((t) => t.port === port && t.kind === 'input')
  return terminal ? `${port} (terminal ${terminal.id})` : port
}
const cableOf = (door: Door, part: string): string => door.cables.find((c) => c.part === part)?.id ?? noNames.cable

const pointOf = ({ points }: Scene, ...functions: readonly string[]): WiredPoint | undefined =>
  points.find((p) => functions.includes(p.function))

function namesOf(scene: Scene): Names {
  const { door, board, controller, test } = scene
  const lock = pointOf(scene, 'lock', 'secondLock')
  const contact = pointOf(scene, 'contact')
  const reader = scene.points.find((p) => functionFacts[p.function].side === 'reader' && p.part.id === test.at)
  return {
    ...noNames,
    controller,
    ...(reader ? { reader: reader.part.id, port: reader.port, cable: cableOf(door, reader.part.id) } : {}),
    ...(lock ? { lock: lock.part.id, lockCable: cableOf(door, lock.part.id), relay: lock.port } : {}),
    ...(contact
      ? {
          contact: contact.part.id,
          contactCable: cableOf(door, contact.part.id),
          contactScrew: screwOf(board, contact.port),
        }
      : {}),
    glass: pointOf(scene, 'emergencyRelease')?.part.id ?? '',
  }
}

const refOf = ({ others, door }: Scene, id: string): string =>
  others.find((d) => d.id === id)?.ref ?? (id === door.id ? door.ref : 'another door')

/** Inputs on which nothing is planned, and something came. */
const strayPort = ({ told }: Scene): string =>
  told.find((e) => e.kind === 'input' && e.state === 'active' && !e.door && e.port)?.port ?? ''

/** The input that a test waits for, where it waits for one. */
function askedInput({ test: { judge }, points }: Scene): WiredPoint | undefined {
  const worked = judge.kind === 'exit' || judge.kind === 'desk' || judge.kind === 'input' || judge.kind === 'sensing'
  return worked ? inputOf(points, judge.part) : undefined
}
const inputOf = (points: readonly WiredPoint[], part: string): WiredPoint | undefined =>
  points.find((p) => p.part.id === part && functionFacts[p.function].side === 'input')

/** Whether its work was told as it should be: active first. A controller that names no exit device has only this one. */
function workSeen({ own, test: { judge } }: Scene, asked: WiredPoint): boolean {
  const unnamed = judge.kind === 'exit' && judge.only
  const first = own.find((e) => e.part === asked.part.id || (unnamed && e.kind === 'exit' && !e.part))
  return first !== undefined && first.state !== 'idle'
}

function inputSilent(scene: Scene, asked: WiredPoint): Failure {
  const { door, board, told, own, points } = scene
  const { id } = asked.part
  const stray = strayPort(scene)
  const other = told.find(
    (e) =>
      e.part &&
      (e.kind === 'input' || e.kind === 'exit' || e.kind === 'desk') &&
      (e.door !== door.id ||
        points.some((p) => p.part.id === e.part && p.part.id !== id && p.function === asked.function)),
  )
  const exchanged = other
    ? `${refOf(scene, other.door)} ${other.part ?? ''}${other.port ? ` on ${screwOf(board, other.port)}` : ''}`
    : ''
  return failure(
    scene,
    'inputSilent',
    { came: cameInstead(own, id, stray, other) },
    {
      part: id,
      cable: cableOf(door, id),
      screw: screwOf(board, asked.port),
      rests: asked.idle ?? 'open',
      reader: id,
      port: screwOf(board, asked.port),
      elsewhere: stray && screwOf(board, stray),
      other: exchanged,
    },
  )
}

function cameInstead(own: readonly DeviceEvent[], part: string, stray: string, other: DeviceEvent | undefined): string {
  if (own.some((e) => e.part === part)) return 'turned'
  if (stray) return 'stray'
  return other ? 'elsewhere' : 'nothing'
}

function cardFailed(scene: Scene, card: string): Failure | null {
  const { own, told, door, points } = scene
  const strange = own.find((e) => e.kind === 'refused' && e.state === 'unknown')
  const bits = strange?.bits ? bitsOfText(strange.bits) : null
  if (bits) {
    const set = points.find((p) => p.part.id === strange?.reader)?.format
    return failure(
      scene,
      'cardStrange',
      { came: cameAs(bits, card, set) },
      { reader: strange?.reader ?? noNames.reader },
    )
  }
  if (own.some((e) => e.kind === 'refused')) return null
  const other = told.find((e) => (e.kind === 'granted' || e.kind === 'refused') && e.door !== door.id)
  return failure(
    scene,
    'readerSilent',
    { came: other ? 'elsewhere' : 'nowhere' },
    { other: other ? `${refOf(scene, other.door)}, ${other.reader}` : '' },
  )
}

/** What bits are beside the card that was awaited, as an answer to what came. @param awaited what the controller compares, hexadecimal */
function cameAs(bits: Bits, awaited: string, set: string = usualFormat): string {
  const format = formatOf(set)
  const less = bits.length < (format?.bits ?? Infinity)
  if (less && bits.every((b) => b === 1)) return 'allOnes'
  if (less && bits.every((b) => b === 0)) return 'allNoughts'
  const likely = awaitedReading(bits, awaited)
  if (likely?.order === 'linesExchanged') return 'exchanged'
  if (likely) return likely.order === 'asSent' ? 'otherwise' : 'turned'
  if (readingsOf(bits, null).some((r) => r.order === 'asSent' && r.cut === 'none' && r.parity)) return 'another'
  if (!format || bits.length !== format.bits) return 'short'
  return readSent(format, 'asSent', bits)?.parity ? 'another' : 'parity'
}

const failsSafe = ({ sheets }: Scene, lock: WiredPoint): boolean =>
  sheetOf(sheets, lock.part.sheet).lock?.fail === 'safe'

/** A wired lock; one by radio has no volts to look at. */
function wiredLock(scene: Scene): WiredPoint | undefined {
  const lock = pointOf(scene, 'lock', 'secondLock')
  return lock && !byRadio(lock.part, scene.sheets) ? lock : undefined
}

function leafStays(scene: Scene): Failure | null {
  const { own, told, door, board } = scene
  const lock = wiredLock(scene)
  const released = own.find((e) => e.kind === 'lock' && e.state === 'unlocked')
  const moved = released && own.find((e) => e.kind === 'leaf' && e.at >= released.at)
  if (!lock || !released || moved?.state === 'open') return null
  const other = told.find((e) => e.kind === 'leaf' && e.state === 'open' && e.door !== door.id && e.at >= released.at)
  const stray = strayPort(scene)
  const elsewhere = { other: other ? refOf(scene, other.door) : '', elsewhere: stray && screwOf(board, stray) }
  const otherLeaf = other ? 'opened' : 'shut'
  const safe = failsSafe(scene, lock)
  if (!pointOf(scene, 'contact'))
    return failure(scene, safe ? 'leafStaysUnseenSafe' : 'leafStaysUnseenSecure', { otherLeaf }, elsewhere)
  const known = { otherLeaf, leafTold: moved ? 'turned' : 'still', stray: stray ? 'came' : 'nothing' }
  return failure(scene, safe ? 'leafStaysSafe' : 'leafStaysSecure', known, elsewhere)
}

function leafGives(scene: Scene): Failure | null {
  const lock = wiredLock(scene)
  if (!lock) return null
  const last = scene.lockSaid
  const known: Failure['known'] = last ? { lockTold: last.state === 'unlocked' ? 'unlocked' : 'locked' } : {}
  if (!failsSafe(scene, lock)) return failure(scene, 'leafGivesSecure', known, {})
  return failure(scene, pointOf(scene, 'emergencyRelease') ? 'leafGivesSafe' : 'leafGivesNoGlass', known, {})
}

/** Where the leaf came free and only the second pole was not told, it is an input; else the glass frees nobody. */
function glassKeeps(scene: Scene, pole: string): Failure | null {
  const { own, points } = scene
  const asked = inputOf(points, pole)
  const free = own.some((e) => e.kind === 'leaf' && e.state === 'open')
  if (free && asked && !workSeen(scene, asked)) return inputSilent(scene, asked)
  if (free || !wiredLock(scene) || !pointOf(scene, 'emergencyRelease')) return null
  return failure(scene, pointOf(scene, 'contact') ? 'glassKeeps' : 'glassKeepsUnseen', {}, {})
}
