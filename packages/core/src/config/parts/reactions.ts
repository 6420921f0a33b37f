import { groupPath } from '../../access/groups'
import type { Door } from '../../doors/door'
import type { Facts } from '../../job/facts'
import { actWords, causeFacts, drivenBy, panelWay } from '../../reactions/causes'
import {
  panelPulseS,
  reactionsAt,
  twiceWithinS,
  type Reaction,
  type ReactionAct,
  type ReactionCause,
} from '../../reactions/records'
import type { Json } from '../records'
import { asObject, plainWords, seconds, shape, type Both, type PartKind, type Scene, type Timers } from './kind'

const text = { type: 'string' }

/** What a device knows the members of a group by, wherever they may pass or not. */
export const membersProfile = 'members.'

/** Reactions at the doors of a scene, where its controller keeps any. */
export const reactionsHere = ({ facts, doors, board }: Pick<Scene, 'facts' | 'doors' | 'board'>): Reaction[] =>
  board.controller?.reactions ? doors.flatMap((door) => reactionsAt(facts, door.id)) : []

/** Groups that a reaction at these doors asks for. */
export const groupsAskedFor = (scene: Pick<Scene, 'facts' | 'doors' | 'board'>): string[] => [
  ...new Set(reactionsHere(scene).flatMap((r) => (r.group === undefined ? [] : [r.group]))),
]

/** What follows what at a door, as its controller does it alone. Only of a door that has reactions. */
export const reactionsKind: PartKind = {
  name: 'reactions',
  schema: {
    type: 'object',
    additionalProperties: shape(
      {
        when: text,
        input: text,
        members: text,
        twiceWithin: { type: 'number', minimum: 0 },
        schedule: text,
        then: text,
        output: text,
        seconds: { type: 'number', minimum: 0 },
        lets: text,
        unless: text,
        is: text,
      },
      ['input', 'members', 'twiceWithin', 'schedule', 'output', 'seconds', 'lets', 'unless', 'is'],
    ),
  },
  want: (scene) => byDoor(scene, scene.doors, (door, kept) => Object.fromEntries(valuesAt(scene.facts, door, kept))),
  /** Reactions that count in some hours alone are proved at any: a second one without the hours stands beside while the test cards do. */
  wantForTests: ({ doors }, scene) =>
    Object.fromEntries(
      Object.entries(
        byDoor(scene, doors, (door, kept) =>
          Object.fromEntries(
            valuesAt(scene.facts, door, kept).flatMap(([id, { schedule, ...value }]) =>
              schedule === undefined ? [] : [[id, value]],
            ),
          ),
        ),
      ).map(([door, value]) => [`${testReactions}${door}`, value]),
    ),
  doorOf: (token) => (token.startsWith(testReactions) ? token.slice(testReactions.length) : token),
  group: 'Doors',
  title: () => 'Reactions',
  summary: (value, facts) =>
    Object.values(asObject(value))
      .map((reaction) => `when ${causeWords(reaction)}: ${words(reaction, facts)}`)
      .join('; '),
  field: (field, value, other, facts) => ({
    name: Object.hasOwn(facts.reaction, field) ? `When ${causeWords(value ?? other)}` : `Reaction ${field}`,
    says: value === undefined ? 'nothing follows' : words(value, facts),
  }),
}

/** Memberships that reactions of a door ask for, by what its device holds or shall hold. */
export const membersAt = ({ held, wanted }: Both, door: string): string[] =>
  [held, wanted].flatMap((config) =>
    Object.values(asObject(config[`reactions/${door}`])).flatMap((r) => {
      const { members } = asObject(r)
      return members === undefined ? [] : [plainWords(members)]
    }),
  )

/** Begins the token of what stands beside a door's reactions for its tests. */
export const testReactions = 'rauta-'

type Value = Record<string, Json>

function byDoor(
  scene: Scene,
  doors: readonly Door[],
  valueOf: (door: Door, kept: Timers) => Value,
): Record<string, Json> {
  if (!scene.board.controller?.reactions) return {}
  return Object.fromEntries(
    doors.flatMap((door) => {
      const value = valueOf(door, scene.timers(door))
      return Object.keys(value).length ? [[door.id, value]] : []
    }),
  )
}

/** Reactions at a door that its controller can do: what can't be done stops the door. */
const valuesAt = (facts: Facts, door: Door, kept: Timers): [string, Value][] =>
  reactionsAt(facts, door.id).flatMap((r) => {
    const act = actOf(door, r, kept)
    return act ? [[r.id, { ...causeOf(r), ...act }]] : []
  })

const causeOf = (r: Reaction): Value => ({
  when: r.when,
  ...(r.part === undefined ? {} : { input: r.part }),
  ...(r.group === undefined ? {} : { members: `${membersProfile}${r.group}` }),
  ...(r.twice ? { twiceWithin: twiceWithinS } : {}),
  ...(r.schedule === undefined ? {} : { schedule: r.schedule }),
})

function actOf(door: Door, r: Reaction, kept: Timers): Value | null {
  if (r.then === 'release') return { then: 'release', lets: r.lets ?? '' }
  const output = drivenBy(door, r)?.id
  if (output === undefined) return null
  if (r.then === 'hold') return { then: 'hold', output }
  if (r.then === 'pulse') return { then: 'pulse', output, seconds: kept('Time of a reaction', r.seconds ?? 0) }
  const way = panelWay(door, r.then)
  const blocks: Value =
    way?.turns && way.state ? { unless: way.state.id, is: r.then === 'setPanel' ? 'active' : 'idle' } : {}
  return { then: 'pulse', output, seconds: kept('Time of a line to the alarm panel', panelPulseS), ...blocks }
}

const isOneOf = <T extends object>(known: T, word: string): word is Extract<keyof T, string> =>
  Object.hasOwn(known, word)

function causeWords(value: Json | undefined): string {
  const { when, input } = asObject(value)
  const word = plainWords(when)
  const says = isOneOf<Record<ReactionCause, unknown>>(causeFacts, word) ? causeFacts[word].says : word
  return input === undefined ? says : says.replace('an input', plainWords(input))
}

/** A reaction as a device holds it, in words. */
function words(value: Json, facts: Facts): string {
  const v = asObject(value)
  const then = plainWords(v['then'])
  const says = isOneOf<Record<ReactionAct, unknown>>(actWords, then) ? actWords[then] : then
  const group = plainWords(v['members']).replace(membersProfile, '')
  return [
    says,
    v['output'] === undefined ? '' : plainWords(v['output']),
    v['lets'] === undefined ? '' : (facts.door[plainWords(v['lets'])]?.ref ?? plainWords(v['lets'])),
    v['seconds'] === undefined ? '' : `for ${seconds(v['seconds'])}`,
    v['unless'] === undefined ? '' : `unless ${plainWords(v['unless'])} is ${plainWords(v['is'])}`,
    v['members'] === undefined ? '' : `for ${groupPath(facts.group, group) || group}`,
    v['twiceWithin'] === undefined ? '' : `twice within ${seconds(v['twiceWithin'])}`,
    v['schedule'] === undefined
      ? ''
      : `in ${facts.schedule[plainWords(v['schedule'])]?.name ?? plainWords(v['schedule'])}`,
  ]
    .filter(Boolean)
    .join(', ')
}
