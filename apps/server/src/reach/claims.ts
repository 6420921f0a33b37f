import { all, put, type Claim, type ClaimStepName } from '@rauta/core'
import type { Context } from '../context'
import { failureWords, maybeBack } from '../words'
import { steps } from './steps'

/** Runs each taking step by step; every result is stored before the next begins, so going on is reading. */
export class ClaimRunner {
  private readonly running = new Set<string>()
  private readonly again = new Set<string>()
  constructor(private readonly context: Context) {
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
      if (next?.state === 'running' || next?.state === 'todo') this.kick(claim.id)
    }
  }

  /** A device was heard again: those that wait for it go on. */
  heard(found: string): void {
    for (const claim of all(this.context.log.facts, 'claim')) if (claim.found === found && claim.steps.some((s) => s.state === 'waits')) this.kick(claim.id)
  }

  kick(controller: string): void {
    if (this.running.has(controller)) { this.again.add(controller); return }
    this.running.add(controller)
    void this.run(controller).catch((error: Error) => this.context.logger.error(error)).finally(() => {
      this.running.delete(controller)
      if (this.again.delete(controller) && !this.context.ending.aborted) this.kick(controller)
    })
  }

  private async run(id: string): Promise<void> {
    const { log, ending } = this.context
    for (;;) {
      const claim = log.facts.claim[id]
      const controller = log.facts.controller[id]
      const found = claim && log.facts.found[claim.found]
      const step = claim?.steps.find((s) => s.state !== 'done')
      if (!claim || !controller || !found || !step || step.state === 'failed' || ending.aborted) return
      if (step.state !== 'waits') await this.mark(id, step.name, 'running', 'At work')
      const result = await steps[step.name]({ context: this.context, controller, claim: log.facts.claim[id] as Claim, found, signal: ending })
        .catch((error: unknown) => (maybeBack(error) ? { state: 'waits' as const, says: `${failureWords(error, controller.ref)} It goes on when the device is heard again.` } : { state: 'failed' as const, says: failureWords(error, controller.ref) }))
      if (ending.aborted) return
      await this.mark(id, step.name, result.state, result.says)
      if (result.state !== 'done') return
    }
  }

  private mark(id: string, name: ClaimStepName, state: Claim['steps'][number]['state'], says: string): Promise<number> {
    return this.context.log.append('claim.step', `${this.context.log.facts.controller[id]?.ref}: ${says}`, (facts, at) => {
      const claim = facts.claim[id]
      if (!claim) return []
      const before = claim.steps.find((s) => s.name === name)
      if (before?.state === state && before.says === says) return []
      const byHand = state === 'waits' && says.includes('by hand')
      return [put(facts, 'claim', { ...claim, resetStep: byHand ? Math.max(0, claim.resetStep) : state === 'done' && name === 'identity' ? -1 : claim.resetStep, steps: claim.steps.map((s) => (s.name === name ? { ...s, state, says, at } : s)) })]
    })
  }
}
