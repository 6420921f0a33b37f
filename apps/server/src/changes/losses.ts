import { all, Keeper, lossesOf, type Loss } from '@rauta/core'
import { sheetsFor, type CommandRequest } from '@rauta/contracts'
import type { Author } from './entry'
import type { JobLog } from './log'

/** What commands would cost signed doors, worked out before they are given. */
export class Losses {
  private readonly keeper = new Keeper()
  constructor(private readonly log: JobLog) {}

  /** @throws Refusal for a command that would not be taken */
  async of(request: CommandRequest, author: Author): Promise<Loss[]> {
    const { facts } = this.log
    const after = await this.log.preview(request, author)
    if (all(facts, 'signature').length === 0) return []
    return lossesOf(this.keeper, facts, after, { before: sheetsFor(facts), after: sheetsFor(after) })
  }
}
