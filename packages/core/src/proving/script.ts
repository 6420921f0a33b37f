import { reachedWhole } from '../config/loads'
import { isTestPart, partKey } from '../config/parts'
import { asObject, plainWords } from '../config/parts/kind'
import type { Config } from '../config/records'
import { boardOf } from '../devices/board'
import type { Sheets } from '../devices/sheet'
import { formatName, usualFormat } from '../cards/card'
import { keptAs, sendingName } from '../cards/sending'
import { accessPlaces, accessPointToken } from '../doors/accesspoints'
import { partDeviceId, type Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { stop, warn, type Finding } from '../job/finding'
import { hasLimitedRights } from '../config/rightLimits'
import { canonicalJson, digestOf } from '../config/canonical'
import type { TestCards } from '../access/records'
import { functionFacts } from '../doors/functions'
import { wiredPoints } from '../wiring/points'
import { reactionsAt } from '../reactions/records'
import { reactionWords, whenWords } from '../reactions/words'
import { drivenBy, reactingParts } from '../reactions/causes'
import type { ReactionHere } from './scene'
import { radioToProve } from './radioTests'
import { testsOf } from './tests'
import type { Dependency, Test } from './test'

/** The tests of a door as the job stands: none while it is on no controller, or while the job has no test cards. */
export function scriptFor(facts: Facts, door: Door, sheets: Sheets): Test[] {
  const kit = facts.testCards['kit']
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!kit || !controller) return []
  const board = boardOf(sheets, controller)
  const { ended, ...others } = kit
  const ends = ended && board.controller?.limitedRights && hasLimitedRights(facts, door)
  const cards = ends ? kit : others
  const wired = wiredPoints(door, board, sheets)
  return testsOf(door, wired, cards, sheets, {
    reactions: reactionsToProve(facts, door),
    radio: radioToProve(facts, door, sheets),
    loadedBefore: loadedBefore(facts, door),
  })
}

const reactionsToProve = (facts: Facts, door: Door): ReactionHere[] =>
  reactionsAt(facts, door.id).map((reaction) => ({
    reaction,
    says: reactionWords(facts, reaction),
    lets: facts.door[reaction.lets ?? '']?.ref ?? '',
  }))

/** Stands for the test cards where a job has none yet: which tests there are does not hang on their numbers. */
const anyKit: TestCards = {
  id: 'kit',
  good: { facility: 0, number: 0 },
  lost: { facility: 0, number: 1 },
  outOfHours: { facility: 0, number: 2 },
  unknown: { facility: 0, number: 3 },
  codes: { good: '', duress: '', unknown: '' },
}

/** Wired points that no test of the door's script would prove: each is a stop, so that nothing is signed unproved. */
export function untestedFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller) return []
  const points = wiredPoints(door, boardOf(sheets, controller), sheets)
  const tests = testsOf(door, points, anyKit, sheets, { reactions: reactionsToProve(facts, door) })
  const proved = new Set(tests.flatMap((t) => t.proves))
  // What no reaction drives is told at Load.
  const reactions = reactionsAt(facts, door.id)
  const driven = new Set(reactions.map((r) => drivenBy(door, r)?.id))
  const idle = new Set(reactingParts(door).flatMap((p) => (driven.has(p.id) ? [] : [p.id])))
  const unproved = reactions
    .filter((r) => !tests.some((t) => t.id === `reaction-${r.id}`))
    .map((r) =>
      stop(
        'plan',
        'untested',
        `No test would prove what follows when ${whenWords(facts, r)}: nothing at this door brings that about. Plan what does, or take the reaction away.`,
      ),
    )
  const unseen = points
    .filter((p) => p.function !== 'feed' && !proved.has(p.key) && !idle.has(p.part.id))
    .map((p) => {
      const side = functionFacts[p.function].side
      const why =
        side === 'reader'
          ? 'it reads neither cards nor, at the way in, codes, and Rauta cannot prove fingers or faces yet'
          : 'nothing at this door can release it for a test'
      return stop(
        'plan',
        'untested',
        `No test would prove ${p.part.id}, the ${functionFacts[p.function].says}: ${why}. Choose another device.`,
        p.part.id,
      )
    })
  return [...unseen, ...unproved]
}

