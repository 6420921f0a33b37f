/** A test that is being done at a door; one at a time, its id is the door's. */
export interface Trial {
  id: string
  test: string
  startedAt: number
  by: string
  /** Boot of the controller when it began; another one voids the test. */
  boot: string
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
