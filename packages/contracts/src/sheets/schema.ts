import {
  deviceKinds,
  doorAbilities,
  leadKinds,
  partFunctions,
  presentables,
  readerOrders,
  sentFormats,
  terminalKinds,
} from '@rauta/core'
import { object } from '../commands/command'

const string = { type: 'string' } as const
const words = { type: 'string', minLength: 1, maxLength: 200 } as const
const count = { type: 'integer', minimum: 0 } as const
const amount = { type: 'number', minimum: 0 } as const
const some = { type: 'number', exclusiveMinimum: 0 } as const
const flag = { type: 'boolean' } as const
const list = (items: object) => ({ type: 'array', items, maxItems: 400 })
const lines = list(words)
/** A title that people read where the field is filled in, unit included. */
const t = <S extends object>(title: string, schema: S): S & { title: string } => ({ ...schema, title })

const controller = object(
  {
    doors: t('Doors', count),
    portGroups: t('Door ports', list(object({ id: t('Id', words), name: t('Name', words) }))),
    releaseStepS: t('Step of its timers, s', some),
    longestReleaseS: t('Longest release, s', some),
    cardFormats: t('Card formats', list({ enum: sentFormats.map((f) => f.id) })),
    ownFormats: t('Card formats by fields that it can be told', count),
    bitOrders: t(
      'Orders of bits that a reader can be set to',
      list({ enum: readerOrders.filter((o) => o !== 'asSent') }),
    ),
    feedVolts: t('Volts at its lock feed, V', amount),
    feedA: t('Amps its lock feed gives in all, A', amount),
    factory: t(
      'From the factory',
      object({ address: t('Address', string), user: t('User', string), password: t('Password', string) }),
    ),
    terminalOneAt: t('Terminal 1 is at the', { enum: ['left', 'right'] }),
    reset: t(
      'Reset by hand, step by step',
      list(
        object(
          { says: t('What to do', words), seconds: t('Seconds', amount), holds: t('A key is held', { const: true }) },
          ['holds'],
        ),
      ),
    ),
    lamps: t('Lamps', list(object({ lamp: t('Lamp', words), means: t('Means', words) }))),
    cabinet: t(
      'Check-off of the cabinet',
      list(
        object({ id: t('Id', words), says: t('What to check', words), after: t('Only after', list(words)) }, ['after']),
      ),
    ),
    supervised: t(
      'Supervised inputs',
      object({
        shortBelow: t('Short below, Ω', some),
        closedBelow: t('Closed below, Ω', some),
        cutAbove: t('Cut above, Ω', some),
      }),
    ),
    limitedRights: t('Can be told when a right ends', { const: true }),
    functions: t('What it can be told that a part does', list({ enum: partFunctions })),
    abilities: t('What it can do for a door besides', list({ enum: doorAbilities })),
    reactions: t('How many reactions it keeps', count),
    times: t(
      'How much of time it holds',
      object({
        schedules: t('Schedules', count),
        periodsADay: t('Periods a day', count),
        specialDays: t('Special days', count),
      }),
    ),
    ownReader: t('Port of its own reader', words),
  },
  [
    'ownFormats',
    'bitOrders',
    'supervised',
    'limitedRights',
    'functions',
    'abilities',
    'reactions',
    'times',
    'ownReader',
  ],
)

const coding = object(
  {
    kind: t('Kind of switch', { enum: ['binary', 'decade'] }),
    positions: t('Switches', { type: 'integer', minimum: 1, maximum: 12 }),
    order: t('Which counts', { enum: ['leastFirst', 'mostFirst'] }),
    inverted: t('A switch that is on counts nothing', flag),
    offset: t('Added to what they show', { type: 'integer', minimum: 0, maximum: 1000 }),
    factory: t('Factory position', list({ type: 'integer', minimum: 0, maximum: 9 })),
    says: t('Remark', words),
  },
  ['says'],
)

const terminal = object(
  {
    id: t('Number', words),
    label: t('Printed beside it', words),
    kind: t('Kind', { enum: terminalKinds }),
    group: t('Door port', words),
    port: t('Port', words),
    maxConductors: t('Conductors at most', { type: 'integer', minimum: 1, maximum: 10 }),
    mostMm2: t('Thickest core, mm²', some),
  },
  ['mostMm2'],
)

const lock = object(
  {
    principle: t('Principle', { enum: ['magnetic', 'strike', 'motor'] }),
    fail: t('Without power', { enum: ['safe', 'secure'] }),
    current: t('Current', { enum: ['direct', 'alternating'] }),
    nominalV: t('Made for, V', some),
    leastV: t('Least volts at pull-in, V', some),
    pullA: t('Amps at pull-in, A', some),
    pullMs: t('Time of pulling in, ms', some),
    holdA: t('Amps held, A', amount),
    dropOutV: t('Lets go under, V', amount),
    duty: t('Share of time it may be driven', { type: 'number', exclusiveMinimum: 0, maximum: 1 }),
    sensing: t('Tells that it is locked', flag),
    suppressionMs: t('Suppression slows its letting go by, ms', amount),
  },
  ['pullMs', 'holdA', 'dropOutV', 'duty', 'current', 'suppressionMs'],
)

const supply = object(
  {
    volts: t('Volts, V', some),
    amps: t('Amps, A', some),
    internalOhm: t('Inside resistance, Ω', amount),
    floatV: t('Floating, V', some),
    endV: t('End of the battery, V', some),
    chargerA: t('Amps of its charger, A', amount),
    battery: t(
      'Battery',
      object({
        volts: t('Volts of one, V', some),
        peukert: t('Peukert’s exponent', { anyOf: [{ type: 'number', minimum: 1, maximum: 2 }, { type: 'null' }] }),
      }),
    ),
    outputs: t('Outputs', list(object({ id: t('Name', words), fuseA: t('Fuse, A', some) }))),
    tripA: t('Trips in the first moment at, A', some),
  },
  ['floatV', 'endV', 'chargerA', 'battery', 'outputs', 'tripA'],
)

