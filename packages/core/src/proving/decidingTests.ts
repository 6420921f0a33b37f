import { serverDecides } from '../doors/abilities'
import { knowsWho, type AccessPlace } from '../doors/accesspoints'
import type { Decides } from '../doors/door'
import { leavingTests, type Meanwhile } from './leaving'
import { leafAsk, made, opening, presenting, type Scene } from './scene'
import { timerToleranceS, type Dependency, type Test } from './test'

const keepsSilent = 'Rauta keeps silent for this test, as though it were away, and answers again after it.'

/** At a door that asks the server: that it asks, what it does when nothing answers, and that whoever leaves needs no server. */
export function decidingTests(scene: Scene): Test[] {
  const { decides } = scene.door
  const at = scene.places.find((p) => knowsWho(p) && !p.leaving)
  if (!decides || !serverDecides(scene.door) || !at) return []
  const opens = decides.then === 'opens'
  return [asksTest(scene, at), awayTest(scene, at, decides), ...(opens ? [] : leavingTests(scene, withoutServer))]
}

const unheard: Dependency[] = ['behaviour.decidedBy', 'behaviour.reachFor', 'behaviour.without']

/** Nobody who leaves hangs on a server. */
const withoutServer: Meanwhile = {
  id: 'server-away',
  when: 'without the server',
  aside: keepsSilent,
  expect: 'Released as ever: whoever leaves needs no server.',
  depends: unheard,
  silence: 'lasts',
}

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
