import { asObject, fieldName, plainWords, seconds, shape, type PartKind } from './kind'

const longestOpenS = 3600
const time = { type: 'number', minimum: 0 }
const names: Readonly<Record<string, string>> = {
  name: 'Name',
  release: 'Release time',
  heldOpen: 'Open time',
  relockDelay: 'Delay before relock',
  forcedAlarm: 'Forced-open alarm',
  longRelease: 'Longer release',
  longOpen: 'Longer open time',
  preAlarm: 'Warning before the held-open alarm',
}
const timed = new Set(['release', 'heldOpen', 'relockDelay', 'longRelease', 'longOpen', 'preAlarm'])

/** How a door behaves: its times, and whether an opening without a release alarms. */
export const doorKind: PartKind = {
  name: 'door',
  schema: shape(
    {
      name: { type: 'string' },
      release: time,
      heldOpen: time,
      relockDelay: time,
      forcedAlarm: { type: 'boolean' },
      longRelease: time,
      longOpen: time,
      preAlarm: time,
    },
    ['longRelease', 'longOpen', 'preAlarm'],
  ),
  want: ({ doors, board, timers }) =>
    Object.fromEntries(
      doors.map((door) => {
        const b = door.behaviour
        const kept = timers(door)
        const value = {
          name: `${door.ref} ${door.name}`,
          release: kept('Release time', b.releaseS),
          heldOpen: kept('Open time', b.heldOpenS, longestOpenS),
          relockDelay: b.relockDelayS === 0 ? 0 : kept('Delay before relock', b.relockDelayS),
          forcedAlarm: b.forcedAlarm,
          ...(b.longReleaseS === undefined ? {} : { longRelease: kept('Longer release', b.longReleaseS) }),
          ...(b.longOpenS === undefined ? {} : { longOpen: kept('Longer open time', b.longOpenS, longestOpenS) }),
          ...(b.preAlarmS === undefined || !board.controller?.abilities?.includes('preAlarm')
            ? {}
            : { preAlarm: kept('Warning before the held-open alarm', b.preAlarmS, longestOpenS) }),
        }
        return [door.id, value]
      }),
    ),
  doorOf: (token) => token,
  group: 'Doors',
  title: () => 'Door',
  summary(value) {
    const door = asObject(value)
    return `${plainWords(door['name'])}, release ${seconds(door['release'])}, open ${seconds(door['heldOpen'])}`
  },
  field: (field, value) => ({
    name: fieldName(names, field),
    says: timed.has(field) ? seconds(value) : plainWords(value),
  }),
}
