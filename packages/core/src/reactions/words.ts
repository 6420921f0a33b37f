import { groupPath } from '../access/groups'
import type { Facts } from '../job/facts'
import { causeFacts } from './causes'
import { twiceWithinS, type Reaction } from './records'

/** `somebody of Night staff is let in twice within 5 s, in Office hours`. */
export function whenWords(facts: Facts, { when, part, group, twice, schedule }: Reaction): string {
  const input: Partial<Record<Reaction['when'], string>> = {
    input: `${part ?? 'an input'} becomes active`,
    inputEnds: `${part ?? 'an input'} goes back to rest`,
  }
  const happens = input[when] ?? causeFacts[when].says
  const who =
    group === undefined ? happens : happens.replace('somebody', `somebody of ${groupPath(facts.group, group)}`)
  return [
    twice ? `${who} twice within ${twiceWithinS} s` : who,
    ...(schedule === undefined ? [] : [`in ${facts.schedule[schedule]?.name ?? schedule}`]),
  ].join(', ')
}

/** `H1 for 10 s`. */
export function thenWords(facts: Facts, { then, output, seconds, lets }: Reaction): string {
  switch (then) {
    case 'pulse':
      return `${output ?? '?'} for ${seconds ?? 0} s`
    case 'hold':
      return `${output ?? '?'} while it lasts`
    case 'setPanel':
      return 'the alarm panel is set'
    case 'unsetPanel':
      return 'the alarm panel is unset'
    case 'release':
      return `${facts.door[lets ?? '']?.ref ?? '?'} is let go`
  }
}

export const reactionWords = (facts: Facts, reaction: Reaction): string =>
  `When ${whenWords(facts, reaction)}: ${thenWords(facts, reaction)}`