const port = {
  transport: t('Over', { enum: ['tcp', 'udp'] }),
  port: t('Port', { type: 'integer', minimum: 1, maximum: 65535 }),
  protocol: t('What is spoken', words),
}

/** JSON Schema (2020-12) of a device sheet: what a sheet file must hold. Volts, amps, watts, milliseconds, mm². Titles are for people. */
export const sheetSchema = object(
  {
    id: t('Short name, small letters', { type: 'string', pattern: '^[a-z0-9-]{1,40}$' }),
    name: t('Name', words),
    kind: t('Kind', { enum: deviceKinds }),
    protocol: t('Speaks on the network', { type: 'string', pattern: '^[a-z0-9-]{1,40}$' }),
    listens: t('Ports it listens on', list(object(port))),
    calls: t('Whom it calls by itself', list(object({ ...port, whom: t('Whom', words) }))),
    also: t('And at once', list({ enum: deviceKinds })),
    says: t('In a sentence', { type: 'string', maxLength: 400 }),
    restA: t('Amps at rest, A', { type: 'number', minimum: 0, maximum: 100 }),
    place: t('Made for', { enum: ['indoor', 'outdoor'] }),
    terminals: t('Terminals', list(terminal)),
    leads: t(
      'Leads',
      list(
        object({
          id: t('Id', { type: 'string', pattern: '^[A-Za-z0-9]{1,12}$' }),
          name: t('Name', words),
          colour: t('Colour', { type: 'string', maxLength: 40 }),
          kind: t('Goes to', { enum: leadKinds }),
        }),
      ),
    ),
    lock: t('Lock', lock),
    controller: t('Controller', controller),
    supply: t('Supply', supply),
    operatingV: t('Works from and to', object({ least: t('Least, V', some), most: t('Most, V', some) })),
    inrush: t('First moment of power', object({ amps: t('Amps, A', some), ms: t('For, ms', some) })),
    reading: t(
      'Reading',
      object(
        {
          by: t('Hands on by', { enum: ['wiegand', 'osdp', 'network', 'radio'] }),
          technologies: t('Technologies', lines),
          keypad: t('Has keys', flag),
          reachM: t('Reads up to, m', some),
          unitLoad: t('Unit loads on a bus', some),
          takes: t('Is presented with', list({ enum: presentables })),
        },
        ['unitLoad', 'takes'],
      ),
    ),
    coding: t('Switches for its address', coding),
    jumpers: t(
      'Jumpers',
      list(
        object(
          {
            id: t('Id', words),
            says: t('What for', words),
            positions: t('Positions', lines),
            factory: t('Factory position', words),
            does: t('Switches the', { enum: ['terminator'] }),
          },
          ['does'],
        ),
      ),
    ),
    network: t(
      'Power from the network',
      object({
        class: t('Class', { type: 'integer', minimum: 0, maximum: 8 }),
        restW: t('Watts at rest, W', amount),
        peakW: t('Watts at its peak, W', amount),
      }),
    ),
    feeds: t(
      'Feeds its door',
      object({
        volts: t('Volts, V', some),
        watts: t('Watts, W', some),
        efficiency: t('Efficiency, 0 to 1', { type: 'number', exclusiveMinimum: 0, maximum: 1 }),
        cutOffV: t('Cuts off under, V', some),
      }),
    ),
    networkSource: t(
      'Gives network power',
      object({
        volts: t('Volts, V', some),
        budgetW: t('Watts in all, W', amount),
        ports: t(
          'Ports',
          list(
            object({
              id: t('Port', words),
              highestClass: t('Highest class', { type: 'integer', minimum: 0, maximum: 8 }),
            }),
          ),
        ),
      }),
    ),
    ownBattery: t(
      'Battery of its own',
      object({ passagesPerDay: t('Suits passages a day', count), cells: t('Cells', words) }),
    ),
    radio: t(
      'Radio',
      object(
        {
          openM: t('Reaches in the open, m', some),
          leastDbm: t('Weakest signal, dBm', { type: 'number', minimum: -120, maximum: 0 }),
          standby: t('Standby credentials that it keeps', count),
        },
        ['openM', 'leastDbm', 'standby'],
      ),
    ),
    carries: t(
      'How many may hang on it',
      list(object({ kind: t('Kind', { enum: deviceKinds }), most: t('At most', count) })),
    ),
    lamps: t('Lamps', list(object({ lamp: t('Lamp', words), means: t('Means', words) }))),
    sounds: t('Sounds', list(object({ sound: t('Sound', words), means: t('Means', words) }))),
    box: t('In the box', lines),
    mounting: t('Mounting', lines),
    setUp: t(
      'Needed to set it up',
      list(
        object(
          {
            what: t('What', words),
            kind: t('Kind', { enum: ['tool', 'key', 'licence'] }),
            runsOn: t('Runs on', words),
            one: t('One for each', { enum: ['job', 'device', 'door'] }),
          },
          ['runsOn'],
        ),
      ),
    ),
    atHand: t('Must be at hand', lines),
  },
  [
    'protocol',
    'listens',
    'calls',
    'also',
    'lock',
    'controller',
    'supply',
    'operatingV',
    'inrush',
    'place',
    'reading',
    'coding',
    'jumpers',
    'network',
    'feeds',
    'networkSource',
    'ownBattery',
    'radio',
    'carries',
    'lamps',
    'sounds',
    'box',
    'mounting',
    'setUp',
  ],
)
