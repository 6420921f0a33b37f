import { actWords, causeFacts, isDriven, isOfInput, isOfPanel, mayFollow } from './causes'
import type { Reaction } from './records'

/** What is wrong with a reaction by itself, whatever else there is: in which field, and how to mend it. */
export function reactionFault(r: Reaction): { field: string; says: string } | null {
  const ofInput = isOfInput(r.when)
  const drives = isDriven(r.then)
  const wrong: [boolean, string, string][] = [
    [ofInput && r.part === undefined, 'part', 'Say which input it is.'],
    [!ofInput && r.part !== undefined, 'part', 'Only an input’s change is of a part.'],
    [
      !causeFacts[r.when].ofSomebody && r.group !== undefined,
      'group',
      'A group can be asked for only where somebody is let in.',
    ],
    [
      !causeFacts[r.when].ofSomebody && r.twice === true,
      'twice',
      'Twice can be asked for only where somebody is let in.',
    ],
    [
      !mayFollow(r.when, r.then),
      'then',
      r.then === 'hold'
        ? `Nothing can be held while it lasts when ${causeFacts[r.when].says}: that is over at once. Drive the output for a time.`
        : `When ${causeFacts[r.when].says}, nothing may ${actWords[r.then]}: whoever does that may be a stranger. Choose something else to follow.`,
    ],
    [drives && r.output === undefined, 'output', 'Say which output it drives.'],
    [!drives && r.output !== undefined, 'output', 'Only an output that is driven is named.'],
    [r.then === 'pulse' && r.seconds === undefined, 'seconds', 'Say for how many seconds.'],
    [r.then !== 'pulse' && r.seconds !== undefined, 'seconds', 'Only an output that is driven for a time has seconds.'],
    [r.then === 'release' && r.lets === undefined, 'lets', 'Say which door it lets go.'],
    [r.then !== 'release' && r.lets !== undefined, 'lets', 'Only a door that is let go is named.'],
    [r.lets === r.door, 'lets', 'A door that lets itself go needs no reaction. Choose another door.'],
    [!isOfPanel(r.then) && r.blind !== undefined, 'blind', 'A word is asked for only where a panel is turned round.'],
  ]
  const found = wrong.find(([is]) => is)
  return found ? { field: found[1], says: found[2] } : null
}
