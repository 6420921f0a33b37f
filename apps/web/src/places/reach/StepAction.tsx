import type { ClaimStep } from '@rauta/core'
import { Action } from '../../parts/Action'
import type { StepWords } from './StepList'

/** What is to be done at the step that a taking has come to: accept a firmware, wait, or go on. */
export function StepAction({
  at,
  words,
  firmware,
  onAccept,
  onGoOn,
}: {
  at: ClaimStep
  words: StepWords
  firmware: string
  onAccept: () => Promise<unknown>
  onGoOn: () => Promise<unknown>
}) {
  if (at.name === 'firmware' && at.state === 'waits')
    return <Action label="Accept this firmware" aside={firmware} onPress={onAccept} />
  if (at.state === 'running')
    return <Action label="At work" aside={words[at.name] ?? ''} disabled onPress={() => undefined} />
  return <Action label="Go on" onPress={onGoOn} />
}
