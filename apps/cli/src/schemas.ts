import { cardStates } from '@rauta/core'
import { datePattern, macPattern, object, timePattern, wordPattern } from '@rauta/contracts'

const number = { type: 'number' } as const
const string = { type: 'string', minLength: 1, maxLength: 200, pattern: wordPattern } as const
const loose = { type: 'string', maxLength: 200 } as const

const positive = { ...number, exclusiveMinimum: 0 } as const
const amount = { ...number, minimum: 0 } as const
const flag = { type: 'boolean' } as const
const make = {
  cores: { type: 'integer', minimum: 1 },
  perConductor: { type: 'integer', minimum: 1, maximum: 4 },
  clad: flag,
} as const
const cable = {
  type: 'object',
  required: ['kind', 'cores'],
  additionalProperties: false,
  properties: {
    kind: { enum: ['iec', 'awg'] },
    conductorClass: { enum: [2, 5] },
    mm2: { ...number, minimum: 0.05, maximum: 120 },
    gauge: { type: 'integer', minimum: 0, maximum: 40 },
    ...make,
  },
} as const
const consumer = {
  type: 'object',
  required: ['kind'],
  additionalProperties: false,
  properties: {
    kind: { enum: ['current', 'resistance', 'power'] },
    amps: amount,
    ohm: positive,
    watts: amount,
    efficiency: { ...positive, maximum: 1 },
    cutOffV: positive,
  },
  allOf: [
    ['current', ['amps']],
    ['resistance', ['ohm']],
    ['power', ['watts', 'cutOffV']],
  ].map(([kind, required]) => ({ if: { properties: { kind: { const: kind } } }, then: { required } })),
} as const

/** What `rauta volts` takes: one run with a lock at its end, or a whole tree. Volts, ohms, amps, watts, metres, degrees C. */
export const voltsSchema = {
  type: 'object',
  required: ['sourceV'],
  additionalProperties: false,
  properties: {
    sourceV: positive,
    sourceOhm: amount,
    celsius: { ...number, minimum: -40, maximum: 90 },
    cable,
    lengthM: amount,
    lock: {
      type: 'object',
      required: ['nominalV', 'amps', 'leastV'],
      additionalProperties: false,
      properties: {
        nominalV: positive,
        amps: positive,
        leastV: positive,
        current: { enum: ['direct', 'alternating'] },
      },
    },
    nodes: {
      type: 'array',
      minItems: 1,
      maxItems: 20_000,
      items: {
        type: 'object',
        required: ['id', 'from'],
        additionalProperties: false,
        properties: {
          id: string,
          from: { type: ['string', 'null'] },
          cable,
          lengthM: amount,
          celsius: { ...number, minimum: -40, maximum: 90 },
          ohm: amount,
          diodeV: amount,
          leastV: positive,
          consumers: { type: 'array', items: consumer },
        },
      },
    },
  },
  oneOf: [{ required: ['cable', 'lengthM', 'lock'] }, { required: ['nodes'] }],
} as const

/** What `rauta battery` takes. Amps, hours, ampere-hours, degrees C. */
export const batterySchema = {
  type: 'object',
  required: ['restA', 'hours'],
  additionalProperties: false,
  properties: {
    restA: amount,
    hours: amount,
    movingAh: amount,
    celsius: { ...number, minimum: -30, maximum: 60 },
    peukert: { anyOf: [{ ...number, minimum: 1, maximum: 2 }, { type: 'null' }] },
    ageing: { ...number, minimum: 1, maximum: 2 },
    derating: { ...positive, maximum: 1 },
    sizes: { type: 'array', minItems: 1, maxItems: 100, items: positive },
    bank: {
      type: 'object',
      required: ['ah', 'volts'],
      additionalProperties: false,
      properties: {
        ah: positive,
        count: { type: 'integer', minimum: 1, maximum: 1000 },
        series: { type: 'integer', minimum: 1, maximum: 100 },
        parallel: { type: 'integer', minimum: 1, maximum: 100 },
        wiring: { enum: ['series', 'parallel'] },
        volts: positive,
      },
    },
  },
} as const

/** What `rauta poe` takes: a source with its ports, and what asks for power at them. Volts, watts, metres. */
export const poeSchema = {
  type: 'object',
  required: ['volts', 'budgetW', 'ports', 'devices'],
  additionalProperties: false,
  properties: {
    volts: { ...positive, maximum: 60 },
    budgetW: amount,
    ports: {
      type: 'array',
      maxItems: 10_000,
      items: {
        type: 'object',
        required: ['id', 'highestClass'],
        additionalProperties: false,
        properties: { id: string, highestClass: { type: 'integer', minimum: 0, maximum: 8 } },
      },
    },
    devices: {
      type: 'array',
      maxItems: 10_000,
      items: {
        type: 'object',
        required: ['name', 'port', 'lengthM', 'class', 'restW', 'peakW'],
        additionalProperties: false,
        properties: {
          name: string,
          port: string,
          lengthM: amount,
          class: { type: 'integer', minimum: 0, maximum: 8 },
          restW: amount,
          peakW: amount,
        },
      },
    },
  },
} as const

/** What `rauta switches` takes: a coding, and an address to set or switches to read. */
export const switchesSchema = {
  type: 'object',
  required: ['coding'],
  additionalProperties: false,
  properties: {
    coding: {
      type: 'object',
      required: ['kind', 'positions'],
      additionalProperties: false,
      properties: {
        kind: { enum: ['binary', 'decade'] },
        positions: { type: 'integer', minimum: 1, maximum: 12 },
        order: { enum: ['leastFirst', 'mostFirst'] },
        inverted: flag,
        offset: { type: 'integer', minimum: 0 },
      },
    },
    address: { type: 'integer' },
    switches: { type: 'array', items: { type: 'integer', minimum: 0, maximum: 9 } },
  },
  oneOf: [{ required: ['address'] }, { required: ['switches'] }],
} as const

