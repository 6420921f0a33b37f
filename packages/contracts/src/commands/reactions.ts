import {
  all,
  drop,
  put,
  reactionActs,
  reactionCauses,
  reactionFault,
  reactionWords,
  tellingParts,
  drivenParts,
  type Change,
  type Facts,
  type Reaction,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

/** Takes away the reactions that go with something. */
export const withReactions = (facts: Facts, which: (reaction: Reaction) => boolean): Change[] =>
  all(facts, 'reaction')
    .filter(which)
    .flatMap((reaction) => drop(facts, 'reaction', reaction.id))

/** Why a line may turn a panel round blindly. */
const word = { type: 'string', minLength: 4, maxLength: 300, pattern: '\\S' } as const

export const reactionPut = defineCommand<Reaction>()({
  name: 'reaction.put',
  roles: everyFitter,
  schema: object(
    {
      id,
      door: id,
      when: { enum: reactionCauses },
      part: id,
      group: id,
      twice: { const: true },
      schedule: id,
      then: { enum: reactionActs },
      output: id,
      seconds: { type: 'number', minimum: 0.5, maximum: 3600 },
      lets: id,
      blind: word,
    },
    ['part', 'group', 'twice', 'schedule', 'output', 'seconds', 'lets', 'blind'],
  ),
  apply(facts, p, { role }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    const fault = reactionFault(p)
    if (fault) throw new Refusal(fault.says, fault.field)
    if (p.group !== undefined) existing(facts.group[p.group], 'group', p.group)
    if (p.schedule !== undefined) existing(facts.schedule[p.schedule], 'schedule', p.schedule)
    if (p.lets !== undefined) existing(facts.door[p.lets], 'door', p.lets)
    if (p.part !== undefined && !tellingParts(door).some((x) => x.id === p.part))
      throw new Refusal(`${p.part} of ${door.ref} is no input that something can follow. Choose another.`, 'part')
    if (p.output !== undefined && !drivenParts(door).some((x) => x.id === p.output))
      throw new Refusal(`${p.output} of ${door.ref} is no output for a reaction. Choose another.`, 'output')
    const before = facts.reaction[p.id]
    if (before && before.door !== p.door)
      throw new Refusal('A reaction stays at its door. Make a new one at the other.', 'door')
    if (p.blind !== undefined && p.blind !== before?.blind && role !== 'lead')
      throw new Refusal('Only the lead can say why a panel may be turned round blindly. Ask the lead.', 'blind')
    return [put(facts, 'reaction', p)]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door}: ${reactionWords(f, p)}`,
})

export const reactionRemove = defineCommand<{ id: string }>()({
  name: 'reaction.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply: (facts, p) => (existing(facts.reaction[p.id], 'reaction', p.id), drop(facts, 'reaction', p.id)),
  words(f, p) {
    const reaction = f.reaction[p.id]
    return reaction
      ? `${f.door[reaction.door]?.ref ?? ''}: no more, ${reactionWords(f, reaction)}`
      : `Removed the reaction ${p.id}`
  },
})
