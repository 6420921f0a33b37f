import { accessPointToken, functionFacts, type Json, type PartFunction } from '@rauta/core'
import { digitalInputCodec, doorWiringCodec, el, type DigitalInput, type DoorWiring } from '@rauta/protocols'
import { DeviceError } from '../errors'
import { list, set } from './entity'
import { dict, text, type Dict } from './json'
import type { OnvifSession } from './session'

const emptyWiring = (token: string): DoorWiring => ({ token, readers: [], inputs: [], outputs: [], forcedAlarm: false })
const wiringOf = async (session: OnvifSession, token: string) =>
  (await list(session, doorWiringCodec)).find((w) => w.token === token) ?? emptyWiring(token)

/** What a device holds of a door's wiring, point by point. A point that it holds twice shows as a difference. */
export function pointsOf(w: DoorWiring, idle: ReadonlyMap<string, string>): Json {
  const points: Record<string, Json> = {}
  const add = (point: { part: string; function: string; port: string }, more: Dict) => {
    const key = `${point.part}.${point.function}`
    points[Object.hasOwn(points, key) ? `${key} again` : key] = {
      part: point.part,
      function: point.function,
      port: point.port,
      ...more,
    }
  }
  // A reader that hands its cards to another access point than its own is a difference too.
  for (const r of w.readers)
    add(r, {
      ...(r.address === undefined ? {} : { address: r.address }),
      ...(r.format === undefined ? {} : { format: r.format }),
      ...(r.order === undefined ? {} : { order: r.order }),
      ...(r.accessPoint === accessPointToken({ id: w.token }, r.part) ? {} : { accessPoint: r.accessPoint }),
    })
  for (const i of w.inputs)
    add(i, { idle: idle.get(i.port) ?? '', ...(i.releaseS === undefined ? {} : { release: i.releaseS }) })
  for (const o of w.outputs) add(o, o.afterS === undefined ? {} : { after: o.afterS })
  return points
}

/** The alarm setting lives with the wiring on the device; the two parts are written one after the other. */
export async function writeAlarm(session: OnvifSession, token: string, forcedAlarm: boolean): Promise<void> {
  await set(session, doorWiringCodec, { ...(await wiringOf(session, token)), forcedAlarm })
}

export async function writeTerminals(session: OnvifSession, token: string, value: Dict): Promise<void> {
  const { forcedAlarm } = await wiringOf(session, token)
  const wiring: DoorWiring = { ...emptyWiring(token), forcedAlarm }
  const resting: DigitalInput[] = []
  for (const point of Object.values(value).map(dict)) {
    const named = { part: text(point['part']), function: text(point['function']), port: text(point['port']) }
    const side = Object.hasOwn(functionFacts, named.function)
      ? functionFacts[named.function as PartFunction].side
      : undefined
    switch (side) {
      case 'reader':
        wiring.readers.push({
          ...named,
          accessPoint: accessPointToken({ id: token }, named.part),
          ...(typeof point['address'] === 'number' ? { address: point['address'] } : {}),
          ...(typeof point['format'] === 'string' ? { format: point['format'] } : {}),
          ...(typeof point['order'] === 'string' ? { order: point['order'] } : {}),
        })
        break
      case 'output':
        wiring.outputs.push({ ...named, ...(typeof point['after'] === 'number' ? { afterS: point['after'] } : {}) })
        break
      case 'input':
        wiring.inputs.push({
          ...named,
          ...(typeof point['release'] === 'number' ? { releaseS: point['release'] } : {}),
        })
        resting.push({ token: named.port, idle: point['idle'] === 'open' ? 'open' : 'closed' })
        break
      default:
        throw new DeviceError(
          'unsupported',
          `${named.part} has the function ${named.function}, which this device cannot be told.`,
        )
    }
  }
  if (resting.length)
    await session.call('tmd', el('tmd:SetDigitalInputConfigurations', resting.map(digitalInputCodec.write)))
  await set(session, doorWiringCodec, wiring)
}
