import type { ChainRecord } from '@rauta/core'

/** A door's record as a file: what was planned and proved, and the chain that shows any later edit. */
export interface RecordFile {
  format: 'rauta-record/1'
  job: { name: string; client: string; site: string; zone: string }
  door: { ref: string; name: string }
  /** Hash of the last record. */
  head: string
  publicKey: string
  chain: ChainRecord[]
}

export const recordFileSchema = {
  type: 'object',
  required: ['format', 'job', 'door', 'head', 'publicKey', 'chain'],
  properties: {
    format: { const: 'rauta-record/1' },
    head: { type: 'string' },
    publicKey: { type: 'string' },
    job: { type: 'object', required: ['name'] },
    door: { type: 'object', required: ['ref', 'name'] },
    chain: {
      type: 'array',
      items: {
        type: 'object',
        required: ['id', 'door', 'n', 'previous', 'kind', 'at', 'by', 'body', 'hash', 'signature'],
      },
    },
  },
} as const
