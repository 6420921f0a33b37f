import { ofItsDoor, recordKind } from '../job/kind'

/** A signature under a door's record, bound to the head of its chain as it was shown. */
export interface Signature {
  id: string
  door: string
  role: 'engineer' | 'witness'
  name: string
  /** The stroke as SVG path data. */
  stroke: string
  /** Head of the door's chain that the signer saw. */
  head: string
  /** Digest of the proofs and readings it stands on. */
  basis: string
  /** Snags that were open and are accepted by name. */
  snags: string[]
  at: number
}

declare module '../job/facts' {
  interface RecordTypes {
    signature: Signature
  }
}

export const signatureKind = recordKind('signature', {
  once: true,
  fields: {
    id: 'text',
    door: 'text',
    role: 'text',
    name: 'text',
    stroke: 'text',
    head: 'text',
    basis: 'text',
    snags: 'list',
    at: 'number',
  },
  ...ofItsDoor('signature'),
})
