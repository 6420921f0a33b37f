import { cardData, cardName } from '../cards/card'
import { contacts, dependsOn, exits, leafAsk, made, opening, releasing, workIt, type Scene } from './scene'
import type { Dependency, Test } from './test'

/** What is to hold nobody who leaves, and how it is brought about for a test. */
export interface Meanwhile extends Partial<Pick<Test, 'rehearse' | 'silence'>> {
  /** Begins the ids: `barred-exit`. */
  id: string
  /** After “X1 lets out”. */
  when: string
  /** Told after what is done. */
  aside: string
  expect: string
  depends: readonly Dependency[]
}

/** Every way out of a door that its controller knows, tried while something else holds that must keep nobody in. */
export function leavingTests(scene: Scene, { id, when, aside, depends, ...meanwhile }: Meanwhile): Test[] {
  const ways = exits(scene)
  const ask = scene.contact ? null : leafAsk
  const title = (part: string) => ({ id: `${id}-${part}`, title: `${part} lets out ${when}` })
  const byDevice = ways.map((point) =>
    made({
      ...title(point.part.id),
      instruction: `${scene.still}${workIt(point)} and open the leaf. ${aside}`,
      judge: { kind: 'exit', part: point.part.id, only: ways.length === 1, contact: !!scene.contact },
      ask,
      depends: [...depends, ...dependsOn([point, ...releasing(scene), ...contacts(scene)])],
      ...meanwhile,
    }),
  )
  const card = cardData(scene.kit.good)
  const byReader = scene.places
    .filter((p) => p.cards && p.leaving)
    .map(({ part }) =>
      made({
        ...title(part.id),
        instruction: `${scene.still}Present card ${cardName(scene.kit.good)} at ${part.id}, open the leaf and let it close. ${aside}`,
        judge: { kind: 'opens', card, releaseS: scene.door.behaviour.releaseS, contact: '' },
        ask,
        depends: [...depends, ...opening(scene)],
        cards: [card],
        at: part.id,
        ...meanwhile,
      }),
    )
  return [...byDevice, ...byReader]
}
