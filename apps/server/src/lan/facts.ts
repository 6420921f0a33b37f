/** How phones reach this computer, and how they come to trust it. */
export interface LanFacts {
  origin: string
  trust: string
  fingerprint: string
  addresses: string[]
}
