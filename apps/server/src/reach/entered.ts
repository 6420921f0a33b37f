import { put, type Change, type Claim, type Controller, type Facts } from '@rauta/core'
import type { Secret } from '@rauta/drivers'
import type { Context } from '../context'

// A password that somebody set before, as a person entered it: kept sealed until the device has one of this job, or refuses it.
const sealedAs = (controller: string) => `entered/${controller}`

export const keepEntered = (context: Context, controller: string, secret: Secret): Promise<void> =>
  context.vault.put(sealedAs(controller), JSON.stringify(secret))

export async function enteredSecret(context: Context, controller: Controller): Promise<Secret | null> {
  const sealed = await context.vault.get(sealedAs(controller.id))
  return sealed === null ? null : (JSON.parse(sealed) as Secret)
}

export const forgetEntered = (context: Context, controller: Controller): Promise<void> =>
  context.vault.drop(sealedAs(controller.id))

/** Whether a taking has come to a device that opens to nothing that this job knows. */
export const waitsForPassword = ({ resetStep, steps }: Claim): boolean =>
  resetStep >= 0 && steps.some((s) => s.state === 'waits')

/** The step that waits is gone again. */
export function tryAgain(facts: Facts, controller: string): Change[] {
  const claim = facts.claim[controller]
  if (!claim) return []
  const steps = claim.steps.map((s) => (s.state === 'waits' ? { ...s, state: 'todo' as const, says: '' } : s))
  return [put(facts, 'claim', { ...claim, steps })]
}
