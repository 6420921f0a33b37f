import { all, mustBeDoneAgain, type Facts, type Loss } from '@rauta/core'
import type { CommandName, CommandRequest } from '@rauta/contracts'
import { create } from 'zustand'
import { AwayError, post } from './api'

/** A change that would cost signed doors marks waits for somebody's word. */
interface Asking {
  losses: readonly Loss[]
  answer(goOn: boolean): void
}
export const useCosts = create<{ asking: Asking | null }>(() => ({ asking: null }))

/** Somebody left a change that was asked about: nothing was sent, what was typed stays. */
export class LeftError extends Error {
  constructor() {
    super('Left as it is. Nothing was changed.')
  }
}

/** What is recorded at a door, or done to a device, is what it is: nobody is asked about that. */
const recorded: ReadonlySet<string> = new Set([
  'tick.set',
  'core.tick',
  'reading.add',
  'meter.zero',
  'photo.add',
  'cabinet.check',
  'trial.start',
  'trial.answer',
  'snag.set',
  'look.answer',
  'sign',
  'question.settle',
  'procured.set',
  'found.match',
  'claim.start',
  'claim.agreeErase',
  'claim.compare',
  'claim.resetStep',
  'firmware.accept',
  'load.start',
  'load.stop',
  'testCards.put',
  'door.testCardsOff',
] satisfies CommandName[])
const previewMs = 5000

/** Shows what doors would lose of what was done there, if anything, and waits. @throws LeftError */
export async function askAbout(lost: readonly Loss[]): Promise<void> {
  const losses = lost.filter(mustBeDoneAgain)
  if (losses.length === 0) return
  await new Promise<void>((goOn, leave) => {
    useCosts.setState({
      asking: {
        losses,
        answer(yes) {
          useCosts.setState({ asking: null })
          if (yes) goOn()
          else leave(new LeftError())
        },
      },
    })
  })
}

/** Before a change of the plan is sent: what it would cost doors that were signed, for somebody to say yes to. Without the server it can't be told. @throws LeftError, ProblemError */
export async function askFirst(facts: Facts, request: CommandRequest): Promise<void> {
  if (recorded.has(request.name) || all(facts, 'signature').length === 0) return
  let losses: Loss[]
  try {
    losses = (await post<{ losses: Loss[] }>('/commands/preview', request, previewMs)).losses
  } catch (error) {
    if (error instanceof AwayError) return
    throw error
  }
  await askAbout(losses)
}
