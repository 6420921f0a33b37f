import { randomUUID } from 'node:crypto'
import { emptyFacts, type Facts, type Table } from '@rauta/core'
import type { PaperView } from '@rauta/contracts'
import { usualLimits, Workshop, type WorkshopLimits } from '../workshop/workshop'
import type { ListKindName } from './listKinds'
import type { Choice, Taking } from './paperAtHand'

/** A file that somebody brought: it lies read in a process of its own, waiting to be looked through and taken over. */
interface Waiting {
  by: string
  at: number
  workshop: Workshop
}

/** Files kept at once, and how long. They are in memory only: what was not taken over is brought again. */
const most = 4
const keptMs = 30 * 60_000

/** Lists of one kind between being brought and being taken over, each in a process of its own: one that does harm ends its own alone. */
export class Papers {
  private readonly waiting = new Map<string, Waiting>()
  constructor(
    private readonly kind: ListKindName,
    private readonly limits: WorkshopLimits = usualLimits,
  ) {}

  /** @throws WorkError where it is no list, WorkshopError where reading it took more than a list may */
  async bring(bytes: Uint8Array, file: string, by: string, facts: Facts, now: number): Promise<PaperView> {
    return await this.look(by, now, (workshop) =>
      workshop.run('bring', { kind: this.kind, bytes, file, job: tablesOf(facts) }),
    )
  }

  private async look(
    by: string,
    now: number,
    read: (workshop: Workshop) => Promise<Omit<PaperView, 'id'>>,
  ): Promise<PaperView> {
    const id = randomUUID()
    for (const [old, w] of this.waiting) if (now - w.at > keptMs) this.drop(old)
    while (this.waiting.size >= most) this.drop(this.waiting.keys().next().value ?? '')
    const workshop = new Workshop({ ...this.limits, idleMs: keptMs })
    this.waiting.set(id, { by, at: now, workshop })
    try {
      return { id, ...(await read(workshop)) }
    } catch (error) {
      this.drop(id)
      throw error
    }
  }

  /** A list that came from elsewhere than a file, looked through in the same way. */
  async bringTable(table: Table, file: string, by: string, facts: Facts, now: number): Promise<PaperView> {
    return await this.look(by, now, (workshop) =>
      workshop.run('bringTable', { kind: this.kind, table, file, job: tablesOf(facts) }),
    )
  }

  async choose(id: string, by: string, choice: Choice, facts: Facts): Promise<PaperView | null> {
    const view = await this.get(id, by)?.run('choose', { choice, job: tablesOf(facts) })
    return view ? { id, ...view } : null
  }

  /** What is to be taken over now, against the job as it stands; null for a file that is not here any more. */
  async payload(id: string, by: string, facts: Facts): Promise<Taking | null> {
    return (await this.get(id, by)?.run('payload', { job: tablesOf(facts) })) ?? null
  }

  drop(id: string): void {
    this.waiting.get(id)?.workshop.close()
    this.waiting.delete(id)
  }

  close(): void {
    for (const id of [...this.waiting.keys()]) this.drop(id)
  }

  private get(id: string, by: string): Workshop | null {
    const paper = this.waiting.get(id)
    // A process that ended took what it had read with it.
    return paper?.by === by && paper.workshop.alive ? paper.workshop : null
  }
}

/** The tables that a list is looked at against. */
const tablesOf = ({ door, area, columns, sheet, person, group, testCards }: Facts): Facts => ({
  ...emptyFacts(),
  door,
  area,
  columns,
  sheet,
  person,
  group,
  testCards,
})
