import { accessPlaces, accessPointToken, knowsWho } from '../../doors/accesspoints'
import type { Door } from '../../doors/door'
import { canonicalJson } from '../canonical'
import type { Config, Json } from '../records'
import { doorNamed } from './accessPoint'
import { asObject, plainWords, shape, type Both, type PartKind, type Scene } from './kind'
import { profileOf, ruleOfProfile, whoWords } from '../../access/rights'
import { groupsAskedFor, membersAt, membersProfile } from './reactions'
import { rulesHere } from './rules'

/** Where a group may pass, and on which schedule. */
export interface Policy {
  at: string
  schedule: string
}

const text = { type: 'string' }
/** Of groups, and of what bears the test cards' names. */
const keyPrefixes = ['profile/', 'test/profile/']

const textOf = (value: Json | undefined): string => (typeof value === 'string' ? value : '')

/** Policies of a profile's value, whatever a device told. */
export function policiesIn(value: Json | undefined): Policy[] {
  const list = asObject(value)['policies']
  return Array.isArray(list)
    ? list.map(asObject).map((p) => ({ at: textOf(p['at']), schedule: textOf(p['schedule']) }))
    : []
}

type ProfilePolicy = Policy & { profile: string }
const kept = new WeakMap<Config, ProfilePolicy[]>()
function policiesHeldBy(config: Config): ProfilePolicy[] {
  let found = kept.get(config)
  if (!found) {
    found = Object.entries(config).flatMap(([key, value]) => {
      const prefix = keyPrefixes.find((p) => key.startsWith(p))
      return prefix === undefined ? [] : policiesIn(value).map((p) => ({ ...p, profile: key.slice(prefix.length) }))
    })
    kept.set(config, found)
  }
  return found
}

/** Whether an access point passes a door: by its name, or by what the device says of it. */
const isAt = (at: string, door: string, held: Config): boolean =>
  at.startsWith(`${door}.`) || doorNamed(held[`accessPoint/${at}`]) === door

/** Policies of every profile in both configurations that are about a door, each with its profile's token. */
export const policiesAtDoor = ({ held, wanted }: Both, door: string): ProfilePolicy[] =>
  [...policiesHeldBy(held), ...policiesHeldBy(wanted)].filter((p) => isAt(p.at, door, held))

/** What a group may do at one door, so that a change elsewhere in the group does not count here. */
const policiesAt = (value: Json | undefined, door: string, held: Config): string =>
  canonicalJson(policiesIn(value).filter((p) => isAt(p.at, door, held)) as unknown as Json)

const sorted = (policies: Policy[]): Json =>
  [...policies].sort((a, b) => a.at.localeCompare(b.at) || a.schedule.localeCompare(b.schedule)).map((p) => ({ ...p }))

const placesOf = (scene: Scene, door: Door) => accessPlaces(door, scene.sheets)

/** Whose it is: a group, or one rule that is somebody's alone or ends by itself. */
function profileName(facts: Scene['facts'], profile: string): string {
  if (profile.startsWith(membersProfile)) {
    const group = profile.slice(membersProfile.length)
    return `Members of ${facts.group[group]?.name ?? group}`
  }
  const rule = ruleOfProfile(facts, profile)
  if (!rule) return facts.group[profile]?.name ?? profile
  return whoWords(facts, rule)
}

/** A group, or a rule of its own: where it may pass on which schedule. */
export const profileKind: PartKind = {
  name: 'profile',
  schema: shape({ name: text, policies: { type: 'array', items: shape({ at: text, schedule: text }) } }),
  want(scene) {
    const rules = rulesHere(scene)
    // Whom a reaction asks for is told apart from where anybody may pass: by being known so alone nobody gets in anywhere.
    const members = groupsAskedFor(scene).map((group) => `${membersProfile}${group}`)
    return Object.fromEntries(
      [...new Set([...rules.map(profileOf), ...members])].map((profile) => {
        const policies = rules
          .filter((r) => profileOf(r) === profile)
          .flatMap((rule) =>
            scene.doors
              .filter((d) => rule.doors.includes(d.id))
              .flatMap((door) =>
                placesOf(scene, door).map(({ part }) => ({
                  at: accessPointToken(door, part.id),
                  schedule: rule.schedule,
                })),
              ),
          )
        return [profile, { name: profileName(scene.facts, profile), policies: sorted(policies) }]
      }),
    )
  },
  wantForTests({ doors }, scene) {
    const at = doors.flatMap((door) =>
      placesOf(scene, door)
        .filter(knowsWho)
        .map((place) => accessPointToken(door, place.part.id)),
    )
    const profile = (schedule: string): Json => ({
      name: schedule,
      policies: sorted(at.map((a) => ({ at: a, schedule }))),
    })
    return { 'rauta-good': profile('rauta-always'), 'rauta-hours': profile('rauta-never') }
  },
  doorOf: () => null,
  within(held, given) {
    const may = new Set(policiesIn(given).map((p) => canonicalJson({ ...p })))
    return policiesIn(held).every((p) => may.has(canonicalJson({ ...p })))
  },
  /** Those that pass it, and those that one of its reactions asks for. */
  touches(door, both) {
    const asked = new Set(membersAt(both, door))
    return ({ token, held, wanted }) =>
      asked.has(token) || policiesAt(held, door, both.held) !== policiesAt(wanted, door, both.held)
  },
  group: 'People',
  title({ token }, facts) {
    const name = profileName(facts, token)
    if (token.startsWith(membersProfile)) return name
    return `${ruleOfProfile(facts, token) ? 'Right of' : 'Group'} ${name}`
  },
  summary: (value, facts) => doorsOf(value, facts),
  field: (field, value, _other, facts) =>
    field === 'policies'
      ? { name: 'May pass', says: doorsOf({ policies: value ?? [] }, facts) }
      : { name: field === 'name' ? 'Name' : field, says: plainWords(value) },
}

function doorsOf(value: Json, facts: Scene['facts']): string {
  const refs = new Set(policiesIn(value).map((p) => facts.door[p.at.split('.')[0] ?? '']?.ref ?? '?'))
  return refs.size ? [...refs].join(', ') : 'nobody'
}
