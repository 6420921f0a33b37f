/** JSON Schema (2020-12) of a device sheet: what a sheet file must hold. */
export const sheetSchema = {
  type: 'object',
  required: ['id', 'name', 'kind', 'says', 'restA', 'terminals', 'leads', 'atHand'],
  additionalProperties: false,
  properties: {
    id: { type: 'string', pattern: '^[a-z0-9-]+$' },
    name: { type: 'string', minLength: 1 },
    kind: { enum: ['controller', 'reader', 'lock', 'contact', 'exit', 'breakGlass', 'supply'] },
    says: { type: 'string' },
    restA: { type: 'number', minimum: 0 },
    terminals: {
      type: 'array',
      items: {
        type: 'object', required: ['id', 'label', 'kind', 'group', 'port', 'maxConductors'], additionalProperties: false,
        properties: {
          id: { type: 'string' }, label: { type: 'string' }, group: { type: 'string' }, port: { type: 'string' }, maxConductors: { type: 'integer', minimum: 1 },
          kind: { enum: ['reader+', 'reader-', 'd0', 'd1', 'led', 'input', 'inputCommon', 'relayC', 'relayNO', 'relayNC', 'feed+', 'feed-'] },
        },
      },
    },
    leads: {
      type: 'array',
      items: {
        type: 'object', required: ['id', 'name', 'colour', 'kind'], additionalProperties: false,
        properties: { id: { type: 'string' }, name: { type: 'string' }, colour: { type: 'string' }, kind: { enum: ['supply+', 'supply-', 'd0', 'd1', 'led', 'contactA', 'contactB', 'lock+', 'lock-', 'break1', 'break2'] } },
      },
    },
    lock: {
      type: 'object', required: ['principle', 'fail', 'nominalV', 'leastV', 'pullA', 'sensing'], additionalProperties: false,
      properties: {
        principle: { enum: ['magnetic', 'strike'] }, fail: { enum: ['safe', 'secure'] }, nominalV: { type: 'number', exclusiveMinimum: 0 },
        leastV: { type: 'number', exclusiveMinimum: 0 }, pullA: { type: 'number', exclusiveMinimum: 0 }, sensing: { type: 'boolean' },
      },
    },
    controller: { type: 'object', required: ['doors', 'portGroups', 'releaseStepS', 'longestReleaseS', 'factory', 'reset', 'lamps', 'cabinet'] },
    supply: { type: 'object', required: ['volts', 'amps', 'internalOhm'], additionalProperties: false, properties: { volts: { type: 'number' }, amps: { type: 'number' }, internalOhm: { type: 'number' } } },
    atHand: { type: 'array', items: { type: 'string' } },
  },
} as const
