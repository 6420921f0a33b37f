import {
  accessPointToken,
  fromICalendar,
  functionFacts,
  testPrefix,
  testSchedules,
  toICalendar,
  type Config,
  type Json,
  type Operation,
  type PartFunction,
} from '@rauta/core'
import {
  accessPointCodec,
  accessProfileCodec,
  child,
  credentialCodec,
  digitalInputCodec,
  doorCodec,
  doorWiringCodec,
  el,
  elements,
  readCredential,
  scheduleCodec,
  specialDayGroupCodec,
  textOf,
  type DigitalInput,
  type DoorWiring,
  type EntityCodec,
  type OnvifSchedule,
  type OnvifSpecialDayGroup,
} from '@rauta/protocols'
import { DeviceError } from '../errors'
import { severalAtOnce } from '../several'
import { FaultError, type OnvifSession } from './session'

type Dict = { [key: string]: Json }
const dict = (value: Json): Dict => (value !== null && typeof value === 'object' && !Array.isArray(value) ? value : {})
const text = (value: Json | undefined) => (typeof value === 'string' ? value : '')

/** Token of a part on the device: what follows the first slash of its key. */
const tokenOf = (key: string) => key.replace(testPrefix, '').replace(/^[^/]+\//, '')
const isTest = (token: string) => token.startsWith('rauta-')
const keyFor = (kind: string, token: string) => `${isTest(token) ? testPrefix : ''}${kind}/${token}`

async function list<T extends { token: string }>(
  session: OnvifSession,
  codec: EntityCodec<T>,
  element = codec.name,
): Promise<T[]> {
  const found: T[] = []
  let start = ''
  do {
    const body = await session.call(
      codec.service,
      el(`${codec.service}:${codec.list}`, start ? el(`${codec.service}:StartReference`, start) : null),
    )
    found.push(...elements(body, element).map(codec.read))
    start = textOf(body, 'NextStartReference')
  } while (start)
  return found
}

/** The whole configuration of a device, brought to the job's canonical form. */
export async function readConfig(session: OnvifSession): Promise<Config> {
  const config: Record<string, Json> = {}
  const doors = await list(session, doorCodec)
  const wirings = new Map((await list(session, doorWiringCodec)).map((w) => [w.token, w]))
  const inputs = new Map((await list(session, digitalInputCodec, 'DigitalInputs')).map((i) => [i.token, i.idle]))
  for (const door of doors) {
    const wiring = wirings.get(door.token)
    config[`door/${door.token}`] = {
      name: door.name,
      release: door.releaseS,
      heldOpen: door.openS,
      relockDelay: door.relockDelayS,
      forcedAlarm: wiring?.forcedAlarm ?? false,
    }
  }
  for (const w of wirings.values()) config[`terminals/${w.token}`] = pointsOf(w, inputs)
  for (const a of await list(session, accessPointCodec))
    config[`accessPoint/${a.token}`] = { door: a.entity, name: a.name, from: a.areaFrom, to: a.areaTo }
  await readTimes(session, config)
  for (const p of await list(session, accessProfileCodec))
    config[keyFor('profile', p.token)] = {
      name: p.name,
      policies: p.policies
        .map((x) => ({ at: x.entity, schedule: x.schedule }))
        .sort((a, b) => a.at.localeCompare(b.at) || a.schedule.localeCompare(b.schedule)),
    }
  for (const c of await readCredentials(session))
    config[keyFor('credential', c.token)] = {
      holder: c.holder,
      card: c.value,
      enabled: c.enabled,
      profiles: [...c.profiles].sort(),
    }
  return config
}

async function readCredentials(session: OnvifSession) {
  const found = await list(session, { ...credentialCodec, read: readCredential }, 'Credential')
  const states = await severalAtOnce(
    found,
    async (c) =>
      textOf(
        child(await session.call('tcr', el('tcr:GetCredentialState', el('tcr:Token', c.token))), 'State'),
        'Enabled',
      ) !== 'false',
  )
  return found.map((c, i) => ({ ...c, enabled: states[i] ?? true }))
}

async function readTimes(session: OnvifSession, config: Record<string, Json>): Promise<void> {
  const groups = new Map((await list(session, specialDayGroupCodec)).map((g) => [g.token, g]))
  const used = new Set<string>()
  for (const s of await list(session, scheduleCodec)) {
    const read = fromICalendar(s.standard)
    if ('fault' in read) throw new DeviceError('malformed', read.fault)
    const special = s.specialDays
      .flatMap((d) => {
        used.add(d.group)
        return datesOf(groups.get(d.group)).map((date) => ({
          date,
          periods: d.ranges.map(
            (r) => `${r.from.slice(0, 5)}-${r.until === '23:59:60' ? '24:00' : r.until.slice(0, 5)}`,
          ),
        }))
      })
      .sort((a, b) => a.date.localeCompare(b.date))
    config[keyFor('schedule', s.token)] = {
      name: s.name,
      periods: read.periods.map((p) => `${p.days.join('')} ${p.from}-${p.to}`).sort(),
      special,
    }
  }
  for (const token of groups.keys())
    if (!used.has(token)) config[`specialDays/${token}`] = { name: groups.get(token)?.name ?? '' }
}

const datesOf = (group: OnvifSpecialDayGroup | undefined) =>
  [...(group?.days ?? '').matchAll(/DTSTART[^:]*:(\d{4})(\d\d)(\d\d)/g)].map((m) => `${m[1]}-${m[2]}-${m[3]}`)
const groupOf = (date: string): OnvifSpecialDayGroup => ({
  token: `day-${date}`,
  name: date,
  days: [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Rauta//Special days//EN',
    'BEGIN:VEVENT',
    'UID:1',
    `DTSTART;VALUE=DATE:${date.replaceAll('-', '')}`,
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n'),
})
/** An xs:time has no 24:00; the last second of the day stands for it. */
const time = (hm: string) => (hm === '24:00' ? '23:59:60' : `${hm}:00`)

const set = <T extends { token: string }>(session: OnvifSession, codec: EntityCodec<T>, value: T) =>
  session.call(codec.service, el(`${codec.service}:Set${codec.name.replace(/Data$/, '')}`, codec.write(value)))
const removal: Record<string, EntityCodec<never>> = {
  door: doorCodec as never,
  accessPoint: accessPointCodec as never,
  schedule: scheduleCodec as never,
  profile: accessProfileCodec as never,
  credential: credentialCodec as never,
  terminals: doorWiringCodec as never,
  specialDays: specialDayGroupCodec as never,
}

/** Writes or removes one part. A removal of what is not there is no error: it may be a repeat. */
export async function writePart(session: OnvifSession, operation: Operation): Promise<void> {
  const token = tokenOf(operation.key)
  const kind = operation.key.replace(testPrefix, '').split('/')[0] ?? ''
  if (operation.do === 'remove') {
    const codec = removal[kind]
    if (!codec) throw new DeviceError('unsupported', `${operation.key} cannot be removed.`)
    await session
      .call(
        codec.service,
        el(`${codec.service}:Delete${codec.name.replace(/Data$/, '')}`, el(`${codec.service}:Token`, token)),
      )
      .catch((error: unknown) => {
        if (!(error instanceof FaultError) || !error.subcode.endsWith('NotFound')) throw error
      })
    return
  }
  const value = dict(operation.value)
  switch (kind) {
    case 'door':
      await set(session, doorCodec, {
        token,
        name: text(value['name']),
        releaseS: Number(value['release']),
        openS: Number(value['heldOpen']),
        relockDelayS: Number(value['relockDelay']),
      })
      return await writeAlarm(session, token, value['forcedAlarm'] === true)
    case 'terminals':
      return await writeTerminals(session, token, value)
    case 'accessPoint':
      await set(session, accessPointCodec, {
        token,
        name: text(value['name']),
        areaFrom: text(value['from']),
        areaTo: text(value['to']),
        entity: text(value['door']),
      })
      return
    case 'schedule':
      return await writeSchedule(session, token, value)
    case 'profile':
      await set(session, accessProfileCodec, {
        token,
        name: text(value['name']),
        policies: (value['policies'] as Dict[]).map((p) => ({ entity: text(p['at']), schedule: text(p['schedule']) })),
      })
      return
    case 'credential':
      await set(session, credentialCodec, {
        token,
        holder: text(value['holder']),
        format: 'WIEGAND26',
        value: text(value['card']),
        profiles: value['profiles'] as string[],
        enabled: value['enabled'] === true,
      })
      return
    default:
      throw new DeviceError('unsupported', `${operation.key} is of no kind that this device knows.`)
  }
}

const emptyWiring = (token: string): DoorWiring => ({ token, readers: [], inputs: [], outputs: [], forcedAlarm: false })
const wiringOf = async (session: OnvifSession, token: string) =>
  (await list(session, doorWiringCodec)).find((w) => w.token === token) ?? emptyWiring(token)

/** What a device holds of a door's wiring, point by point. A point that it holds twice shows as a difference. */
function pointsOf(w: DoorWiring, idle: ReadonlyMap<string, string>): Json {
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
      ...(r.accessPoint === accessPointToken({ id: w.token }, r.part) ? {} : { accessPoint: r.accessPoint }),
    })
  for (const i of w.inputs)
    add(i, { idle: idle.get(i.port) ?? '', ...(i.releaseS === undefined ? {} : { release: i.releaseS }) })
  for (const o of w.outputs) add(o, o.afterS === undefined ? {} : { after: o.afterS })
  return points
}

