import { cardData, cardFault, cardFromData, cardName, formatName, usualFormat, type StoredCard } from '../../cards/card'
import { codeToken } from '../../access/codes'
import type { Person, Rule } from '../../access/records'
import { RulesByHolder, isLimited, profileOf, ruleOfProfile, ruleValidity, whoWords } from '../../access/rights'
import { validityOf, type Validity } from '../../access/validity'
import { groupsPassed } from '../../access/groups'
import { all, type Facts } from '../../job/facts'
import { jobOf } from '../../job/records'
import { wallText } from '../../time/wallClock'
import { canonicalJson, sameJson } from '../canonical'
import type { Json } from '../records'
import {
  asObject,
  fieldName,
  plainWords,
  shape,
  type Both,
  type Change,
  type PartKind,
  type Scene,
  type Wants,
} from './kind'
import { policiesAtDoor } from './profile'
import { groupsAskedFor, membersAt, membersProfile } from './reactions'
import { rulesHere } from './rules'

const text = { type: 'string' }
const names: Readonly<Record<string, string>> = {
  holder: 'Holder',
  format: 'Card format',
  card: 'Card',
  enabled: 'State',
  profiles: 'Passes as',
  limited: 'With an end',
  reason: 'Refused because',
  from: 'Valid from',
  until: 'Valid until',
  longer: 'Longer times',
  code: 'Code',
  duress: 'Code under duress',
}
const stateWords = (value: Json): string => {
  const { enabled, reason } = asObject(value)
  return enabled ? 'in use' : plainWords(reason ?? 'lost')
}

const profilesOf = new WeakMap<object, string[]>()
/** The profiles that a credential names, whatever a device told; a value is never altered where it lies. */
function profilesIn(value: Json | undefined): string[] {
  if (typeof value !== 'object' || value === null) return []
  let found = profilesOf.get(value)
  if (!found) {
    const { profiles, limited } = asObject(value)
    found = [
      ...(Array.isArray(profiles) ? profiles.map(plainWords) : []),
      ...limitedIn(limited).map((l) => plainWords(l['profile'])),
    ]
    profilesOf.set(value, found)
  }
  return found
}
const limitedIn = (value: Json | undefined) => (Array.isArray(value) ? value.map(asObject) : [])

/** A moment as a device is told it, and as it says it back. */
export const momentText = (ms: number): string => `${new Date(ms).toISOString().slice(0, 19)}Z`

/** When the time of the expired test card ended: before any clock that a device may have. */
const longPast = momentText(Date.UTC(2000, 0, 1))

/** What the test card had whose right has ended: all that the good one may. */
const endedRight = { profile: 'rauta-good', until: longPast }

const identifier = (card: StoredCard) => ({ format: card.format ?? usualFormat, card: cardData(card) })

const limits = ({ from, until }: Validity) => ({
  ...(from === undefined ? {} : { from: momentText(from) }),
  ...(until === undefined ? {} : { until: momentText(until) }),
})

/** What a device is told of somebody besides their cards; fields that say nothing are left out. */
const holding = (person: Person, zone: string) => ({
  ...limits(validityOf(person, zone)),
  ...(person.longer ? { longer: true } : {}),
})

/** A profile through which somebody passes between two moments; one of them may be open. */
interface Limited {
  profile: string
  from?: string
  until?: string
}

/** Through what somebody passes on one device. */
interface Through {
  profiles: string[]
  limited: Limited[]
}

/** What rules make somebody pass as. */
const throughOf = (facts: Facts, rules: readonly Rule[], member: readonly string[]): Through => ({
  profiles: [...new Set([...rules.filter((r) => !isLimited(r)).map(profileOf), ...member])].sort(),
  limited: rules
    .filter(isLimited)
    .map((r) => ({ profile: profileOf(r), ...limits(ruleValidity(facts, r)) }))
    .sort((a, b) => a.profile.localeCompare(b.profile)),
})

/** As members of which of the groups asked for somebody is known. */
function membershipsOf(facts: Facts, person: Person, asked: readonly string[]): string[] {
  const passed = groupsPassed(facts.group, person.groups)
  return asked.filter((group) => passed.includes(group)).map((group) => `${membersProfile}${group}`)
}

/** Format of a credential that has no card: whoever has it enters its code alone. */
export const codeFormat = 'code'
const noCard = { format: codeFormat, card: '0' }

