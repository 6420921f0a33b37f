import { card26Hex, cardName } from '../cards/wiegand'
import { accessPointToken, testPrefix } from '../config/wanted'
import type { Config } from '../config/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import { partOf, readersOf, type Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { canonicalJson, digestOf } from '../config/canonical'

/** How a test is judged; `value` is what the events are compared with. */
export type TestKind =
  | { kind: 'beforeLoad' }
  | { kind: 'readerIs'; reader: string; card: string }
  | { kind: 'opens'; card: string; releaseS: number }
  | { kind: 'releaseTime'; card: string; seconds: number; toleranceS: number }
  | { kind: 'refused'; card: string; reason: string }
  | { kind: 'exit' }
  | { kind: 'handle'; alarm: boolean }
  | { kind: 'forced' }
  | { kind: 'heldOpen'; card: string; seconds: number; toleranceS: number }
  | { kind: 'breakGlass' }
  | { kind: 'holds' }

/** A part of the configuration a test depends on: `door.release` is the field `release` of the door's part. */
type Dependency = `door.${string}` | `terminals.${string}` | 'accessPoints'

export interface Test {
  id: string
  title: string
  /** What to do, as one instruction. */
  instruction: string
  /** What should come of it. */
  expect: string
  judge: TestKind
  /** Set where a person has to say whether it passed: the question with its answers. */
  ask: { question: string; yes: string; no: string } | null
  depends: Dependency[]
  cards: string[]
  /** Why this test is not applicable, decided from the records; empty where it is. */
  notApplicable: string
}

/** Tolerance of a timer: a second or a tenth, whichever is more (common practice, no source). */
export const timerToleranceS = (seconds: number): number => Math.max(1, seconds / 10)

/** The tests that a door's hardware and configuration call for, in an order that makes sense while standing there. */
export function scriptFor(facts: Facts, door: Door, sheets: Sheets): Test[] {
  const kit = facts.testCards['kit']
  if (!kit || !door.placement) return []
  const good = cardName(kit.good)
  const goodHex = card26Hex(kit.good)
  const lockPart = partOf(door, 'lock')
  const lock = lockPart && sheetOf(sheets, lockPart.sheet).lock
  const contact = partOf(door, 'contact') !== undefined
  const b = door.behaviour
  const entry = partOf(door, 'entryReader')?.id ?? 'R1'
  const tests: Test[] = [{
    id: 'before-load', title: 'Nothing opens before the first load', instruction: `Present card ${good} at ${entry} and push the leaf.`, expect: 'The controller has been erased and holds nothing: the door must stay shut.',
    judge: { kind: 'beforeLoad' }, ask: { question: 'Did the door stay shut?', yes: 'It stayed shut', no: 'It opened' }, depends: [], cards: [], notApplicable: loadedBefore(facts, door),
  }]
  for (const reader of readersOf(door)) tests.push({
    id: `reader-${reader.id}`, title: `${reader.id} is the one planned`, instruction: `Present card ${good} at ${reader.id}, the ${reader.role === 'entryReader' ? 'entry' : 'exit'} reader.`,
    expect: `The controller must see it at ${door.ref}, ${reader.id}.`, judge: { kind: 'readerIs', reader: reader.id, card: goodHex }, ask: null, depends: ['terminals.readers', 'accessPoints'], cards: [goodHex], notApplicable: '',
  })
  const opening: Dependency[] = ['terminals.readers', 'terminals.lockRelay', 'terminals.contactInput', 'terminals.contactIdle', 'accessPoints']
  tests.push({
    id: 'good-card', title: 'A good card opens it', instruction: `Present card ${good} at ${entry}, open the leaf and let it close.`, expect: contact ? 'Released, opened, closed, locked again, and no alarm.' : 'Released, and locked again.',
    judge: { kind: 'opens', card: goodHex, releaseS: b.releaseS }, ask: contact ? null : { question: 'Did the leaf open?', yes: 'It opened', no: 'It stayed shut' }, depends: opening, cards: [goodHex], notApplicable: '',
  }, {
    id: 'release-time', title: 'Released for the right time', instruction: `Present card ${good} at ${entry} and leave the leaf shut.`, expect: `Locked again after ${b.releaseS} s, give or take ${timerToleranceS(b.releaseS)} s.`,
    judge: { kind: 'releaseTime', card: goodHex, seconds: b.releaseS, toleranceS: timerToleranceS(b.releaseS) }, ask: null, depends: ['door.release', 'terminals.readers', 'terminals.lockRelay'], cards: [goodHex], notApplicable: '',
  }, refusal('unknown-card', 'An unknown card is refused', kit.unknown, 'unknown', entry), refusal('lost-card', 'A lost card is refused', kit.lost, 'lost', entry),
  refusal('hours-card', 'Out of hours is refused', kit.outOfHours, 'hours', entry))
  const exit = partOf(door, 'exit')
  if (exit) tests.push({
    id: 'exit-button', title: 'The exit button opens it', instruction: `Press ${exit.id} and open the leaf.`, expect: 'Released and opened without an alarm.', judge: { kind: 'exit' }, ask: null,
    depends: ['terminals.exitInput', 'terminals.exitIdle', 'terminals.lockRelay', 'terminals.contactInput'], cards: [], notApplicable: contact ? '' : '',
  })
  if (door.handle) tests.push({
    id: 'handle', title: 'The handle opens it', instruction: 'Open the leaf with the handle from the secured side, then let it close.', expect: b.forcedAlarm && contact ? 'It opens; the handle gives no signal, so the forced-open alarm comes.' : 'It opens, and no alarm comes.',
    judge: { kind: 'handle', alarm: b.forcedAlarm }, ask: contact ? null : { question: 'Did the leaf open?', yes: 'It opened', no: 'It stayed shut' }, depends: ['door.forcedAlarm', 'terminals.contactInput', 'terminals.contactIdle'], cards: [], notApplicable: '',
  })
  if (contact && b.forcedAlarm) tests.push({
    id: 'forced', title: 'Forcing the door raises the alarm', instruction: forceInstruction(door, lock?.principle === 'magnetic'), expect: 'The forced-open alarm comes.', judge: { kind: 'forced' }, ask: null,
    depends: ['door.forcedAlarm', 'terminals.contactInput', 'terminals.contactIdle'], cards: [], notApplicable: '',
  })
  if (contact) tests.push({
    id: 'held-open', title: 'Hold it open until it complains', instruction: `Open with card ${good}, then keep the leaf open.`, expect: `Expect the alarm after ${b.heldOpenS} s, give or take ${timerToleranceS(b.heldOpenS)} s.`,
    judge: { kind: 'heldOpen', card: goodHex, seconds: b.heldOpenS, toleranceS: timerToleranceS(b.heldOpenS) }, ask: null, depends: ['door.heldOpen', 'terminals.contactInput', 'terminals.contactIdle', 'terminals.lockRelay'], cards: [goodHex], notApplicable: '',
  })
  const glass = partOf(door, 'breakGlass')
  if (glass) tests.push({
    id: 'break-glass', title: 'The break glass frees the door', instruction: `Operate ${glass.id}, push the leaf open, then put ${glass.id} back.`, expect: 'The leaf opens with no card and no button. Nothing tells the controller why, so a forced-open alarm is expected.',
    judge: { kind: 'breakGlass' }, ask: contact ? null : { question: 'Did the leaf open?', yes: 'It opened', no: 'It stayed shut' }, depends: ['terminals.contactInput', 'terminals.lockRelay'], cards: [], notApplicable: '',
  })
  tests.push({
    id: 'holds', title: 'It holds when locked', instruction: 'With the leaf closed and locked, pull it hard.', expect: 'It must not open.', judge: { kind: 'holds' }, ask: { question: 'Does it hold?', yes: 'It holds', no: 'It opens' },
    depends: ['terminals.lockRelay', 'door.relockDelay'], cards: [], notApplicable: '',
  })
  return tests
}

