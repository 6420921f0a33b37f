import { likeAnother, put, unlike } from '@rauta/core'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'
import { firstRefs } from './manyDoors'

/** Doors that are to behave as another one does, as one change that is taken back as one; how their contacts rest stays. */
export const behaviourCopy = defineCommand<{ from: string; doors: string[] }>()({
  name: 'behaviour.copy',
  roles: everyFitter,
  schema: object({ from: id, doors: { type: 'array', items: id, minItems: 1, maxItems: 5000, uniqueItems: true } }),
  apply(facts, { from, doors }) {
    const { behaviour } = existing(facts.door[from], 'door', from)
    const changed = doors
      .map((which) => existing(facts.door[which], 'door', which))
      .filter((door) => unlike(facts, door.behaviour, behaviour).length > 0)
    if (changed.length === 0) throw new Refusal('Every one of these doors behaves like it already.', 'doors')
    return changed.map((door) => put(facts, 'door', { ...door, behaviour: likeAnother(door.behaviour, behaviour) }))
  },
  words: (facts, { from, doors }) => `${firstRefs(facts, doors)} behave like ${facts.door[from]?.ref ?? from}`,
})
