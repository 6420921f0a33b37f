import { cardData, cardName } from '../cards/card'
import type { TestCards } from '../access/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import { serverDecides } from '../doors/abilities'
import { accessPlaces, knowsWho, type AccessPlace } from '../doors/accesspoints'
import { partOf, type Door } from '../doors/door'
import { hasOwnHours } from '../doors/hours'
import type { WiredPoint } from '../wiring/points'
import { behaviourTests } from './behaviourTests'
import { codeTests } from './codeTests'
import { decidingTests } from './decidingTests'
import { forceInstruction } from './forcing'
import { radioTests } from './radioTests'
import { reactionTests } from './reactionTests'
import {
  contacts,
  dependsOn,
  did,
  exits,
  keys,
  leafAsk,
  made,
  points,
  presenting,
  presentingAlone,
  readers,
  releaseBy,
  releasing,
  workIt,
  type RadioHere,
  type ReactionHere,
  type Scene,
} from './scene'
import { timerToleranceS, type Dependency, type Test } from './test'

/** What the tests of a door hang on beside its own hardware. */
export interface Surroundings {
  reactions?: readonly ReactionHere[]
  radio?: readonly RadioHere[]
  /** Why nothing can be tried before the first load any more; empty where it can. */
  loadedBefore?: string
}

/** The tests that a door's hardware and configuration call for, in an order that makes sense while standing there. */
export function testsOf(
  door: Door,
  wired: readonly WiredPoint[],
  kit: TestCards,
  sheets: Sheets,
  { reactions = [], radio = [], loadedBefore = '' }: Surroundings = {},
): Test[] {
  const places = accessPlaces(door, sheets)
  const lock = partOf(door, 'lock')
  const scene: Scene = {
    door,
    kit,
    points: wired,
    reactions,
    radio,
    places,
    at: places.find((p) => knowsWho(p) && !p.leaving) ?? places.find(knowsWho) ?? null,
    magnetic: !!lock && sheetOf(sheets, lock.sheet).lock?.principle === 'magnetic',
    contact: wired.find((p) => p.function === 'contact'),
    still:
      wired.some((p) => p.function === 'opener') &&
      wired.some((p) => p.function === 'lock' || p.function === 'secondLock')
        ? 'Switch the opener off. '
        : '',
  }
  return [
    beforeLoad(scene, loadedBefore),
    ...toldTest(scene),
    ...readerTests(scene),
    ...cardTests(scene),
    ...exitTests(scene),
    ...deskTest(scene),
    ...handleTest(scene),
    ...secondLeafTest(scene),
    ...sensingTests(scene),
    ...openerTest(scene),
    ...forcedTest(scene),
    ...heldOpenTest(scene),
    ...behaviourTests(scene),
    ...codeTests(scene),
    ...decidingTests(scene),
    ...breakGlassTest(scene),
    ...inputTests(scene),
    ...reactionTests(scene),
    ...radioTests(scene),
    holdsTest(scene),
  ]
    .map((test) => (test.cards.length && !test.at ? { ...test, at: scene.at?.part.id ?? '' } : test))
    .map((test) => asCoded(scene, standingFor(door, test)))
}

/** What is presented where a code is asked for hangs on how it is asked for. */
function asCoded({ door, places }: Scene, test: Test): Test {
  const entry = places.some((p) => p.part.id === test.at && !p.leaving)
  const hangs = door.behaviour.code !== undefined && entry && test.judge.kind !== 'beforeLoad'
  return hangs ? { ...test, depends: [...new Set<Dependency>([...test.depends, 'behaviour.code'])] } : test
}

/** A door with hours of its own is made to stand as its test wants it, one that knows who is in forgets where the cards were, and one that asks the server hears it unless the test is of its silence. */
const standingFor = (door: Door, test: Test): Test => {
  const { reentryS, passback } = door.behaviour
  const loaded = test.judge.kind !== 'beforeLoad'
  return {
    ...test,
    rehearse: test.rehearse ?? (loaded && hasOwnHours(door.behaviour) ? 'controlled' : null),
    silence: test.silence ?? (loaded && serverDecides(door) ? 'never' : null),
    forget: loaded && test.cards.length > 0 && (reentryS !== undefined || passback !== undefined),
  }
}

