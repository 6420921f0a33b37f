import { asksFor, type DoorAbility } from '../../doors/abilities'
import { codeWords, passbackWords } from '../../doors/likeness'
import type { Json } from '../records'
import { asObject, fieldName, plainWords, seconds, shape, type PartKind, type Timers } from './kind'
import type { DeviceSheet } from '../../devices/sheet'
import { withoutWords, type Door } from '../../doors/door'

const time = { type: 'number', minimum: 0 }
const text = { type: 'string' }
/** Longest time that any of these may have, s: a day. */
const longestS = 86_400

const names: Readonly<Record<string, string>> = {
  unlockAfter: 'Delay before unlocking',
  relockAt: 'Locks again at',
  freeOn: 'Free on',
  barredOn: 'Barred on',
  firstPerson: 'Freed by the first person',
  code: 'Code',
  pairWithin: 'Second person within',
  reentry: 'Nobody enters twice within',
  passback: 'Entering twice without leaving',
  passbackFor: 'Forgotten after',
  decidedBy: 'Who comes in is decided by',
  reachFor: 'Out of reach after',
  without: 'Without who decides',
}
const timed = new Set(['unlockAfter', 'pairWithin', 'reentry', 'passbackFor', 'reachFor'])
const scheduled = new Set(['freeOn', 'barredOn'])

/** What a door does beyond its plain times: its own hours, and what holds whoever comes in. Only of a door that asks for any of it. */
export const behaviourKind: PartKind = {
  name: 'behaviour',
  schema: {
    ...shape(
      {
        unlockAfter: time,
        relockAt: text,
        freeOn: text,
        barredOn: text,
        firstPerson: { type: 'boolean' },
        code: text,
        pairWithin: time,
        reentry: time,
        passback: text,
        passbackFor: time,
        decidedBy: text,
        reachFor: time,
        without: text,
      },
      Object.keys(names),
    ),
  },
  want: ({ doors, board, timers }) =>
    Object.fromEntries(
      doors.flatMap((door) => {
        const value = valueOf(door, board, timers(door))
        return Object.keys(value).length ? [[door.id, value]] : []
      }),
    ),
  doorOf: (token) => token,
  group: 'Doors',
  title: () => 'Own rules',
  summary: (value, facts) =>
    Object.entries(asObject(value))
      .map(
        ([field, v]) => `${fieldName(names, field).toLowerCase()} ${says(field, v, (id) => facts.schedule[id]?.name)}`,
      )
      .join(', '),
  field: (field, value, _other, facts) => ({
    name: fieldName(names, field),
    says: says(field, value, (id) => facts.schedule[id]?.name),
  }),
}

const deciderWords: Readonly<Record<string, string>> = { server: 'the server' }

function says(field: string, value: Json | undefined, nameOf: (schedule: string) => string | undefined): string {
  if (timed.has(field)) return seconds(value)
  const word = plainWords(value)
  if (scheduled.has(field)) return nameOf(word) ?? word
  const words: Readonly<Record<string, string>> =
    { passback: passbackWords, code: codeWords, decidedBy: deciderWords, without: withoutWords }[field] ?? {}
  return Object.hasOwn(words, word) ? (words[word] ?? word) : word
}

/** What the door asks for and this type of controller can keep; what it can't stops the door. */
function valueOf(door: Door, board: DeviceSheet, kept: Timers): { [field: string]: Json } {
  const b = door.behaviour
  const can = (ability: DoorAbility) => asksFor(ability, door) && (board.controller?.abilities ?? []).includes(ability)
  const value: { [field: string]: Json } = {}
  if (can('unlockDelay')) value['unlockAfter'] = kept('Delay before unlocking', b.unlockAfterS ?? 0, longestS)
  if (can('relockAtOpening')) value['relockAt'] = b.relockAt ?? ''
  if (can('ownHours')) {
    if (b.freeOn !== undefined) value['freeOn'] = b.freeOn
    if (b.barredOn !== undefined) value['barredOn'] = b.barredOn
  }
  if (can('firstPerson')) value['firstPerson'] = true
  if (can('codes')) value['code'] = b.code ?? ''
  if (can('twoPeople')) value['pairWithin'] = kept('Time for the second person', b.pairWithinS ?? 0, longestS)
  if (can('reentry')) value['reentry'] = kept('Time in which nobody enters twice', b.reentryS ?? 0, longestS)
  if (can('passback')) {
    value['passback'] = b.passback ?? ''
    if (b.passbackS !== undefined)
      value['passbackFor'] = kept('Time after which it is forgotten', b.passbackS, longestS)
  }
  if (door.decides && can('serverDecides')) {
    value['decidedBy'] = door.decides.by
    value['reachFor'] = kept('Time after which the server is out of reach', door.decides.afterS, longestS)
    value['without'] = door.decides.then
  }
  return value
}
