const number = { type: 'number' } as const
const string = { type: 'string' } as const

/** What `rauta volts` takes. Volts, ohms, amps, metres, degrees C. */
export const voltsSchema = {
  type: 'object', required: ['sourceV', 'cable', 'lengthM', 'lock'], additionalProperties: false,
  properties: {
    sourceV: { ...number, exclusiveMinimum: 0 }, sourceOhm: { ...number, minimum: 0 }, lengthM: { ...number, minimum: 0 }, celsius: { ...number, minimum: -40, maximum: 90 },
    cable: { type: 'object', required: ['kind', 'cores'], properties: { kind: { enum: ['iec', 'awg'] }, conductorClass: { enum: [2, 5] }, mm2: { enum: [0.5, 0.75, 1, 1.5, 2.5] }, gauge: { type: 'integer', minimum: 0, maximum: 40 }, cores: { type: 'integer', minimum: 1 } } },
    lock: { type: 'object', required: ['nominalV', 'amps', 'leastV'], properties: { nominalV: { ...number, exclusiveMinimum: 0 }, amps: { ...number, exclusiveMinimum: 0 }, leastV: { ...number, exclusiveMinimum: 0 } } },
  },
} as const

const period = { type: 'object', required: ['days', 'from', 'to'], properties: { days: { type: 'array', items: { type: 'integer', minimum: 1, maximum: 7 } }, from: string, to: string } } as const

/** What `rauta why` takes: a person, a door, a moment, and the rules and schedules that may decide. */
export const whySchema = {
  type: 'object', required: ['zone', 'at', 'door', 'person', 'rules', 'schedules'],
  properties: {
    zone: string, at: string, door: string,
    person: { type: 'object', required: ['name', 'cards', 'groups'], properties: { name: string, groups: { type: 'array', items: string }, cards: { type: 'array', items: { type: 'object', required: ['facility', 'number', 'state'], properties: { facility: number, number, state: { enum: ['in use', 'lost'] } } } } } },
    rules: { type: 'array', items: { type: 'object', required: ['id', 'group', 'doors', 'schedule'] } },
    schedules: { type: 'array', items: { type: 'object', required: ['id', 'name', 'periods'], properties: { periods: { type: 'array', items: period } } } },
    specialDays: { type: 'array', items: { type: 'object', required: ['id', 'date', 'name', 'periods'] } },
    groups: { type: 'array', items: { type: 'object', required: ['id', 'name'] } },
  },
} as const