function beforeLoad(scene: Scene, notApplicable: string): Test {
  const instruction = scene.at ? `${presenting(scene, scene.at).says} and push the leaf.` : 'Push the leaf.'
  return made({
    id: 'before-load',
    title: 'Nothing opens before the first load',
    instruction,
    expect: 'The controller has been erased and holds nothing: the door must stay shut.',
    judge: { kind: 'beforeLoad' },
    ask: did('Did the door stay shut?', 'It stayed shut', 'It opened'),
    notApplicable,
  })
}

/** Each reader is the one planned, by a card or, where it has only keys, by a code; one of fingers or faces is asked for neither. */
function readerTests(scene: Scene): Test[] {
  return scene.places.filter(knowsWho).map((place) => {
    const { part, leaving } = place
    const own = readers(scene).filter((p) => p.part.id === part.id)
    const { says, card, cards } = presentingAlone(scene, place)
    return made({
      id: `reader-${part.id}`,
      title: `${part.id} is the one planned`,
      instruction: `${says}. ${part.id} is the ${leaving ? 'exit' : 'entry'} reader.`,
      expect: `The controller must see it at ${scene.door.ref}, ${part.id}.`,
      judge: { kind: 'readerIs', reader: part.id, card },
      depends: [...dependsOn(readers(scene)), 'accessPoints'],
      cards,
      at: part.id,
      proves: keys(own),
    })
  })
}

/** The screen lets it go: it parts the wiring of the lock from everybody's rights, and comes before any card. */
function toldTest(scene: Scene): Test[] {
  if (releasing(scene).length === 0) return []
  return [
    made({
      id: 'told',
      title: 'Released when told',
      instruction: `${scene.still}Release it from here and open the leaf.`,
      expect: scene.contact ? 'The lock lets go, and the leaf opens without an alarm.' : 'The lock lets go.',
      judge: { kind: 'told', contact: !!scene.contact },
      ask: scene.contact ? null : leafAsk,
      depends: dependsOn([...releasing(scene), ...contacts(scene)]),
    }),
  ]
}

function cardTests(scene: Scene): Test[] {
  const { at, contact } = scene
  if (!at) return []
  const { says, card, cards } = presenting(scene, at)
  const { releaseS } = scene.door.behaviour
  const first = releasing(scene)[0]
  const twoContacts = points(scene, 'secondContact').length > 0
  return [
    made({
      id: 'good-card',
      title: at.cards ? 'A good card opens it' : 'The code opens it',
      instruction: `${scene.still}${says}, open the leaf and let it close.`,
      expect: contact ? 'Released, opened, closed, locked again, and no alarm.' : 'Released, and locked again.',
      judge: { kind: 'opens', card, releaseS, contact: twoContacts ? (contact?.part.id ?? '') : '' },
      ask: contact ? null : leafAsk,
      depends: [...dependsOn([...readers(scene), ...releasing(scene), ...contacts(scene)]), 'accessPoints'],
      cards,
      proves: keys([...(first ? [first] : []), ...(contact ? [contact] : [])]),
    }),
    made({
      id: 'release-time',
      title: 'Released for the right time',
      instruction: `${scene.still}${says} and leave the leaf shut.`,
      expect: `Locked again after ${releaseS} s, give or take ${timerToleranceS(releaseS)} s.`,
      judge: { kind: 'releaseTime', card, seconds: releaseS, toleranceS: timerToleranceS(releaseS) },
      depends: ['door.release', ...dependsOn([...readers(scene), ...releasing(scene)])],
      cards,
    }),
    ...(at.cards ? refusals(scene) : []),
    ...longerTest(scene, at),
  ]
}

