import { cardData, cardName } from '../cards/card'
import { serverDecides } from '../doors/abilities'
import { knowsWho, type AccessPlace } from '../doors/accesspoints'
import type { Decides } from '../doors/door'
import { contacts, dependsOn, exits, leafAsk, made, opening, presenting, releasing, workIt, type Scene } from './scene'
import { timerToleranceS, type Dependency, type Test } from './test'

const keepsSilent = 'Rauta keeps silent for this test, as though it were away, and answers again after it.'

/** At a door that asks the server: that it asks, what it does when nothing answers, and that whoever leaves needs no server. */
export function decidingTests(scene: Scene): Test[] {
  const { decides } = scene.door
  const at = scene.places.find((p) => knowsWho(p) && !p.leaving)
  if (!decides || !serverDecides(scene.door) || !at) return []
  const opens = decides.then === 'opens'
  return [asksTest(scene, at), awayTest(scene, at, decides), ...(opens ? [] : leavingTests(scene))]
}

const unheard: Dependency[] = ['behaviour.decidedBy', 'behaviour.reachFor', 'behaviour.without']

function asksTest(scene: Scene, at: AccessPlace): Test {
  const { says, card, cards } = presenting(scene, at)
  return made({
    id: 'server-decides',
    title: 'The server decides',
    instruction: `${says}.`,
    expect: 'The controller asks the server, and lets in on its word.',
    judge: { kind: 'serverDecides', card },
    depends: ['behaviour.decidedBy', ...opening(scene)],
    cards,
    at: at.part.id,
  })
}

const thenExpects: Readonly<Record<Decides['then'], string>> = {
  knownCards: 'the card still passes, on the controller’s own word',
  staysShut: 'the card is refused',
  opens: 'the door stands open',
}

/** A second more than a timer may be off: the server’s last sign of life may be that old. */
const awayToleranceS = (seconds: number): number => 1 + timerToleranceS(seconds)

function awayTest(scene: Scene, at: AccessPlace, { afterS, then }: Decides): Test {
  const { says, card, cards } = presenting(scene, at)
  const opens = then === 'opens'
  const act = opens ? 'open the leaf with no card and no button' : `${says.charAt(0).toLowerCase()}${says.slice(1)}`
  return made({
    id: 'server-away',
    title: 'Without the server',
    instruction: `${scene.still}Wait until the controller tells that the server is out of reach, then ${act}. ${keepsSilent}`,
    expect: `Out of reach after ${afterS} s, give or take ${awayToleranceS(afterS)} s; then ${thenExpects[then]}.`,
    judge: {
      kind: 'withoutServer',
      card,
      then,
      seconds: afterS,
      toleranceS: awayToleranceS(afterS),
      contact: !!scene.contact,
    },
    ask: opens && !scene.contact ? leafAsk : null,
    depends: [...unheard, ...opening(scene)],
    cards: opens ? [] : cards,
    at: opens ? '' : at.part.id,
    silence: 'begins',
  })
}

/** Nobody who leaves hangs on a server: each way out that the controller knows is tried while it is silent. */
function leavingTests(scene: Scene): Test[] {
  const ways = exits(scene)
  const byDevice = ways.map((point) =>
    made({
      id: `server-away-${point.part.id}`,
      title: `${point.part.id} lets out without the server`,
      instruction: `${scene.still}${workIt(point)} and open the leaf. ${keepsSilent}`,
      expect: 'Released as ever: whoever leaves needs no server.',
      judge: { kind: 'exit', part: point.part.id, only: ways.length === 1, contact: !!scene.contact },
      ask: scene.contact ? null : leafAsk,
      depends: [...unheard, ...dependsOn([point, ...releasing(scene), ...contacts(scene)])],
      silence: 'lasts',
    }),
  )
  const card = cardData(scene.kit.good)
  const byReader = scene.places
    .filter((p) => p.cards && p.leaving)
    .map(({ part }) =>
      made({
        id: `server-away-${part.id}`,
        title: `${part.id} lets out without the server`,
        instruction: `${scene.still}Present card ${cardName(scene.kit.good)} at ${part.id}, open the leaf and let it close. ${keepsSilent}`,
        expect: 'Released as ever: whoever leaves needs no server.',
        judge: { kind: 'opens', card, releaseS: scene.door.behaviour.releaseS, contact: '' },
        ask: scene.contact ? null : leafAsk,
        depends: [...unheard, ...opening(scene)],
        cards: [card],
        at: part.id,
        silence: 'lasts',
      }),
    )
  return [...byDevice, ...byReader]
}