function refusal(id: string, title: string, card: { facility: number; number: number }, reason: string, entry: string): Test {
  const words: Record<string, string> = { unknown: 'because nobody knows it', lost: 'because it is lost', hours: 'because it is out of hours' }
  return { id, title, instruction: `Present card ${cardName(card)} at ${entry}.`, expect: `Refused, ${words[reason]}.`, judge: { kind: 'refused', card: card26Hex(card), reason }, ask: null, depends: ['terminals.readers', 'accessPoints'], cards: [card26Hex(card)], notApplicable: '' }
}

/** Pushing never opens a powered magnetic lock; a strike gives way to its handle or key. */
function forceInstruction(door: Door, magnetic: boolean): string {
  if (magnetic) return 'A powered magnet does not give way to a push. Pull the lock’s feed at its terminal, push the leaf open, then put the feed back.'
  return door.handle ? 'Open the leaf with the handle, without card or button.' : 'Open the leaf with the mechanical key, without card or button.'
}

function loadedBefore(facts: Facts, door: Door): string {
  const controller = door.placement?.controller ?? ''
  const reach = facts.reach[controller]
  const proved = all(facts, 'proof').some((p) => p.door === door.id && p.test === 'before-load' && p.verdict === 'passed' && p.digest === takingDigest(facts, door))
  if (proved || !reach) return ''
  const loaded = all(facts, 'load').some((l) => l.controller === controller && l.state === 'held' && l.startedAt > reach.erasedAt)
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
  })
}

function valueAt(config: Config, door: Door, path: Dependency): unknown {
  if (path === 'accessPoints') return Object.fromEntries(Object.entries(config).filter(([k]) => k.startsWith(`accessPoint/${door.id}.`)).map(([k, v]) => [k, (v as { door?: unknown }).door ?? null]))
  const [part, field] = path.split('.') as [string, string]
  const value = config[`${part}/${door.id}`]
  return value && typeof value === 'object' && !Array.isArray(value) ? (value[field] ?? null) : null
}

/** Whether the device holds the test cards' parts as wanted: without them no card test can pass. */
export function testCardsHeld(held: Config, wanted: Config): boolean {
  return Object.keys(wanted).filter((k) => k.startsWith(testPrefix)).every((k) => held[k] !== undefined && canonicalJson(held[k]) === canonicalJson(wanted[k]))
}

/** Whether a test card still opens this door by what its device holds: a door is not signed while one does. */
export function testCardsOpen(held: Config, door: Door): boolean {
  const tokens = readersOf(door).map((reader) => `"${accessPointToken(door, reader.id)}"`)
  return Object.entries(held).some(([key, value]) => key.startsWith(`${testPrefix}profile/`) && tokens.some((token) => JSON.stringify(value).includes(token)))
}
