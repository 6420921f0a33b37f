/** One link of a door's chain. `hash` covers everything but `hash` and `signature`; `signature` is Ed25519 over the hash by the job's key. */
export interface ChainRecord {
  id: string
  door: string
  n: number
  /** Hash of the record before, 64 zeros for the first. */
  previous: string
  /** As the kind of record that it came from says: `plan`, `tick`, `proof`, `signature` ... */
  kind: string
  at: number
  by: string
  body: unknown
  hash: string
  signature: string
}
