import { partKey, readKey, type Config, type Json, type Operation } from '@rauta/core'
import {
  accessPointCodec,
  accessProfileCodec,
  cardFormatCodec,
  child,
  credentialCodec,
  disabledReason,
  disabledReasons,
  digitalInputCodec,
  doorBehaviourCodec,
  doorRadioCodec,
  doorReactionsCodec,
  doorCodec,
  doorWiringCodec,
  el,
  formatOfType,
  readCredential,
  scheduleCodec,
  specialDayGroupCodec,
  textOf,
  typeOfFormat,
  type DoorWiring,
} from '@rauta/protocols'
import { DeviceError } from '../errors'
import { severalAtOnce } from '../several'
import { readRadio, writeRadio } from './radio'
import { readReactions, writeReactions } from './reactions'
import { readBehaviours, writeBehaviour } from './behaviour'
import { readCardFormats, writeCardFormat } from './cardFormats'
import { asMoment, limitedOf, plainOf, profilesOf } from './credentialProfiles'
import { list, remove, set } from './entity'
import { dict, text, type Dict } from './json'
import type { OnvifSession } from './session'
import { timesOf, writeSchedule } from './times'

import { pointsOf, writeAlarm, writeTerminals } from './wiring'

/** Records of a device that several kinds of parts are read from: each list is asked for once. */
interface Reading {
  wirings: ReadonlyMap<string, DoorWiring>
  times: ReturnType<typeof timesOf>
}

/** What this protocol does with one kind of part. */
interface PartHandler {
  /** The list that its records stand in on the device. */
  kept: Parameters<typeof remove>[1]
  read(session: OnvifSession, reading: Reading): Promise<[token: string, value: Json][]>
  /** Absent for what is only ever removed. */
  write?(session: OnvifSession, token: string, value: Dict): Promise<unknown>
}

