import type { Config } from '../config/records'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import type { Proof } from './records'
import { scriptFor, testDigest } from './script'
import type { Test } from './test'

/** Where a test of a door stands now. `proof` is the record that counts. */
export interface Standing {
  test: Test
  state: 'todo' | 'passed' | 'failed' | 'stale' | 'not applicable'
  proof: Proof | null
}

/**
 * Each test with the proof that counts: the newest one whose digest equals both what is wanted and what is held.
 * A pass that no longer equals either is stale; a skipped or not judged one counts for nothing.
 */
export function standings(facts: Facts, door: Door, sheets: Sheets, wanted: Config, held: Config): Standing[] {
  const proofs = all(facts, 'proof')
    .filter((p) => p.door === door.id && p.verdict !== 'skipped' && p.verdict !== 'not judged')
    .sort((a, b) => b.at - a.at)
  return scriptFor(facts, door, sheets).map((test) => {
    const mine = proofs.filter((p) => p.test === test.id)
    const wants = testDigest(facts, door, test, wanted)
    const holds = testDigest(facts, door, test, held)
    const counts = mine.find((p) => p.digest === wants && p.digest === holds)
    if (test.notApplicable && !counts) return { test, state: 'not applicable', proof: null }
    if (counts)
      return {
        test,
        state: counts.verdict === 'passed' || counts.verdict === 'failed' ? counts.verdict : 'not applicable',
        proof: counts,
      }
    const old = mine.find((p) => p.verdict === 'passed')
    return { test, state: old ? 'stale' : 'todo', proof: old ?? null }
  })
}