/** Cards that are refused, each for its own reason. */
function refusals(scene: Scene): Test[] {
  const { kit } = scene
  return [
    refusal(scene, 'unknown-card', 'An unknown card is refused', kit.unknown, 'unknown', 'because nobody knows it'),
    refusal(scene, 'lost-card', 'A lost card is refused', kit.lost, 'lost', 'because it is lost'),
    refusal(scene, 'hours-card', 'Out of hours is refused', kit.outOfHours, 'hours', 'because it is out of hours'),
    ...(kit.ended
      ? [
          refusal(
            scene,
            'ended-right',
            'A right that has ended is refused',
            kit.ended,
            'no rule',
            'because its right has ended',
          ),
        ]
      : []),
    ...(kit.expired
      ? [
          refusal(
            scene,
            'expired-card',
            'An expired card is refused',
            kit.expired,
            'expired',
            'because its time has ended',
          ),
        ]
      : []),
  ]
}

/** Whoever needs longer is released for longer, where the door has such a time and somebody carries such a card. */
function longerTest({ door, kit, ...scene }: Scene, at: AccessPlace): Test[] {
  const { longReleaseS } = door.behaviour
  if (longReleaseS === undefined || !kit.longer || !at.cards) return []
  const all = { ...scene, door, kit }
  const { says, card, cards } = presenting(all, at, kit.longer)
  return [
    made({
      id: 'longer-release',
      title: 'Released longer for who needs it',
      instruction: `${scene.still}${says} and leave the leaf shut.`,
      expect: `Locked again after ${longReleaseS} s, give or take ${timerToleranceS(longReleaseS)} s.`,
      judge: { kind: 'releaseTime', card, seconds: longReleaseS, toleranceS: timerToleranceS(longReleaseS) },
      depends: ['door.longRelease', ...dependsOn([...readers(all), ...releasing(all)])],
      cards,
    }),
  ]
}

function refusal(scene: Scene, id: string, title: string, card: TestCards['good'], reason: string, why: string): Test {
  return made({
    id,
    title,
    instruction: `Present card ${cardName(card)} at ${scene.at?.part.id ?? ''}.`,
    expect: `Refused, ${why}.`,
    judge: { kind: 'refused', card: cardData(card), reason },
    depends: [...dependsOn(readers(scene)), 'accessPoints'],
    cards: [cardData(card)],
  })
}

/** One test for each exit device: which of them was seen counts, not only that the door was released. */
function exitTests(scene: Scene): Test[] {
  const ways = exits(scene)
  return ways.map((point) => {
    const sensor = point.function === 'exitSensor'
    return made({
      id: sensor ? 'exit-sensor' : 'exit-button',
      title: sensor ? 'The exit sensor opens it' : 'The exit button opens it',
      instruction: `${scene.still}${workIt(point)} and open the leaf.`,
      expect: scene.contact ? 'Released and opened without an alarm.' : 'Released, and the leaf opens.',
      judge: { kind: 'exit', part: point.part.id, only: ways.length === 1, contact: !!scene.contact },
      ask: scene.contact ? null : leafAsk,
      depends: dependsOn([point, ...releasing(scene), ...contacts(scene)]),
      proves: [point.key],
    })
  })
}

function deskTest(scene: Scene): Test[] {
  return points(scene, 'deskButton').map((point) => {
    const seconds = point.releaseS ?? scene.door.behaviour.releaseS
    return made({
      id: 'desk-button',
      title: 'The desk button lets somebody in',
      instruction: `${scene.still}Press ${point.part.id} at the desk and leave the leaf shut.`,
      expect: `Released by the desk, locked again after ${seconds} s, give or take ${timerToleranceS(seconds)} s.`,
      judge: { kind: 'desk', part: point.part.id, seconds, toleranceS: timerToleranceS(seconds) },
      depends: dependsOn([point, ...releasing(scene)]),
      proves: [point.key],
    })
  })
}

