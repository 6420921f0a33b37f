import { deviceKinds, leadKinds, terminalKinds } from '@rauta/core'
import { object } from '../commands/command'

const string = { type: 'string' } as const
const words = { type: 'string', minLength: 1, maxLength: 200 } as const
const count = { type: 'integer', minimum: 0 } as const
const amount = { type: 'number', minimum: 0 } as const
const some = { type: 'number', exclusiveMinimum: 0 } as const
const flag = { type: 'boolean' } as const
const list = (items: object) => ({ type: 'array', items, maxItems: 400 })
const lines = list(words)

const controller = object({
  doors: count, portGroups: list(object({ id: words, name: words })), releaseStepS: some, longestReleaseS: some, cardFormats: list(words), feedVolts: amount, feedA: amount,
  factory: object({ address: string, user: string, password: string }), terminalOneAt: { enum: ['left', 'right'] }, reset: list(object({ says: words, seconds: amount })), lamps: list(object({ lamp: words, means: words })),
  cabinet: list(object({ id: words, says: words })), supervised: object({ shortBelow: some, closedBelow: some, cutAbove: some }),
}, ['supervised'])

const coding = object({
  kind: { enum: ['binary', 'decade'] }, positions: { type: 'integer', minimum: 1, maximum: 12 }, order: { enum: ['leastFirst', 'mostFirst'] }, inverted: flag, offset: { type: 'integer', minimum: 0, maximum: 1000 },
  factory: list({ type: 'integer', minimum: 0, maximum: 9 }), says: words,
}, ['says'])

/** JSON Schema (2020-12) of a device sheet: what a sheet file must hold. Volts, amps, watts, milliseconds, mm². */
export const sheetSchema = object({
  id: { type: 'string', pattern: '^[a-z0-9-]{1,40}$' }, name: words, kind: { enum: deviceKinds }, also: list({ enum: deviceKinds }), says: { type: 'string', maxLength: 400 }, restA: { type: 'number', minimum: 0, maximum: 100 },
  terminals: list(object({ id: words, label: words, kind: { enum: terminalKinds }, group: words, port: words, maxConductors: { type: 'integer', minimum: 1, maximum: 10 }, mostMm2: some }, ['mostMm2'])),
  leads: list(object({ id: { type: 'string', pattern: '^[A-Za-z0-9]{1,12}$' }, name: words, colour: { type: 'string', maxLength: 40 }, kind: { enum: leadKinds } })),
  lock: object({
    principle: { enum: ['magnetic', 'strike', 'motor'] }, fail: { enum: ['safe', 'secure'] }, nominalV: some, leastV: some, pullA: some, pullMs: some, holdA: amount, dropOutV: amount, duty: { type: 'number', exclusiveMinimum: 0, maximum: 1 }, sensing: flag, current: { enum: ['direct', 'alternating'] }, suppressionMs: amount,
  }, ['pullMs', 'holdA', 'dropOutV', 'duty', 'current', 'suppressionMs']),
  controller,
  supply: object({ volts: some, amps: some, internalOhm: amount, floatV: some, endV: some, chargerA: amount, battery: object({ volts: some, peukert: { anyOf: [{ type: 'number', minimum: 1, maximum: 2 }, { type: 'null' }] } }), outputs: list(object({ id: words, fuseA: some })) }, ['floatV', 'endV', 'chargerA', 'battery', 'outputs']),
  operatingV: object({ least: some, most: some }), inrush: object({ amps: some, ms: some }), place: { enum: ['indoor', 'outdoor'] },
  reading: object({ by: { enum: ['wiegand', 'osdp', 'network', 'radio'] }, technologies: lines, keypad: flag, reachM: some, unitLoad: some }, ['unitLoad']),
  coding, jumpers: list(object({ id: words, says: words, positions: lines, factory: words })),
  network: object({ class: { type: 'integer', minimum: 0, maximum: 8 }, restW: amount, peakW: amount }), feeds: object({ volts: some, watts: some, efficiency: { type: 'number', exclusiveMinimum: 0, maximum: 1 }, cutOffV: some }),
  networkSource: object({ volts: some, budgetW: amount, ports: list(object({ id: words, highestClass: { type: 'integer', minimum: 0, maximum: 8 } })) }),
  ownBattery: object({ passagesPerDay: count, cells: words }), carries: list(object({ kind: { enum: deviceKinds }, most: count })),
  lamps: list(object({ lamp: words, means: words })), sounds: list(object({ sound: words, means: words })), box: lines, mounting: lines, atHand: lines,
}, ['also', 'lock', 'controller', 'supply', 'operatingV', 'inrush', 'place', 'reading', 'coding', 'jumpers', 'network', 'feeds', 'networkSource', 'ownBattery', 'carries', 'lamps', 'sounds', 'box', 'mounting'])
