import type { Claim, ClaimStepName } from '@rauta/core'
import { DeviceError } from '@rauta/drivers'

/** What a step came to. `waits` needs a person; the step is tried again when that person has acted. */
export interface StepResult {
  state: 'done' | 'waits' | 'failed'
  says: string
  /** Waits for the device to be reset by hand. */
  forReset?: true
}

export const done = (says: string): StepResult => ({ state: 'done', says })
export const waits = (says: string): StepResult => ({ state: 'waits', says })
export const failed = (says: string): StepResult => ({ state: 'failed', says })

/** The taking of one device, whatever kind it is: how it is called, by which steps it goes, and what each does. */
export interface Taking {
  ref: string
  steps: readonly ClaimStepName[]
  /** Said behind a silence. */
  goesOn: string
  /** @param tell how far a long step is */
  do(
    step: ClaimStepName,
    claim: Claim,
    signal: AbortSignal,
    tell: (says: string) => Promise<unknown>,
  ): Promise<StepResult>
}

/** @throws DeviceError for a step that devices of this kind do not go */
export function stepCalled<S>(steps: Partial<Record<ClaimStepName, S>>, step: ClaimStepName, ref: string): S {
  const found = steps[step]
  if (!found) throw new DeviceError('unsupported', `${ref} knows no step called ${step}.`)
  return found
}
