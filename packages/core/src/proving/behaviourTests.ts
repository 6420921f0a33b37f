import { cardData, cardName } from '../cards/card'
import { knowsWho, type AccessPlace } from '../doors/accesspoints'
import { leavingTests } from './leaving'
import {
  contacts,
  dependsOn,
  did,
  leafAsk,
  made,
  opening,
  presenting,
  presentingAlone,
  releasing,
  type Scene,
} from './scene'
import { timerToleranceS, type Test } from './test'

/** Tolerance of a delay that somebody waits out at the door: half a second or a tenth (common practice, no source). */
const delayToleranceS = (seconds: number): number => Math.max(0.5, seconds / 10)

/** Tests of what a door does beyond its plain times; one for each such thing that it is set to. */
export function behaviourTests(scene: Scene): Test[] {
  const at = scene.places.find((p) => knowsWho(p) && !p.leaving)
  return [...preAlarmTest(scene), ...(at ? enteringTests(scene, at) : []), ...hoursTests(scene, at)]
}

function preAlarmTest(scene: Scene): Test[] {
  const { preAlarmS, heldOpenS } = scene.door.behaviour
  if (preAlarmS === undefined || !scene.contact || !scene.at) return []
  const { says, card, cards } = presenting(scene, scene.at)
  const seconds = heldOpenS - preAlarmS
  return [
    made({
      id: 'pre-alarm',
      title: 'A warning comes before the held-open alarm',
      instruction: `${scene.still}${says}, then keep the leaf open.`,
      expect: `Expect the warning after ${seconds} s, give or take ${timerToleranceS(seconds)} s, and the alarm ${preAlarmS} s later.`,
      judge: { kind: 'preAlarm', card, seconds, toleranceS: timerToleranceS(seconds) },
      depends: ['door.preAlarm', 'door.heldOpen', ...dependsOn([...contacts(scene), ...releasing(scene)])],
      cards,
    }),
  ]
}

function enteringTests(scene: Scene, at: AccessPlace): Test[] {
  return [
    ...delayTest(scene, at),
    ...relockTest(scene, at),
    ...aloneTest(scene, at),
    ...reentryTest(scene, at),
    ...passbackTests(scene, at),
  ]
}

function delayTest(scene: Scene, at: AccessPlace): Test[] {
  const { unlockAfterS } = scene.door.behaviour
  if (unlockAfterS === undefined) return []
  const { says, card, cards } = presenting(scene, at)
  const toleranceS = delayToleranceS(unlockAfterS)
  return [
    made({
      id: 'unlock-delay',
      title: 'It lets go after its delay',
      instruction: `${scene.still}${says} and leave the leaf shut.`,
      expect: `The lock lets go ${unlockAfterS} s after the card, give or take ${toleranceS} s.`,
      judge: { kind: 'unlockDelay', card, seconds: unlockAfterS, toleranceS },
      depends: ['behaviour.unlockAfter', ...opening(scene)],
      cards,
      at: at.part.id,
    }),
  ]
}

function relockTest(scene: Scene, at: AccessPlace): Test[] {
  if (scene.door.behaviour.relockAt !== 'opening' || !scene.contact) return []
  const { says, card, cards } = presenting(scene, at)
  return [
    made({
      id: 'relock-opening',
      title: 'It locks again at opening',
      instruction: `${scene.still}${says}, open the leaf and keep it open for some seconds, then let it close.`,
      expect: 'The lock locks again while the leaf is still open.',
      judge: { kind: 'relockAtOpening', card },
      depends: ['behaviour.relockAt', 'door.relockDelay', ...opening(scene)],
      cards,
      at: at.part.id,
    }),
  ]
}

function aloneTest(scene: Scene, at: AccessPlace): Test[] {
  const { pairWithinS } = scene.door.behaviour
  if (pairWithinS === undefined) return []
  const { says, card } = presentingAlone(scene, at)
  return [
    made({
      id: 'alone',
      title: 'One person alone is refused',
      instruction: `${says}, and nobody else for ${pairWithinS} s.`,
      expect: 'Nothing lets go, and in the end it is refused: the second person did not come.',
      judge: { kind: 'alone', card },
      depends: ['behaviour.pairWithin', ...opening(scene)],
      cards: [card],
      at: at.part.id,
    }),
  ]
}

function reentryTest(scene: Scene, at: AccessPlace): Test[] {
  const { reentryS } = scene.door.behaviour
  if (reentryS === undefined) return []
  const { says, card, cards } = presenting(scene, at)
  return [
    made({
      id: 'reentry',
      title: 'Nobody enters twice at once',
      instruction: `${says}, let it lock again, and present the same again within ${reentryS} s.`,
      expect: 'Released the first time, refused the second: too soon.',
      judge: { kind: 'again', card, reason: 'reentry' },
      depends: ['behaviour.reentry', ...opening(scene)],
      cards,
      at: at.part.id,
    }),
  ]
}

