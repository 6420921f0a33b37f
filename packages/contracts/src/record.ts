/** A door's record as a file, as `RecordFile` of the core has it. */
const text = { type: 'string' } as const
const hex64 = { type: 'string', pattern: '^[0-9a-f]{64}$' } as const

export const recordFileSchema = {
  type: 'object',
  additionalProperties: false,
  required: ['format', 'job', 'door', 'count', 'head', 'publicKey', 'chain', 'seal'],
  properties: {
    format: { const: 'rauta-record/2' },
    head: hex64,
    publicKey: hex64,
    changes: {
      type: 'array',
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['from', 'to', 'at', 'signed'],
        properties: { from: hex64, to: hex64, at: { type: 'number' }, signed: { type: 'string' } },
      },
    },
    count: { type: 'integer', minimum: 0 },
    seal: { type: 'string', pattern: '^[0-9a-f]{128}$' },
    job: {
      type: 'object',
      additionalProperties: false,
      required: ['name', 'client', 'site', 'zone'],
      properties: { name: text, client: text, site: text, zone: text },
    },
    door: {
      type: 'object',
      additionalProperties: false,
      required: ['id', 'ref', 'name'],
      properties: { id: text, ref: text, name: text },
    },
    chain: {
      type: 'array',
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['id', 'door', 'n', 'previous', 'kind', 'at', 'by', 'body', 'hash', 'signature'],
        properties: {
          id: text,
          door: text,
          n: { type: 'integer', minimum: 1 },
          previous: hex64,
          kind: text,
          at: { type: 'number' },
          by: text,
          body: {},
          hash: hex64,
          signature: { type: 'string' },
        },
      },
    },
  },
} as const
