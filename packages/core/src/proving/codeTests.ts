import { cardData, cardName } from '../cards/card'
import { readByCode } from '../access/codes'
import type { AccessPlace } from '../doors/accesspoints'
import {
  byGoodCode,
  contacts,
  dependsOn,
  entering,
  leafAsk,
  made,
  presenting,
  readers,
  releasing,
  type Scene,
} from './scene'
import type { Dependency, Test } from './test'

/** Tests of a door that asks for a code: without it, with a wrong one, under duress, and alone where that is enough. */
export function codeTests(scene: Scene): Test[] {
  const at = scene.places.find((p) => p.keys && !p.leaving)
  const { code } = scene.door.behaviour
  if (!at || code === undefined) return []
  return code === 'with' ? besideCard(scene, at) : insteadOfCard(scene, at, code === 'instead')
}

/** What an event says was read where a code that nobody has came. */
export const byUnknownCode = readByCode('')

/** A card that nobody knows, or, where nothing reads cards, a code that nobody has. */
export const presentUnknown = ({ kit }: Scene, at: AccessPlace): string =>
  at.cards
    ? `Present card ${cardName(kit.unknown)} at ${at.part.id}`
    : `At ${at.part.id}, ${entering(kit.codes?.unknown)}`

/** As `presenting`, with the code under duress for the good one. */
export function presentingUnderDuress({ door, kit }: Scene, at: AccessPlace) {
  const { codes } = kit
  return presenting({ door, kit: codes ? { ...kit, codes: { ...codes, good: codes.duress } } : kit }, at)
}

const depends = (scene: Scene): Dependency[] => [...dependsOn(readers(scene)), 'accessPoints']

type Own = Pick<Test, 'id' | 'title' | 'instruction' | 'expect' | 'judge'> & Partial<Test>
/** A test at the keypad, with what all of them have. @param card what an event says was read */
const atKeypad = (scene: Scene, at: AccessPlace, card: string, own: Own): Test =>
  made({ depends: depends(scene), cards: [card], at: at.part.id, ...own })

const duressTest = (scene: Scene, at: AccessPlace, card: string, says: string, cards: string[]): Test =>
  atKeypad(scene, at, card, {
    id: 'code-duress',
    title: 'The code under duress opens and tells',
    instruction: `${says}. Leave the leaf shut.`,
    expect: 'Released like any other, with no alarm to be heard, and the duress is told.',
    judge: { kind: 'duress', card },
    cards,
  })

function besideCard(scene: Scene, at: AccessPlace): Test[] {
  const { good, codes } = scene.kit
  const card = cardData(good)
  const duress = presentingUnderDuress(scene, at)
  const present = `Present card ${cardName(good)} at ${at.part.id}`
  return [
    atKeypad(scene, at, card, {
      id: 'code-missing',
      title: 'A card without its code is refused',
      instruction: `${present} and enter nothing.`,
      expect: 'Nothing lets go, and in the end it is refused: no code came.',
      judge: { kind: 'refused', card, reason: 'noCode' },
    }),
    atKeypad(scene, at, card, {
      id: 'code-wrong',
      title: 'A card with a wrong code is refused',
      instruction: `${present} and ${entering(codes?.unknown)}.`,
      expect: 'Refused, because the code is wrong.',
      judge: { kind: 'refused', card, reason: 'wrongCode' },
    }),
    duressTest(scene, at, card, duress.says, duress.cards),
  ]
}

function insteadOfCard(scene: Scene, at: AccessPlace, cardsToo: boolean): Test[] {
  const { codes } = scene.kit
  const enter = (code: string | undefined) => `At ${at.part.id}, ${entering(code)}`
  const alone = atKeypad(scene, at, byGoodCode, {
    id: 'code-alone',
    title: 'A code opens it without a card',
    instruction: `${scene.still}${enter(codes?.good)}, open the leaf and let it close.`,
    expect: scene.contact ? 'Released, opened, closed, locked again, and no alarm.' : 'Released, and locked again.',
    judge: { kind: 'opens', card: byGoodCode, releaseS: scene.door.behaviour.releaseS, contact: '' },
    ask: scene.contact ? null : leafAsk,
    depends: [...depends(scene), ...dependsOn([...releasing(scene), ...contacts(scene)])],
  })
  return [
    ...(cardsToo ? [alone] : []),
    atKeypad(scene, at, byGoodCode, {
      id: 'code-unknown',
      title: 'A code that nobody has is refused',
      instruction: `${enter(codes?.unknown)}.`,
      expect: 'Refused, because nobody has it.',
      judge: { kind: 'refused', card: byUnknownCode, reason: 'unknownCode' },
    }),
    duressTest(scene, at, byGoodCode, enter(codes?.duress), [byGoodCode]),
  ]
}