function passbackTests(scene: Scene, at: AccessPlace): Test[] {
  const { passback, reentryS } = scene.door.behaviour
  // Where nobody enters twice within a time anyhow, that is the reason which comes first.
  if (passback === undefined) return []
  const { says, card, cards } = presenting(scene, at)
  const refuses = passback === 'refuse'
  const wait = reentryS === undefined ? '' : `, wait ${reentryS} s`
  const out = scene.places.find((p) => p.cards && p.leaving)
  const again: Test = made({
    id: 'passback',
    title: refuses ? 'Who is in is not let in again' : 'Who is in and comes in again is told',
    instruction: `${says}, let it lock again${wait}, and present the same there once more.`,
    expect: refuses
      ? 'Released the first time, refused the second: in already.'
      : 'Released both times; the second time it tells that they were in already.',
    judge: { kind: 'again', card, reason: refuses ? 'passback' : '' },
    depends: ['behaviour.passback', ...opening(scene)],
    cards,
    at: at.part.id,
  })
  if (!out || !refuses) return [again]
  return [
    again,
    made({
      id: 'passback-out',
      title: 'Who went out is let in again',
      instruction: `${says}, then card ${cardName(scene.kit.good)} at ${out.part.id}${wait}, then the same as first once more.`,
      expect: `Released all three times: going out at ${out.part.id} is known.`,
      judge: { kind: 'inOutIn', card, entry: at.part.id, exit: out.part.id },
      depends: ['behaviour.passback', ...opening(scene)],
      cards,
      at: at.part.id,
    }),
  ]
}

function hoursTests(scene: Scene, at: AccessPlace | undefined): Test[] {
  const { freeOn, barredOn, firstPerson } = scene.door.behaviour
  return [
    ...(freeOn === undefined ? [] : [freeTest(scene)]),
    ...(firstPerson && at ? [firstPersonTest(scene, at)] : []),
    ...(barredOn !== undefined && at ? barredTests(scene, at) : []),
  ]
}

const onItsOwn = 'The controller is told to stand as in those hours for this test, and goes back by itself.'

function freeTest(scene: Scene): Test {
  return made({
    id: 'free-hours',
    title: 'Free in its free hours',
    instruction: `${scene.still}Open the leaf from outside with no card and no button. ${onItsOwn}`,
    expect: scene.contact ? 'It opens, and no alarm comes.' : 'It opens.',
    judge: { kind: 'free', contact: !!scene.contact },
    ask: scene.contact ? null : leafAsk,
    depends: ['behaviour.freeOn', ...dependsOn([...releasing(scene), ...contacts(scene)])],
    rehearse: 'free',
  })
}

function firstPersonTest(scene: Scene, at: AccessPlace): Test {
  const { says, card, cards } = presenting(scene, at)
  return made({
    id: 'first-person',
    title: 'The first person frees it',
    instruction: `${scene.still}${says}, open the leaf and let it close; then open it once more with no card. ${onItsOwn}`,
    expect: 'Locked until the first card; after it the door stays free.',
    judge: { kind: 'firstPerson', card, contact: !!scene.contact },
    ask: scene.contact ? null : did('Did it open the second time?', 'It opened', 'It stayed shut'),
    depends: ['behaviour.firstPerson', 'behaviour.freeOn', ...opening(scene)],
    cards,
    at: at.part.id,
    rehearse: 'first',
  })
}

/** Barred hours refuse whoever comes in, and never whoever leaves: each way out that the controller knows is tried. */
function barredTests(scene: Scene, at: AccessPlace): Test[] {
  const name = cardName(scene.kit.good)
  const { says, card } = at.cards
    ? { says: `Present card ${name} at ${at.part.id}`, card: cardData(scene.kit.good) }
    : presenting(scene, at)
  const refused = made({
    id: 'barred-hours',
    title: 'Refused in its barred hours',
    instruction: `${says}. ${onItsOwn}`,
    expect: 'Refused, because the door is barred.',
    judge: { kind: 'barred', card },
    depends: ['behaviour.barredOn', ...opening(scene)],
    cards: [card],
    at: at.part.id,
    rehearse: 'barred',
  })
  const leaving = leavingTests(scene, {
    id: 'barred-exit',
    when: 'in barred hours too',
    aside: onItsOwn,
    expect: 'Released as ever: barred hours keep nobody in.',
    depends: ['behaviour.barredOn'],
    rehearse: 'barred',
  })
  return [refused, ...leaving]
}