/** The alarm setting lives with the wiring on the device; the two parts are written one after the other. */
async function writeAlarm(session: OnvifSession, token: string, forcedAlarm: boolean): Promise<void> {
  await set(session, doorWiringCodec, { ...(await wiringOf(session, token)), forcedAlarm })
}

async function writeTerminals(session: OnvifSession, token: string, value: Dict): Promise<void> {
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

async function writeSchedule(session: OnvifSession, token: string, value: Dict): Promise<void> {
  const periods = (value['periods'] as string[]).map((p) => ({
    days: [...(p.split(' ')[0] ?? '')].map(Number),
    from: (p.split(' ')[1] ?? '').split('-')[0] ?? '',
    to: p.split('-')[1] ?? '',
  }))
  const special = value['special'] as { date: string; periods: string[] }[]
  for (const day of special) await set(session, specialDayGroupCodec, groupOf(day.date))
  const schedule: OnvifSchedule = {
    token,
    name: text(value['name']),
    standard: toICalendar(isTest(token) ? (testSchedules[token] ?? periods) : periods),
    specialDays: special.map((d) => ({
      group: groupOf(d.date).token,
      ranges: d.periods.map((p) => ({ from: time(p.split('-')[0] ?? ''), until: time(p.split('-')[1] ?? '') })),
    })),
  }
  await set(session, scheduleCodec, schedule)
}