function handleTest(scene: Scene): Test[] {
  if (!scene.door.handle) return []
  const { forcedAlarm } = scene.door.behaviour
  return [
    made({
      id: 'handle',
      title: 'The handle opens it',
      instruction: 'Open the leaf with the handle from the secured side, then let it close.',
      expect:
        forcedAlarm && scene.contact
          ? 'It opens; the handle gives no signal, so the forced-open alarm comes.'
          : 'It opens, and no alarm comes.',
      judge: { kind: 'handle', alarm: forcedAlarm },
      ask: scene.contact ? null : leafAsk,
      depends: ['door.forcedAlarm', ...dependsOn(contacts(scene))],
    }),
  ]
}

/** The second leaf with its own lock and contact. */
function secondLeafTest(scene: Scene): Test[] {
  const second = points(scene, 'secondContact')[0]
  const own = [...points(scene, 'secondLock'), ...(second ? [second] : [])]
  const by = releaseBy(scene)
  if (own.length === 0 || !by) return []
  return [
    made({
      id: 'second-leaf',
      title: 'The second leaf opens too',
      instruction: `${scene.still}${by.says}, open the second leaf and let it close. Leave the first leaf as it is.`,
      expect: second
        ? `Released, and ${second.part.id} sees the second leaf open and close.`
        : 'Released, and the second leaf opens.',
      judge: { kind: 'secondLeaf', card: by.card, second: second?.part.id ?? '', first: scene.contact?.part.id ?? '' },
      ask: second ? null : did('Did the second leaf open?', 'It opened', 'It stayed shut'),
      depends: [...by.depends, ...dependsOn([...releasing(scene), ...contacts(scene)])],
      cards: by.cards,
      proves: keys(own),
    }),
  ]
}

/** Bolt and contact agree: what senses the lock says unlocked before the leaf moves, and locked once it is shut and locked. */
function sensingTests(scene: Scene): Test[] {
  const by = releaseBy(scene)
  if (!by) return []
  return points(scene, 'lockSensing').map((point) =>
    made({
      id: `sensing-${point.part.id}`,
      title: `${point.part.id} tells whether it is locked`,
      instruction: `${scene.still}${by.says}, open the leaf and let it close.`,
      expect: `${point.part.id} says unlocked before the leaf opens, and locked again at the end.`,
      judge: { kind: 'sensing', part: point.part.id, contact: !!scene.contact },
      depends: [...by.depends, ...dependsOn([point, ...releasing(scene), ...contacts(scene)])],
      cards: by.cards,
      proves: [point.key],
    }),
  )
}

/** The opener of a door that has a lock moves only after the lock has let go. */
function openerTest(scene: Scene): Test[] {
  const by = releaseBy(scene)
  const opener = points(scene, 'opener')[0]
  if (!opener || !by || points(scene, 'lock', 'secondLock').length === 0) return []
  const afterS = opener.afterS ?? 0
  const sensing = points(scene, 'lockSensing')[0]
  return [
    made({
      id: 'opener',
      title: 'The opener waits for the lock',
      instruction: `Switch the opener on. ${by.says} and let it move the leaf.`,
      expect: `The lock lets go first; ${opener.part.id} starts ${afterS} s later.`,
      judge: {
        kind: 'opener',
        part: opener.part.id,
        afterS,
        toleranceS: timerToleranceS(afterS),
        sensing: sensing?.part.id ?? '',
        contact: !!scene.contact,
      },
      ask: scene.contact ? null : did('Did the opener move the leaf?', 'It moved', 'It didn’t'),
      depends: [
        ...by.depends,
        ...dependsOn([opener, ...releasing(scene), ...(sensing ? [sensing] : []), ...contacts(scene)]),
      ],
      cards: by.cards,
      proves: [opener.key],
    }),
  ]
}

function forcedTest(scene: Scene): Test[] {
  if (!scene.contact || !scene.door.behaviour.forcedAlarm) return []
  return [
    made({
      id: 'forced',
      title: 'Forcing the door raises the alarm',
      instruction: forceInstruction(scene),
      expect: 'The forced-open alarm comes.',
      judge: { kind: 'forced' },
      depends: ['door.forcedAlarm', ...dependsOn(contacts(scene))],
    }),
  ]
}