/** What the test cards cannot prove: readers that take no card of their format, whose tests would wait for ever, and longer times without a card for them. */
export function kitFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const kit = facts.testCards['kit']
  if (!kit) return []
  const has = kit.good.format ?? usualFormat
  const { longReleaseS, pairWithinS } = door.behaviour
  const lacks = (rule: string, lacking: boolean, says: string) => (lacking ? [warn('plan', rule, says)] : [])
  const unproved = [
    ...lacks(
      'kit-longer',
      longReleaseS !== undefined && !kit.longer && door.behaviour.code !== 'alone',
      'Nothing proves its longer release: there is no test card for who needs longer. Add one, under Job.',
    ),
    ...lacks(
      'longer-by-code',
      longReleaseS !== undefined && door.behaviour.code === 'alone',
      'Nothing proves its longer release: the test cards have one code, and that is for the usual one.',
    ),
    ...lacks(
      'kit-ended',
      hasLimitedRights(facts, door) && !kit.ended,
      'Nothing proves that a right ends here by itself: there is no test card whose right has ended. Add one, under Job.',
    ),
    ...lacks(
      'kit-second',
      pairWithinS !== undefined && !kit.second,
      'Two people come in here together, and there is one good test card: no test of a card can pass. Add a second, under Job.',
    ),
  ]
  const others = lacks(
    'kit-others',
    !kit.second && reactionsAt(facts, door.id).some((r) => r.group !== undefined),
    'A reaction here is for one group, and nothing proves that it keeps still for others: there is no second good test card. Add one, under Job.',
  )
  const { code } = door.behaviour
  const codeless = lacks(
    'kit-codes',
    code !== undefined && !kit.codes,
    'A code is asked for here, and the test cards have none: no test of it can pass. Give them codes, under Job.',
  )
  const strange = accessPlaces(door, sheets)
    .filter(({ part, cards }) => cards && keptAs(facts, part.format) !== has)
    .map(({ part }) =>
      warn(
        'plan',
        'kit-format',
        `${part.id} reads cards of ${sendingName(facts, part.format)}, and the test cards are of ${formatName(has)}: no test of a card can pass there. Take test cards of its format, under Job.`,
        part.id,
      ),
    )
  return [...unproved, ...others, ...codeless, ...strange]
}

function loadedBefore(facts: Facts, door: Door): string {
  const controller = door.placement?.controller ?? ''
  const reach = facts.reach[controller]
  const proved = all(facts, 'proof').some(
    (p) =>
      p.door === door.id &&
      p.test === 'before-load' &&
      p.verdict === 'passed' &&
      p.digest === takingDigest(facts, door),
  )
  if (proved || !reach) return ''
  const loaded = all(facts, 'load').some(
    (l) => l.controller === controller && reachedWhole(l) && l.startedAt > reach.erasedAt,
  )
  return loaded ? 'The controller was loaded before this could be tried.' : ''
}

/** Bound to the taking of the device, not to a configuration. */
function takingDigest(facts: Facts, door: Door): string {
  const reach = facts.reach[door.placement?.controller ?? '']
  return digestOf({ test: 'before-load', serial: reach?.serial ?? '', erasedAt: reach?.erasedAt ?? 0 })
}

/** Digest of all that a test's result depends on, taken from one configuration (wanted or held). */
export function testDigest(facts: Facts, door: Door, test: Test, config: Config): string {
  if (test.judge.kind === 'beforeLoad') return takingDigest(facts, door)
  const reach = facts.reach[door.placement?.controller ?? '']
  return digestOf({
    test: test.id,
    parts: door.parts.map((p) => `${p.id} ${p.sheet}`),
    values: Object.fromEntries(test.depends.map((path) => [path, valueAt(config, door, path)])),
    cards: test.cards,
    serial: reach?.serial ?? '',
    firmware: reach?.firmware ?? '',
    ...ownSerial(facts, door, test),
  })
}

/** Serial of the reader at which the card is presented, where it was taken into service for itself: one that is replaced is proved anew. */
function ownSerial(facts: Facts, door: Door, { at }: Test): { readerSerial?: string } {
  const reach = at && facts.reach[partDeviceId(door.id, at)]
  return reach ? { readerSerial: reach.serial } : {}
}

function valueAt(config: Config, door: Door, path: Dependency): unknown {
  if (path === 'accessPoints')
    return Object.fromEntries(
      Object.entries(config)
        .filter(([k]) => k.startsWith(partKey('accessPoint', accessPointToken(door, ''))))
        .map(([k, v]) => [k, (v as { door?: unknown }).door ?? null]),
    )
  const dot = path.indexOf('.')
  const field = path.slice(dot + 1)
  const value = asObject(config[partKey(path.slice(0, dot), door.id)])[field] ?? null
  // What a reader's own format says is a part of how it reads.
  const sends = config[partKey('cardFormat', plainWords(asObject(value)['format']))]
  return sends === undefined ? value : { value, sends }
}

/** Whether the device holds the test cards' parts as wanted: without them no card test can pass. */
export function testCardsHeld(held: Config, wanted: Config): boolean {
  return Object.keys(wanted)
    .filter(isTestPart)
    .every((k) => held[k] !== undefined && canonicalJson(held[k]) === canonicalJson(wanted[k]))
}

/** Whether a test card still opens this door by what its device holds: a door is not signed while one does. */
export function testCardsOpen(held: Config, door: Door): boolean {
  const token = `"${accessPointToken(door, '')}`
  return Object.entries(held).some(
    ([key, value]) => key.startsWith(partKey('profile', '', true)) && JSON.stringify(value).includes(token),
  )
}