const handlers: Readonly<Record<string, PartHandler>> = {
  door: {
    kept: doorCodec,
    read: async (session, { wirings }) =>
      (await list(session, doorCodec)).map((d) => [
        d.token,
        {
          name: d.name,
          release: d.releaseS,
          heldOpen: d.openS,
          relockDelay: d.relockDelayS,
          forcedAlarm: wirings.get(d.token)?.forcedAlarm ?? false,
          ...(d.extendedReleaseS === undefined ? {} : { longRelease: d.extendedReleaseS }),
          ...(d.extendedOpenS === undefined ? {} : { longOpen: d.extendedOpenS }),
          ...(d.preAlarmS === undefined ? {} : { preAlarm: d.preAlarmS }),
        },
      ]),
    async write(session, token, value) {
      const [releaseS, openS, relockDelayS] = [value['release'], value['heldOpen'], value['relockDelay']].map(Number)
      await set(session, doorCodec, {
        token,
        name: text(value['name']),
        releaseS: releaseS ?? 0,
        openS: openS ?? 0,
        relockDelayS: relockDelayS ?? 0,
        ...(value['longRelease'] === undefined ? {} : { extendedReleaseS: Number(value['longRelease']) }),
        ...(value['longOpen'] === undefined ? {} : { extendedOpenS: Number(value['longOpen']) }),
        ...(value['preAlarm'] === undefined ? {} : { preAlarmS: Number(value['preAlarm']) }),
      })
      await writeAlarm(session, token, value['forcedAlarm'] === true)
    },
  },
  cardFormat: { kept: cardFormatCodec, read: readCardFormats, write: writeCardFormat },
  terminals: {
    kept: doorWiringCodec,
    async read(session, { wirings }) {
      const inputs = await list(session, digitalInputCodec, 'DigitalInputs')
      const idle = new Map(inputs.map((i) => [i.token, i.idle]))
      return [...wirings.values()].map((w) => [w.token, pointsOf(w, idle)])
    },
    write: writeTerminals,
  },
  behaviour: { kept: doorBehaviourCodec, read: readBehaviours, write: writeBehaviour },
  radio: { kept: doorRadioCodec, read: readRadio, write: writeRadio },
  reactions: { kept: doorReactionsCodec, read: readReactions, write: writeReactions },
  accessPoint: {
    kept: accessPointCodec,
    read: async (session) =>
      (await list(session, accessPointCodec)).map((a) => [
        a.token,
        { door: a.entity, name: a.name, from: a.areaFrom, to: a.areaTo },
      ]),
    write: (session, token, value) =>
      set(session, accessPointCodec, {
        token,
        name: text(value['name']),
        areaFrom: text(value['from']),
        areaTo: text(value['to']),
        entity: text(value['door']),
      }),
  },
  schedule: { kept: scheduleCodec, read: async (_session, { times }) => times.schedules, write: writeSchedule },
  specialDays: { kept: specialDayGroupCodec, read: async (_session, { times }) => times.loose },
  profile: {
    kept: accessProfileCodec,
    read: async (session) =>
      (await list(session, accessProfileCodec)).map((p) => {
        const policies = p.policies.map((x) => ({ at: x.entity, schedule: x.schedule }))
        return [
          p.token,
          {
            name: p.name,
            policies: policies.sort((a, b) => a.at.localeCompare(b.at) || a.schedule.localeCompare(b.schedule)),
          },
        ]
      }),
    write: (session, token, value) =>
      set(session, accessProfileCodec, {
        token,
        name: text(value['name']),
        policies: (value['policies'] as Dict[]).map((p) => ({ entity: text(p['at']), schedule: text(p['schedule']) })),
      }),
  },
  credential: {
    kept: credentialCodec,
    async read(session) {
      const found = await list(session, { ...credentialCodec, read: readCredential }, 'Credential')
      const states = await severalAtOnce(found, async (c) => {
        const answer = child(await session.call('tcr', el('tcr:GetCredentialState', el('tcr:Token', c.token))), 'State')
        return { enabled: textOf(answer, 'Enabled') !== 'false', reason: textOf(answer, 'Reason') }
      })
      return found.map((c, i) => [
        c.token,
        {
          holder: c.holder,
          format: formatOfType(c.format),
          card: c.value,
          enabled: states[i]?.enabled ?? true,
          ...reasonOf(states[i]),
          profiles: plainOf(c.profiles),
          ...limitedOf(c.profiles),
          ...(c.validFrom === undefined ? {} : { from: asMoment(c.validFrom) }),
          ...(c.validTo === undefined ? {} : { until: asMoment(c.validTo) }),
          ...(c.extendedGrantTime ? { longer: true } : {}),
          ...(c.code === undefined ? {} : { code: c.code }),
          ...(c.duress === undefined ? {} : { duress: c.duress }),
        },
      ])
    },
    write: (session, token, value) =>
      set(session, credentialCodec, {
        token,
        holder: text(value['holder']),
        format: typeOfFormat(text(value['format'])),
        value: text(value['card']),
        profiles: profilesOf(value),
        enabled: value['enabled'] === true,
        ...(value['reason'] === 'withdrawn' ? { reason: disabledReasons.withdrawn } : {}),
        ...(value['from'] === undefined ? {} : { validFrom: text(value['from']) }),
        ...(value['until'] === undefined ? {} : { validTo: text(value['until']) }),
        ...(value['longer'] === true ? { extendedGrantTime: true } : {}),
        ...(value['code'] === undefined ? {} : { code: text(value['code']) }),
        ...(value['duress'] === undefined ? {} : { duress: text(value['duress']) }),
      }),
  },
}

/** Lost is not said; any other reason is, also one that nobody here gave. */
function reasonOf(state: { enabled: boolean; reason: string } | undefined): { reason?: string } {
  const { reason } = state && !state.enabled ? disabledReason(state.reason) : {}
  if (reason === undefined) return {}
  return { reason: reason === disabledReasons.withdrawn ? 'withdrawn' : reason }
}

/** Tokens that the test cards' parts have on the device. */
const isTest = (token: string) => token.startsWith('rauta-')

/** The whole configuration of a device, brought to the job's canonical form. */
export async function readConfig(session: OnvifSession): Promise<Config> {
  const wirings = new Map((await list(session, doorWiringCodec)).map((w) => [w.token, w]))
  const groups = await list(session, specialDayGroupCodec)
  const reading: Reading = { wirings, times: timesOf(await list(session, scheduleCodec), groups) }
  const config: Record<string, Json> = {}
  for (const [name, handler] of Object.entries(handlers))
    for (const [token, value] of await handler.read(session, reading))
      config[partKey(name, token, isTest(token))] = value
  return config
}

/** Writes or removes one part. @throws DeviceError `unsupported` for a part of a kind that this protocol cannot keep */
export async function writePart(session: OnvifSession, operation: Operation): Promise<void> {
  const { name, token } = readKey(operation.key)
  const handler = Object.hasOwn(handlers, name) ? handlers[name] : undefined
  if (operation.do === 'remove') {
    if (!handler) throw new DeviceError('unsupported', `${operation.key} cannot be removed.`)
    return await remove(session, handler.kept, token)
  }
  if (!handler?.write) throw new DeviceError('unsupported', `${operation.key} is of no kind that this device knows.`)
  await handler.write(session, token, dict(operation.value))
}