const subnet = {
  network: loose,
  prefix: { type: 'integer', minimum: 8, maximum: 31 },
  gateway: loose,
  timeServer: loose,
  reserved: { type: 'string', maxLength: 2000 },
} as const

/** What `rauta addresses` takes: a subnet or several, what is not ours, and devices with or without an address. */
export const addressesSchema = {
  type: 'object',
  required: ['devices'],
  additionalProperties: false,
  properties: {
    ...subnet,
    subnets: {
      type: 'array',
      minItems: 1,
      maxItems: 100,
      items: object({ name: string, ...subnet }, ['timeServer', 'reserved']),
    },
    foreign: { type: 'array', maxItems: 5000, items: object({ address: loose, whose: string }) },
    devices: {
      type: 'array',
      minItems: 1,
      maxItems: 5000,
      items: {
        type: 'object',
        required: ['ref'],
        additionalProperties: false,
        properties: {
          ref: string,
          address: loose,
          factory: loose,
          mac: { type: 'string', pattern: macPattern },
          subnet: string,
        },
      },
    },
  },
} as const

const place = {
  type: 'object',
  required: ['x', 'y'],
  additionalProperties: false,
  properties: { x: number, y: number },
} as const

/** What `rauta place` takes: doors with their hardware by sheet id, cabinets, and what is wished. Metres. */
export const placeSchema = {
  type: 'object',
  required: ['doors', 'cabinets'],
  additionalProperties: false,
  properties: {
    doors: {
      type: 'array',
      minItems: 1,
      maxItems: 5000,
      items: {
        type: 'object',
        required: ['ref', 'hardware'],
        additionalProperties: false,
        properties: {
          ref: string,
          hardware: { type: 'object', additionalProperties: string },
          at: place,
          distances: { type: 'object', additionalProperties: amount },
        },
      },
    },
    cabinets: {
      type: 'array',
      minItems: 1,
      items: {
        type: 'object',
        required: ['name'],
        additionalProperties: false,
        properties: { name: string, at: place },
      },
    },
    spare: { type: 'integer', minimum: 0, maximum: 4 },
    most: { type: 'integer', minimum: 0 },
    allowed: { type: 'array', items: string },
    sheets: { type: 'array', items: { type: 'object' } },
  },
} as const

const span = { from: { type: 'string', pattern: timePattern }, to: { type: 'string', pattern: timePattern } } as const
const period = object({
  days: {
    type: 'array',
    minItems: 1,
    maxItems: 7,
    uniqueItems: true,
    items: { type: 'integer', minimum: 1, maximum: 7 },
  },
  ...span,
})
const date = { type: 'string', pattern: datePattern } as const

/** What `rauta why` takes: a person, a door, a moment, and the rules and schedules that may decide. */
export const whySchema = object(
  {
    zone: string,
    at: string,
    door: string,
    person: object(
      {
        name: string,
        groups: { type: 'array', items: string },
        cards: {
          type: 'array',
          items: object(
            {
              id: string,
              format: string,
              facility: { type: 'integer', minimum: 0 },
              number: { type: 'integer', minimum: 0 },
              state: { enum: cardStates },
            },
            ['id', 'format'],
          ),
        },
        validFrom: string,
        validUntil: string,
      },
      ['validFrom', 'validUntil'],
    ),
    rules: {
      type: 'array',
      items: object(
        {
          id: string,
          group: string,
          doors: { type: 'array', items: string },
          schedule: string,
          validFrom: string,
          validUntil: string,
        },
        ['group', 'validFrom', 'validUntil'],
      ),
    },
    schedules: {
      type: 'array',
      items: object(
        { id: string, name: string, periods: { type: 'array', items: period }, everyDay: { const: true } },
        ['everyDay'],
      ),
    },
    specialDays: {
      type: 'array',
      items: object(
        {
          id: string,
          date,
          name: string,
          periods: { type: 'array', items: object(span) },
          until: date,
          yearly: { const: true },
          schedules: { type: 'array', items: string },
        },
        ['id', 'until', 'yearly', 'schedules'],
      ),
    },
    groups: { type: 'array', items: object({ id: string, name: string, parent: string }, ['parent']) },
  },
  ['specialDays', 'groups'],
)

const run = object({ from: { type: 'integer', minimum: 0 }, length: { type: 'integer', minimum: 1 } })
const read = {
  bits: { type: 'string', minLength: 1, maxLength: 400 },
  hex: { type: 'string', minLength: 1, maxLength: 200 },
  length: { type: 'integer', minimum: 1, maximum: 256 },
  printed: { type: 'string', minLength: 1, maxLength: 40 },
} as const
export const cardsSchema = object(
  {
    ...read,
    shown: { type: 'array', minItems: 1, maxItems: 12, items: object(read, ['bits', 'hex', 'length', 'printed']) },
    formats: {
      type: 'array',
      maxItems: 50,
      items: object(
        {
          id: { type: 'string', pattern: '^[a-z0-9-]{1,40}$' },
          name: { type: 'string', minLength: 1, maxLength: 80 },
          bits: { type: 'integer', minimum: 1, maximum: 256 },
          facility: run,
          number: run,
          parity: {
            type: 'array',
            maxItems: 20,
            items: object({ at: { type: 'integer', minimum: 0 }, kind: { enum: ['even', 'odd'] }, over: run }),
          },
        },
        ['facility'],
      ),
    },
  },
  ['bits', 'hex', 'length', 'printed', 'shown', 'formats'],
)
