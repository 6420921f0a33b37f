import { and, asc, eq } from 'drizzle-orm'
import {
  all,
  jobIdentity,
  jobOf,
  recordKinds,
  sameJson,
  type ChainRecord,
  type Facts,
  type RecordKind,
} from '@rauta/core'
import { verifyChain, type SignatureCheck } from '@rauta/core/chain'
import type { Database } from './store'
import type { SetAside } from './facts'
import { chainRecords } from './schema'

/**
 * Compares what the application shows of each door with the door's chain: that the chain is whole, of this job, ends where it is said to end,
 * and that what stands in the facts is what was recorded.
 * @param facts asked anew for each door: the job goes on meanwhile
 */
export async function alteredChains(
  db: Database,
  job: string,
  facts: () => Facts,
  holds: SignatureCheck,
  pause: () => Promise<unknown>,
): Promise<SetAside[]> {
  const found: SetAside[] = []
  for (const { id } of all(facts(), 'head')) {
    await pause()
    const rows = await db
      .select({ data: chainRecords.data })
      .from(chainRecords)
      .where(and(eq(chainRecords.job, job), eq(chainRecords.door, id)))
      .orderBy(asc(chainRecords.n))
    const now = facts()
    const says = differenceOf(
      now,
      id,
      rows.map((r) => r.data),
      holds,
    )
    if (says) found.push({ kind: 'chain', id, says: `${now.door[id]?.ref ?? id}: ${says}` })
  }
  return found
}

function differenceOf(facts: Facts, door: string, chain: readonly ChainRecord[], holds: SignatureCheck): string | null {
  const of = jobOf(facts)
  // More may have been recorded since the rows were read.
  const { n = 0, hash = '' } = facts.head[door] ?? {}
  if (n > chain.length) return null
  const verdict = verifyChain(chain, { publicKey: jobIdentity(of), head: hash, changes: of?.keyChanges ?? [] }, holds)
  if (!verdict.ok) return `its records are not what was signed. ${verdict.says}`
  const last = new Map<string, { kind: RecordKind; body: { id: string } }>()
  for (const record of chain) {
    const kind = kindOf(record)
    const { waited: _waited, ...body } = record.body as { id: string; door?: string; waited?: unknown }
    if (kind && typeof body.id === 'string' && (kind === 'door' || body.door === door))
      last.set(`${kind}/${body.id}`, { kind, body })
  }
  for (const { kind, body } of last.values()) {
    const shown = facts[kind][body.id]
    if (shown !== undefined && !sameJson(shown, body))
      return `what is shown of ${kind} ${body.id} is not what was recorded.`
  }
  return null
}

/** Of which table the record stands in the facts that a chain's record speaks of; null for what speaks of more than one door. */
const kindOf = ({ kind }: ChainRecord): RecordKind | null =>
  kind === 'plan' ? 'door' : (recordKinds.find((k) => k === kind) ?? null)
