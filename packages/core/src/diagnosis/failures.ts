import type { Sheets } from '../devices/sheet'
import { all, type Facts } from '../job/facts'
import type { Failure } from './diagnose'
import { failureOfProof } from './failed'
import type { Answers } from './reasoning'
import { deviceOfFailure, silentDevice } from './silent'

/** A failure by its id, as it stands now; null where there is none any more. */
export function failureNamed(facts: Facts, id: string, sheets: Sheets): Failure | null {
  const device = deviceOfFailure(id)
  if (device !== null) return silentDevice(facts, device)
  const proof = Object.hasOwn(facts.proof, id) ? facts.proof[id] : undefined
  return proof ? failureOfProof(facts, proof, sheets) : null
}

/** What was answered for a failure since it began, by look. */
export const answersFor = (facts: Facts, { id, since }: Failure): Answers =>
  Object.fromEntries(
    all(facts, 'looked')
      .filter((l) => l.failure === id && l.at > since)
      .map((l) => [l.look, l.answer]),
  )
