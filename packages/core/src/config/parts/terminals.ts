import { formatName } from '../../cards/card'
import { isReaderOrder, orderNames, readerOrders } from '../../cards/orders'
import { functionFacts, partFunctions, type PartFunction } from '../../doors/functions'
import { toldPoints, type WiredPoint } from '../../wiring/points'
import type { Json } from '../records'
import { asObject, plainWords, shape, type PartKind, type Timers } from './kind'

const text = { type: 'string' }
const some = { type: 'number', minimum: 0 }

/** Everything that is wired to the controller for a door, point by point: `K1.lock`, `X2.exitSensor`. */
export const terminalsKind: PartKind = {
  name: 'terminals',
  schema: {
    type: 'object',
    additionalProperties: shape(
      {
        part: text,
        function: { enum: partFunctions },
        port: text,
        idle: { enum: ['closed', 'open'] },
        address: { type: 'integer', minimum: 0, maximum: 126 },
        format: text,
        order: { enum: readerOrders },
        after: some,
        release: some,
      },
      ['idle', 'address', 'format', 'order', 'after', 'release'],
    ),
  },
  want: ({ doors, board, sheets, timers }) =>
    Object.fromEntries(doors.map((door) => [door.id, valueOf(toldPoints(door, board, sheets), timers(door))])),
  doorOf: (token) => token,
  /** A door that the job does not know, wired to a port of this one: its readers would move this lock. */
  touches(door, { wanted: all }) {
    const ports = portsOf(all[`terminals/${door}`])
    return ({ held, wanted }) => wanted === undefined && portsOf(held).some((port) => ports.includes(port))
  },
  group: 'Doors',
  title: () => 'Terminals',
  summary: (value) =>
    Object.entries(asObject(value))
      .map(([key, point]) => `${pointName(point, key)}: ${pointWords(point)}`)
      .join('; '),
  field: (field, value, other) => ({ name: pointName(value ?? other, field), says: pointWords(value) }),
}

const portsOf = (value: Json | undefined): string[] =>
  Object.values(asObject(value)).map((point) => plainWords(asObject(point)['port']))

/** Every point with all that the controller must know of it. */
function valueOf(points: readonly WiredPoint[], kept: Timers): Json {
  return Object.fromEntries(
    points.map((p) => [
      p.key,
      {
        part: p.part.id,
        function: p.function,
        port: p.port,
        ...(p.idle === undefined ? {} : { idle: p.idle }),
        ...(p.address === undefined ? {} : { address: p.address }),
        ...(p.format === undefined ? {} : { format: p.format }),
        ...(p.order === undefined ? {} : { order: p.order }),
        ...(p.afterS === undefined ? {} : { after: p.afterS === 0 ? 0 : kept('Opener’s delay', p.afterS) }),
        ...(p.releaseS === undefined ? {} : { release: kept('Release by the desk button', p.releaseS) }),
      },
    ]),
  )
}

/** A wired point: `K1, lock`. */
function pointName(value: Json | undefined, key: string): string {
  const point = asObject(value)
  const does = plainWords(point['function'])
  const says = Object.hasOwn(functionFacts, does) ? functionFacts[does as PartFunction].says : does
  return point['part'] ? `${plainWords(point['part'])}, ${says}` : key
}

/** Where a wired point is and what the device knows of it: `input 7, closed at rest`. */
function pointWords(value: Json | undefined): string {
  if (value === undefined) return 'not told'
  const point = asObject(value)
  const says = [plainWords(point['port'])]
  if (point['address'] !== undefined) says.push(`address ${plainWords(point['address'])}`)
  if (point['format'] !== undefined) says.push(`reads ${formatName(plainWords(point['format']))}`)
  if (point['order'] !== undefined) says.push(orderWords(plainWords(point['order'])))
  if (point['idle'] !== undefined) says.push(`${plainWords(point['idle'])} at rest`)
  if (point['after'] !== undefined) says.push(`${plainWords(point['after'])} s after the lock`)
  if (point['release'] !== undefined) says.push(`releases for ${plainWords(point['release'])} s`)
  return says.join(', ')
}

const orderWords = (told: string): string => (isReaderOrder(told) ? orderNames[told] : `order ${told}`)
