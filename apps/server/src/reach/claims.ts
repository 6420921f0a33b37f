import { all, put, stepsToDo, type Claim, type ClaimStep, type ClaimStepName } from '@rauta/core'
import type { Context } from '../context'
import { StoreFullError } from '../store/room'
import { failureWords, maybeBack } from '../words'
import type { StepResult, Taking } from './step'
import { takingOf } from './taking'

/** How long a step waits that found only silence, before it is tried again: a greeting may be lost on the way. Milliseconds. */
const retryMs = 10_000

/** Runs each taking step by step; every result is stored before the next begins, so going on is reading. */
export class ClaimRunner {
  private readonly running = new Set<string>()
  private readonly again = new Set<string>()
  private readonly later = new Map<string, () => void>()
  constructor(private readonly context: Context) {
    context.ending.addEventListener('abort', () => {
      for (const forget of this.later.values()) forget()
    })
    context.log.onCommit((entry) => {
      for (const change of entry.changes) {
        const controller = change.kind === 'claim' || change.kind === 'reach' ? change.id : null
        if (controller && entry.by !== 'Rauta' && change.after) this.kick(controller)
      }
    })
  }

  /** After a start: whatever was under way goes on. */
  resume(): void {
    for (const claim of all(this.context.log.facts, 'claim')) {
      const next = claim.steps.find((s) => s.state !== 'done')
      // One that waits for a reset by hand waits for its device's greeting; one that waits for a person asks the same again.
      if (next && next.state !== 'failed' && !(next.state === 'waits' && claim.resetStep >= 0)) this.kick(claim.id)
    }
  }

  /** A device was heard again: those that wait for it go on, unless it has just refused every secret: asking once more would only bring it nearer to shutting itself. */
  heard(found: string): void {
    const closed = this.context.log.facts.found[found]?.ownership === 'closed'
    for (const claim of all(this.context.log.facts, 'claim'))
      if (claim.found === found && !(closed && claim.resetStep >= 0) && claim.steps.some((s) => s.state === 'waits'))
        this.kick(claim.id)
  }

  kick(controller: string): void {
    if (this.running.has(controller)) {
      this.again.add(controller)
      return
    }
    this.running.add(controller)
    void this.run(controller)
      .catch((error: Error) => {
        this.context.logger.error(error)
        if (error instanceof StoreFullError) this.tryLater(controller)
      })
      .finally(() => {
        this.running.delete(controller)
        if (this.again.delete(controller) && !this.context.ending.aborted) this.kick(controller)
      })
  }

  /** Only after silence: asking a device that refuses the secret would make it shut itself. */
  private tryLater(id: string): void {
    this.later.get(id)?.()
    this.later.set(
      id,
      this.context.clock.after(retryMs, () => this.kick(id)),
    )
  }

  private async run(id: string): Promise<void> {
    const { log, ending } = this.context
    for (;;) {
      const claim = log.facts.claim[id]
      const taking = claim && takingOf(this.context, claim)
      const step = claim?.steps.find((s) => s.state !== 'done')
      if (!claim || !taking || !step || step.state === 'failed' || ending.aborted) return
      if (await this.ownSteps(claim, taking)) continue
      if (step.state !== 'waits') await this.mark(id, taking, step.name, { state: 'running', says: 'At work' })
      let silent = false
      const result = await taking
        .do(step.name, log.facts.claim[id] as Claim, ending, (says) =>
          this.mark(id, taking, step.name, { state: 'running', says }),
        )
        .catch((error: unknown): StepResult => {
          silent = maybeBack(error)
          return silent
            ? { state: 'waits', says: `${failureWords(error, taking.ref)} ${taking.goesOn}` }
            : { state: 'failed', says: failureWords(error, taking.ref) }
        })
      if (ending.aborted) return
      await this.mark(id, taking, step.name, result)
      if (silent) this.tryLater(id)
      if (result.state !== 'done') return
    }
  }

  /** Before anything is done the taking is given the steps of the device's own protocol. @returns whether they were other ones */
  private async ownSteps(claim: Claim, { ref, steps }: Taking): Promise<boolean> {
    if (claim.steps.some((s) => s.state !== 'todo')) return false
    if (claim.steps.length === steps.length && claim.steps.every((s, i) => s.name === steps[i])) return false
    await this.context.log.patch('claim', claim.id, `${ref} is taken in ${steps.length} steps`, (c) => ({
      ...c,
      steps: stepsToDo(steps, claim.steps[0]?.at ?? 0),
    }))
    return true
  }

  private mark(
    id: string,
    { ref }: Taking,
    name: ClaimStepName,
    { state, says, forReset = false }: { state: ClaimStep['state']; says: string; forReset?: boolean },
  ): Promise<number> {
    return this.context.log.append('claim.step', `${ref}: ${says}`, (facts, at) => {
      const claim = facts.claim[id]
      if (!claim) return []
      const before = claim.steps.find((s) => s.name === name)
      if (before?.state === state && before.says === says) return []
      // A step that is done has opened the device: no reset is waited for any more.
      const kept = state === 'done' ? -1 : claim.resetStep
      const resetStep = forReset ? Math.max(0, claim.resetStep) : kept
      return [
        put(facts, 'claim', {
          ...claim,
          resetStep,
          steps: claim.steps.map((s) => (s.name === name ? { ...s, state, says, at } : s)),
        }),
      ]
    })
  }
}
