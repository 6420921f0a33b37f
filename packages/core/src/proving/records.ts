import { ofItsDoor, recordKind } from '../job/kind'

/** A test that is being done at a door; one at a time, its id is the door's. */
export interface Trial {
  id: string
  test: string
  startedAt: number
  by: string
  /** Boot of the controller when it began; another one voids the test. */
  boot: string
  /** Its controller is still to be made ready for it; what happens until then does not count. */
  waits?: true
}

export type ProofVerdict = 'passed' | 'failed' | 'skipped' | 'not judged' | 'not applicable'

/** One recorded test result, never altered. */
export interface Proof {
  id: string
  door: string
  test: string
  verdict: ProofVerdict
  says: string
  /** Digest of what the result depends on. */
  digest: string
  /** Events that the verdict rests on, whole. */
  evidence: unknown[]
  by: string
  at: number
}

export interface Snag {
  id: string
  door: string
  test: string
  says: string
  owner: string
  openedAt: number
  closedAt: number | null
}

declare module '../job/facts' {
  interface RecordTypes {
    trial: Trial
    proof: Proof
    snag: Snag
  }
}

export const trialKind = recordKind('trial', {
  fields: { id: 'text', test: 'text', startedAt: 'number', by: 'text', boot: 'text', waits: 'flag?' },
})
export const proofKind = recordKind('proof', {
  once: true,
  fields: {
    id: 'text',
    door: 'text',
    test: 'text',
    verdict: 'text',
    says: 'text',
    digest: 'text',
    evidence: 'list',
    by: 'text',
    at: 'number',
  },
  ...ofItsDoor('proof'),
})
export const snagKind = recordKind('snag', {
  fields: {
    id: 'text',
    door: 'text',
    test: 'text',
    says: 'text',
    owner: 'text',
    openedAt: 'number',
    closedAt: 'number or none',
  },
  ...ofItsDoor('snag'),
})
