import { moveSteps, type Claim } from '@rauta/core'
import { protocolOf, type Context } from '../context'
import { busTakingOf } from './bus/steps'
import { radioTakingOf } from './radio/steps'
import { stepCalled, type Taking } from './step'
import { steps } from './steps'

/** How a device is taken, or null where the job has it no more. */
export function takingOf(context: Context, claim: Claim): Taking | null {
  const { facts } = context.log
  const controller = facts.controller[claim.id]
  if (!controller) return busTakingOf(context, claim) ?? radioTakingOf(context, claim)
  const found = facts.found[claim.found]
  if (!found) return null
  return {
    ref: controller.ref,
    steps: claim.only === 'network' ? moveSteps : protocolOf(context, controller).steps,
    goesOn: 'It goes on when the device is heard again.',
    do: (step, now, signal) =>
      stepCalled(steps, step, controller.ref)({ context, controller, claim: now, found, signal }),
  }
}
