import { cardData, cardName, type StoredCard } from '../cards/card'
import { keypadEnds, readByCode } from '../access/codes'
import type { TestCards } from '../access/records'
import type { AccessPlace } from '../doors/accesspoints'
import type { Door } from '../doors/door'
import type { PartFunction } from '../doors/functions'
import type { WiredPoint } from '../wiring/points'
import type { Reaction } from '../reactions/records'
import type { Dependency, Test } from './test'

/** A reaction of the door with what is to be said of it. */
export interface ReactionHere {
  reaction: Reaction
  /** `When somebody is let in: H1 for 10 s`. */
  says: string
  /** Door that it lets go; empty where it lets none. */
  lets: string
}

/** A wireless lock of a door, as far as a test has to know of it. */
export interface RadioHere {
  /** Part that is the lock. */
  part: string
  /** Reference of its hub. */
  hub: string
  /** What opens it while its radio is gone; null where nothing does. */
  standby: StoredCard | null
}

/** What the tests of a door are worked out from. */
export interface Scene {
  door: Door
  kit: TestCards
  points: readonly WiredPoint[]
  reactions: readonly ReactionHere[]
  radio: readonly RadioHere[]
  places: readonly AccessPlace[]
  /** Where the cards are presented, or a code is entered; null where nothing of the door tells who is there. */
  at: AccessPlace | null
  magnetic: boolean
  /** Whether the door contact sees the leaf. */
  contact: WiredPoint | undefined
  /** Begins an instruction in which the leaf must not move by itself. */
  still: string
}

/** A test with what most tests have not. */
export const made = (test: Pick<Test, 'id' | 'title' | 'instruction' | 'expect' | 'judge'> & Partial<Test>): Test => ({
  ask: null,
  depends: [],
  cards: [],
  at: '',
  proves: [],
  rehearse: null,
  silence: null,
  forget: false,
  notApplicable: '',
  ...test,
})

export const did = (question: string, yes: string, no: string) => ({ question, yes, no })
export const leafAsk = did('Did the leaf open?', 'It opened', 'It stayed shut')
export const points = (scene: Scene, ...functions: PartFunction[]): WiredPoint[] =>
  scene.points.filter((p) => functions.includes(p.function))
export const dependsOn = (list: readonly WiredPoint[]): Dependency[] =>
  list.map((p): Dependency => `terminals.${p.key}`)
export const keys = (list: readonly WiredPoint[]): string[] => list.map((p) => p.key)

/** Outputs that release the door: its locks, or its opener where it has no lock. */
export function releasing(scene: Scene): WiredPoint[] {
  const locks = points(scene, 'lock', 'secondLock')
  return locks.length ? locks : points(scene, 'opener')
}
export const readers = (scene: Scene): WiredPoint[] => points(scene, 'entryReader', 'exitReader')
export const contacts = (scene: Scene): WiredPoint[] => points(scene, 'contact', 'secondContact')

/** Everything that a released door hangs on. */
export const opening = (scene: Scene): Dependency[] => [
  ...dependsOn([...readers(scene), ...releasing(scene), ...contacts(scene)]),
  'accessPoints',
]

/** Exit devices of the door. */
export const exits = (scene: Scene): WiredPoint[] => points(scene, 'exitButton', 'exitSensor')

/** What is entered after a card, or alone, in words. */
export const entering = (code: string | undefined): string =>
  code === undefined ? 'enter its code' : `enter ${code} and ${keypadEnds}`

/** What an event says was read where the good test code came alone. */
export const byGoodCode = readByCode('rauta-code')

/**
 * A card presented so that it opens, its code entered where one is asked for; a code alone where nothing reads cards. Where two
 * people come in together, the second person's card after it.
 */
export function presenting(
  { door, kit }: Pick<Scene, 'door' | 'kit'>,
  at: AccessPlace,
  first: StoredCard = kit.good,
): { says: string; card: string; cards: string[] } {
  const { pairWithinS, code } = door.behaviour
  if (!at.cards) {
    const says = kit.codes
      ? `Enter ${kit.codes.good} and ${keypadEnds} at ${at.part.id}`
      : `Enter a code at ${at.part.id}`
    return { says, card: byGoodCode, cards: [byGoodCode] }
  }
  const card = cardData(first)
  const besides = code === 'with' && !at.leaving ? ` and ${entering(kit.codes?.good)}` : ''
  const says = `Present card ${cardName(first)} at ${at.part.id}${besides}`
  if (pairWithinS === undefined || at.leaving || !kit.second) return { says, card, cards: [card] }
  return {
    says: `${says} and within ${pairWithinS} s card ${cardName(kit.second)}${besides}`,
    card,
    cards: [card, cardData(kit.second)],
  }
}

/** The same by one person alone, also where two come in together. */
export function presentingAlone({ door, kit: { second: _second, ...kit } }: Scene, at: AccessPlace) {
  return presenting({ door, kit }, at)
}

/** What is done to release the door for a test: a good card, or an exit device where nothing reads cards. Null where neither is there. */
export function releaseBy(scene: Scene): { says: string; card: string; cards: string[]; depends: Dependency[] } | null {
  if (scene.at) {
    return { ...presenting(scene, scene.at), depends: [...dependsOn(readers(scene)), 'accessPoints'] }
  }
  const exit = points(scene, 'exitButton', 'exitSensor')[0]
  return exit ? { says: workIt(exit), card: '', cards: [], depends: dependsOn([exit]) } : null
}

export const workIt = (point: WiredPoint): string =>
  point.function === 'exitSensor' ? `Walk up to ${point.part.id}` : `Press ${point.part.id}`