/** Which codes count: beside cards, alone. */
interface CodesHere {
  withCards: boolean
  alone: boolean
}
/** @param asked how doors ask for a code; what is none of ours asks for none */
const codesFor = (asked: readonly unknown[]): CodesHere => ({
  withCards: asked.includes('with'),
  alone: asked.includes('instead') || asked.includes('alone'),
})
/** Which codes a device is told: none that none of its doors asks for. */
const codesHere = ({ doors, board }: Pick<Scene, 'doors' | 'board'>): CodesHere =>
  codesFor((board.controller?.abilities ?? []).includes('codes') ? doors.map((d) => d.behaviour.code) : [])
/** How a door asks for codes, by what its device holds or shall hold. */
const codesAskedAt = (door: string, { held, wanted }: Both): CodesHere =>
  codesFor([held, wanted].map((config) => asObject(config[`behaviour/${door}`])['code']))
const codesOf = ({ code, duress }: Pick<Person, 'code' | 'duress'>) => ({
  ...(code === undefined ? {} : { code }),
  ...(duress === undefined ? {} : { duress }),
})

const kept = new WeakMap<Person, Map<string, Wants>>()
/** Somebody's cards and code as a device holds them: the same values on every device through whose rules they pass alike. */
function cardsOf(person: Person, { profiles, limited }: Through, zone: string, codes: CodesHere): Wants {
  const through = canonicalJson([zone, profiles, limited as unknown as Json, { ...codes }])
  let byProfiles = kept.get(person)
  if (!byProfiles) kept.set(person, (byProfiles = new Map()))
  let cards = byProfiles.get(through)
  if (!cards) {
    const holder = `${person.number} ${person.name}`
    const passing = {
      profiles,
      ...(limited.length ? { limited: limited.map((l) => ({ ...l })) } : {}),
      ...holding(person, zone),
    }
    cards = Object.fromEntries(
      person.cards
        .filter((card) => cardFault(card) === null)
        .map((card) => [
          card.id,
          {
            holder,
            ...identifier(card),
            enabled: card.state === 'in use',
            ...(card.state === 'withdrawn' ? { reason: card.state } : {}),
            ...passing,
            ...(codes.withCards ? codesOf(person) : {}),
          },
        ]),
    )
    if (codes.alone && person.code !== undefined)
      cards[codeToken(person)] = { holder, ...noCard, enabled: true, ...passing, ...codesOf(person) }
    byProfiles.set(through, cards)
  }
  return cards
}

function momentWords(value: Json | undefined, facts: Facts): string {
  const at = typeof value === 'string' ? Date.parse(value) : NaN
  return Number.isNaN(at) ? plainWords(value) : wallText(at, jobOf(facts)?.zone ?? 'UTC')
}

const profileWords = (profile: string, facts: Facts): string => {
  if (profile.startsWith(membersProfile))
    return `member of ${facts.group[profile.slice(membersProfile.length)]?.name ?? profile}`
  const rule = ruleOfProfile(facts, profile)
  return rule ? whoWords(facts, rule) : (facts.group[profile]?.name ?? profile)
}
const limitedWords = ({ profile, from, until }: Readonly<Record<string, Json>>, facts: Facts): string =>
  [
    profileWords(plainWords(profile), facts),
    from === undefined ? '' : `from ${momentWords(from, facts)}`,
    until === undefined ? '' : `until ${momentWords(until, facts)}`,
  ]
    .filter(Boolean)
    .join(' ')