function heldOpenTest(scene: Scene): Test[] {
  if (!scene.contact || !scene.at) return []
  const { says, card, cards } = presenting(scene, scene.at)
  const { heldOpenS } = scene.door.behaviour
  return [
    made({
      id: 'held-open',
      title: 'The held-open alarm comes',
      instruction: `${scene.still}${says}, then keep the leaf open.`,
      expect: `Expect the alarm after ${heldOpenS} s, give or take ${timerToleranceS(heldOpenS)} s.`,
      judge: { kind: 'heldOpen', card, seconds: heldOpenS, toleranceS: timerToleranceS(heldOpenS) },
      depends: ['door.heldOpen', ...dependsOn([...contacts(scene), ...releasing(scene)])],
      cards,
    }),
  ]
}

function breakGlassTest(scene: Scene): Test[] {
  const glass = points(scene, 'emergencyRelease')[0]
  const pole = points(scene, 'glassPole')[0]
  const part = glass?.part ?? pole?.part
  if (!part) return []
  return [
    made({
      id: 'break-glass',
      title: 'The break glass frees the door',
      instruction: `Operate ${part.id}, push the leaf open, then put ${part.id} back.`,
      expect: pole
        ? `The leaf opens with no card and no button. ${part.id} tells the controller that it was broken, so no forced-open alarm comes.`
        : 'The leaf opens with no card and no button. Nothing tells the controller why, so a forced-open alarm is expected.',
      judge: { kind: 'breakGlass', pole: pole?.part.id ?? '' },
      ask: scene.contact ? null : leafAsk,
      depends: dependsOn([...contacts(scene), ...releasing(scene), ...(pole ? [pole] : [])]),
      proves: keys([...(glass ? [glass] : []), ...(pole ? [pole] : [])]),
    }),
  ]
}

/** What only tells: a tamper contact, a spare input, how an alarm panel stands. */
function inputTests(scene: Scene): Test[] {
  const panels = points(scene, 'panelState').map((point) =>
    made({
      id: `panel-${point.part.id}`,
      title: `${point.part.id} tells how the alarm panel stands`,
      instruction: 'Set the alarm panel at its own keypad, and unset it again.',
      expect: `${point.part.id} says that it is set, and then that it is unset.`,
      judge: { kind: 'input', part: point.part.id, quiet: false },
      depends: dependsOn([point]),
      proves: [point.key],
    }),
  )
  const plain = points(scene, 'tamper', 'spare').map((point) => {
    const spare = point.function === 'spare'
    const reacting = scene.reactions.some(({ reaction }) => reaction.part === point.part.id)
    return made({
      id: `${spare ? 'spare' : 'tamper'}-${point.part.id}`,
      title: spare ? `${point.part.id} is a spare input` : `${point.part.id} tells when it is opened`,
      instruction: spare
        ? `Work ${point.part.id} and put it back.`
        : `Open the cover of ${point.part.id} and close it again.`,
      expect: spare
        ? `The controller sees it${reacting ? '' : ', and nothing else comes of it'}.`
        : 'The tamper comes, and goes again.',
      judge: { kind: 'input', part: point.part.id, quiet: spare && !reacting },
      depends: dependsOn([point]),
      proves: [point.key],
    })
  })
  return [...panels, ...plain]
}

function holdsTest(scene: Scene): Test {
  const both = points(scene, 'secondLock').length > 0
  return made({
    id: 'holds',
    title: 'It holds when locked',
    instruction: both
      ? 'With both leaves closed and locked, pull each of them hard.'
      : 'With the leaf closed and locked, pull it hard.',
    expect: 'It must not open.',
    judge: { kind: 'holds' },
    ask: did(both ? 'Do both hold?' : 'Does it hold?', both ? 'They hold' : 'It holds', 'It opens'),
    depends: [...dependsOn(releasing(scene)), 'door.relockDelay'],
  })
}