/** A card of somebody, with the groups through which it passes. */
export const credentialKind: PartKind = {
  name: 'credential',
  many: true,
  schema: shape(
    {
      holder: text,
      format: text,
      card: { type: 'string', pattern: '^[0-9A-F]+$' },
      enabled: { type: 'boolean' },
      /** Why it is not enabled; lost where it is not said. */
      reason: text,
      profiles: { type: 'array', items: text },
      /** Profiles that count between two moments alone. */
      limited: { type: 'array', items: shape({ profile: text, from: text, until: text }, ['from', 'until']) },
      /** UTC, to the second. */
      from: text,
      until: text,
      longer: { type: 'boolean' },
      /** Digits asked for besides. */
      code: text,
      duress: text,
    },
    ['reason', 'limited', 'from', 'until', 'longer', 'code', 'duress'],
  ),
  want(scene) {
    const zone = jobOf(scene.facts)?.zone ?? 'UTC'
    const rules = new RulesByHolder(rulesHere(scene))
    const codes = codesHere(scene)
    const wants: Wants = {}
    const asked = groupsAskedFor(scene)
    for (const person of all(scene.facts, 'person')) {
      const theirs = rules.of(scene.facts.group, person)
      if (theirs.length > 0) {
        const member = asked.length === 0 ? [] : membershipsOf(scene.facts, person, asked)
        const through = throughOf(scene.facts, theirs, member)
        Object.assign(wants, cardsOf(person, through, zone, codes))
      }
    }
    return wants
  },
  wantForTests({ kit }, scene) {
    const { board } = scene
    const good = ['rauta-good']
    // The good card is of every group that a reaction asks for, the second of none.
    const first = [...good, ...groupsAskedFor(scene).map((group) => `${membersProfile}${group}`)].sort()
    const codes = codesHere(scene)
    const kitCodes = kit.codes && codesOf({ code: kit.codes.good, duress: kit.codes.duress })
    const credential = (card: StoredCard, enabled: boolean, profiles: string[], more: Wants = {}): Json => ({
      holder: 'Test card',
      ...identifier(card),
      enabled,
      profiles,
      ...(codes.withCards ? kitCodes : {}),
      ...more,
    })
    return {
      'rauta-good': credential(kit.good, true, first),
      'rauta-lost': credential(kit.lost, false, good),
      'rauta-hours': credential(kit.outOfHours, true, ['rauta-hours']),
      ...(kit.ended && board.controller?.limitedRights
        ? { 'rauta-ended': credential(kit.ended, true, [], { limited: [endedRight] }) }
        : {}),
      ...(kit.expired ? { 'rauta-expired': credential(kit.expired, true, good, { until: longPast }) } : {}),
      ...(kit.second ? { 'rauta-second': credential(kit.second, true, good, { holder: 'Second test card' }) } : {}),
      ...(codes.alone && kitCodes
        ? { 'rauta-code': { holder: 'Test card', ...noCard, enabled: true, profiles: first, ...kitCodes } }
        : {}),
      ...(kit.longer ? { 'rauta-longer': credential(kit.longer, true, good, { longer: true }) } : {}),
    }
  },
  doorOf: () => null,
  /**
   * Through the profiles that pass this door; of those that don't it counts neither which there are nor until when. A code
   * counts where it is asked for.
   */
  touches(door, both) {
    const passing = new Set(policiesAtDoor(both, door).map((p) => p.profile))
    const passes = (profile: string) => passing.has(profile)
    const member = new Set(membersAt(both, door))
    const counts = (profile: string) => passes(profile) || member.has(profile)
    const asked = codesAskedAt(door, both)
    const here = (value: Json | undefined): Json => {
      if (value === undefined || !profilesIn(value).some(passes)) return null
      const { profiles, limited, code, duress, ...rest } = asObject(value)
      if (rest['format'] === codeFormat && !asked.alone) return null
      return {
        ...rest,
        ...(rest['format'] === codeFormat || asked.withCards ? { code: code ?? null, duress: duress ?? null } : {}),
        profiles: (Array.isArray(profiles) ? profiles : []).filter((p) => counts(plainWords(p))),
        limited: limitedIn(limited).filter((l) => passes(plainWords(l['profile']))),
      }
    }
    return ({ held, wanted }: Change) => !sameJson(here(held), here(wanted))
  },
  group: 'People',
  title({ held, wanted }) {
    const value = asObject(wanted ?? held)
    if (value['format'] === codeFormat) return 'Code'
    const card = cardFromData(plainWords(value['format']), plainWords(value['card']))
    return card ? `Card ${cardName(card)}` : 'Card'
  },
  summary: (value) => `${plainWords(asObject(value)['holder'])}, ${stateWords(value)}`,
  field(field, value, _other, facts) {
    const name = fieldName(names, field)
    // A code is nobody's to read on a preview or a list of differences.
    if (field === 'code' || field === 'duress') return { name, says: value === undefined ? 'none' : 'set' }
    if (field === 'enabled') return { name, says: value ? 'in use' : 'refused' }
    if (field === 'from' || field === 'until') return { name, says: momentWords(value, facts) }
    if (field === 'profiles')
      return {
        name,
        says: (Array.isArray(value) ? value : []).map((p) => profileWords(plainWords(p), facts)).join(', '),
      }
    if (field === 'limited')
      return {
        name,
        says: limitedIn(value)
          .map((l) => limitedWords(l, facts))
          .join(', '),
      }
    return { name, says: field === 'format' ? formatName(plainWords(value)) : plainWords(value) }
  },
}
