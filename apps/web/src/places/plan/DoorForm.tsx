import {
  all,
  decidingFindings,
  areaTree,
  isKind,
  nextRef,
  openingKinds,
  openingWords,
  partRoles,
  roleFacts,
  withoutWords,
  type Decides,
  type Door,
  type OpeningKind,
  type PartRole,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Field, typedNumber } from '../../parts/Field'
import { Findings } from '../../parts/Findings'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { usualPart } from '../../state/usual'

const thens: readonly Decides['then'][] = ['knownCards', 'staysShut', 'opens']

/** Roles that most doors have; the others are shown when they are asked for. */
const usual: readonly PartRole[] = ['entryReader', 'exitReader', 'lock', 'contact', 'exit', 'breakGlass']

interface Form {
  ref: string
  name: string
  from: string
  to: string
  passages: string
  escapeRoute: boolean
  handle: boolean
  otherWayOut: boolean
  outdoor: boolean
  pinned: boolean
  opening: OpeningKind
  by: Decides['by']
  after: string
  then: Decides['then']
  x: string
  y: string
  hardware: Partial<Record<PartRole, string>>
}
const formOf = (door: Door | undefined, ref: string, firstArea: string, first: Form['hardware']): Form => ({
  ref,
  name: door?.name ?? '',
  from: door?.from ?? firstArea,
  to: door?.to ?? firstArea,
  passages: String(door?.passagesPerDay ?? 0),
  escapeRoute: door?.escapeRoute ?? false,
  handle: door?.handle ?? false,
  otherWayOut: door?.otherWayOut ?? false,
  outdoor: door?.outdoor ?? false,
  pinned: door?.pinned ?? false,
  opening: door?.opening ?? 'door',
  by: door?.decides?.by ?? 'controller',
  after: String(door?.decides?.afterS ?? 10),
  then: door?.decides?.then ?? 'knownCards',
  x: door?.at ? String(door.at.x) : '',
  y: door?.at ? String(door.at.y) : '',
  hardware: door ? Object.fromEntries(door.parts.map((p) => [p.role, p.sheet])) : first,
})

const readableId = (ref: string): boolean => /^[A-Za-z0-9_.:-]+$/.test(ref)

/** What is sent of what was typed. A number that is none goes as it was typed: the check says so at its field. */
function fieldsOf(form: Form, door: Door | undefined) {
  const placed = form.x.trim() !== '' || form.y.trim() !== ''
  return {
    ref: form.ref.trim(),
    name: form.name.trim(),
    from: form.from,
    to: form.to,
    passagesPerDay: typedNumber(form.passages),
    escapeRoute: form.escapeRoute,
    handle: form.handle,
    ...(door?.otherWayOut !== undefined || form.otherWayOut ? { otherWayOut: form.otherWayOut } : {}),
    outdoor: form.outdoor,
    pinned: form.pinned,
    opening: form.opening,
    ...(placed ? { at: { x: typedNumber(form.x), y: typedNumber(form.y) } } : {}),
    ...(door?.decides || form.by !== 'controller' ? { decides: decidesOf(form) } : {}),
    hardware: Object.fromEntries(Object.entries(form.hardware).filter(([, sheet]) => sheet)),
  }
}

const decidesOf = (form: Form): Decides => ({ by: form.by, afterS: typedNumber(form.after), then: form.then })

/** What follows from who is chosen to decide, before it is kept. */
function Following({ door }: { door: Door }) {
  const facts = useFacts()
  const found = decidingFindings(facts, door, sheetsFor(facts))
  const gravest = (['stop', 'warn', 'note'] as const).flatMap((grade) => found.filter((f) => f.grade === grade))
  return <Findings list={gravest} />
}

/** Adds or edits a door and chooses its hardware from the device sheets. */
export function DoorForm({
  door,
  like,
  onDone,
}: {
  door?: Door
  /** One that the new door is made like. */ like?: Door
  onDone: (id: string) => void
}) {
  const facts = useFacts()
  const [otherId] = useState(() => v7())
  const areas = all(facts, 'area')
  const refs = all(facts, 'door').map((d) => d.ref)
  const ref = door?.ref ?? (like ? nextRef(like.ref, refs) : '')
  const command = door ? 'door.edit' : 'door.add'
  const form = useCommandForm<'door.add' | 'door.edit', Form>({
    command,
    draft: `door-${door?.id ?? (like ? `like-${like.id}` : 'new')}`,
    first: formOf(door ?? like, ref, areas[0]?.id ?? '', {
      entryReader: usualPart(facts, 'entryReader'),
      lock: usualPart(facts, 'lock'),
      contact: usualPart(facts, 'contact'),
    }),
    payload: (typed) => {
      const fields = { ...fieldsOf(typed, door), ...alsoFrom(like) }
      if (door) return { id: door.id, fields: changed(door, fields) }
      // The reference makes a readable address; where a renamed door has it as its id already, any id will do.
      return { id: readableId(fields.ref) && !facts.door[fields.ref] ? fields.ref : otherId, fields }
    },
    fields: { passagesPerDay: 'passages', at: 'x', 'at.x': 'x', 'at.y': 'y', 'decides.afterS': 'after' },
    onSent: ({ id }) => onDone(id),
  })
  if (areas.length === 0)
    return (
      <Screen title="Add a door" bar={<Action label="Add areas first" onPress={() => router.push('/job')} />}>
        <Notice tone="slate">A door leads from one area to another, and this job has no area yet.</Notice>
      </Screen>
    )
  const { value, set, error } = form
  return (
    <Screen
      title={titleOf(door, like)}
      bar={<Action label={door ? 'Save the changes' : 'Add the door'} onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Field
          label="Reference"
          value={value.ref}
          onChange={set('ref')}
          hint={`${areas[0]?.code ?? 'Q'}-04`}
          mono
          error={error('ref')}
        />
        <Field
          label="Name"
          value={value.name}
          onChange={set('name')}
          hint="What people call it"
          error={error('name')}
        />
        <Pick
          label="Leads from"
          value={value.from}
          options={areaTree(areas).map(({ area, depth }) => ({
            value: area.id,
            label: `${'  '.repeat(depth)}${area.name}`,
          }))}
          onChange={set('from')}
          error={error('from')}
        />
        <Pick
          label="Leads to"
          value={value.to}
          options={areaTree(areas).map(({ area, depth }) => ({
            value: area.id,
            label: `${'  '.repeat(depth)}${area.name}`,
          }))}
          onChange={set('to')}
          error={error('to')}
        />
        <Field
          label="Passages per day"
          value={value.passages}
          onChange={set('passages')}
          keyboard="numeric"
          mono
          error={error('passages')}
        />
        <Pick
          label="Opening"
          value={value.opening}
          options={openingKinds.map((k) => ({ value: k, label: openingWords[k] }))}
          onChange={set('opening')}
        />
        <Tick
          label="On an escape route"
          on={value.escapeRoute}
          onPress={() => set('escapeRoute')(!value.escapeRoute)}
        />
        <Tick
          label="A handle opens it from the secured side"
          on={value.handle}
          onPress={() => set('handle')(!value.handle)}
        />
        {value.escapeRoute ? null : (
          <Tick
            label="Whoever is inside has another way out"
            on={value.otherWayOut}
            onPress={() => set('otherWayOut')(!value.otherWayOut)}
          />
        )}
        <Tick
          label="Its unsecured side is out of doors"
          on={value.outdoor}
          onPress={() => set('outdoor')(!value.outdoor)}
        />
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <Field
              label="East on the grid, m"
              value={value.x}
              onChange={set('x')}
              keyboard="decimal"
              mono
              error={error('x')}
            />
          </View>
          <View style={{ flex: 1 }}>
            <Field label="North, m" value={value.y} onChange={set('y')} keyboard="decimal" mono error={error('y')} />
          </View>
        </View>
        <Tick label="It stays where it is placed" on={value.pinned} onPress={() => set('pinned')(!value.pinned)} />
      </Sheet>
      <Hardware hardware={value.hardware} onChange={set('hardware')} error={error} />
      <Sheet title="Who decides">
        <Pick
          label="Whether somebody passes is decided by"
          value={value.by}
          options={[
            { value: 'controller', label: 'the controller' },
            { value: 'server', label: 'the server' },
            { value: 'reader', label: 'the reader' },
            { value: 'lock', label: 'the lock' },
          ]}
          onChange={set('by')}
        />
        {value.by === 'controller' ? null : (
          <>
            <Field
              label="Out of reach for so many seconds"
              value={value.after}
              onChange={set('after')}
              keyboard="numeric"
              mono
              error={error('after')}
            />
            <Pick
              label="Then"
              value={value.then}
              options={thens.map((then) => ({ value: then, label: withoutWords[then] }))}
              onChange={set('then')}
            />
          </>
        )}
        {door ? <Following door={{ ...door, decides: decidesOf(value) }} /> : null}
      </Sheet>
      {door ? <TakeAway kind="door" id={door.id} name={door.ref} onGone={() => router.push('/doors')} /> : null}
    </Screen>
  )
}

const titleOf = (door: Door | undefined, like: Door | undefined): string => {
  if (door) return `Edit ${door.ref}`
  return like ? `Add a door like ${like.ref}` : 'Add a door'
}

/** A device for each role; what few doors have is out of the way until it is asked for. */
function Hardware({
  hardware,
  onChange,
  error,
}: {
  hardware: Form['hardware']
  onChange: (hardware: Form['hardware']) => void
  error: (field: string) => string | undefined
}) {
  const facts = useFacts()
  const [more, setMore] = useState(false)
  const shown = partRoles.filter((role) => more || usual.includes(role) || hardware[role])
  return (
    <Sheet title="Hardware">
      <View>
        {shown.map((role) => (
          <Pick
            key={role}
            label={roleFacts[role].says}
            value={hardware[role] ?? ''}
            error={error(`hardware.${role}`)}
            onChange={(v) => onChange({ ...hardware, [role]: v })}
            options={[
              { value: '', label: role === 'lock' ? 'None yet' : 'None' },
              ...Object.values(sheetsFor(facts))
                .filter((s) => isKind(s, roleFacts[role].kind))
                .map((s) => ({ value: s.id, label: s.name })),
            ]}
          />
        ))}
      </View>
      {shown.length < partRoles.length ? (
        <Action
          kind="plain"
          label="More: second leaf, bolt contact, sensor, desk button, opener, tamper, spare, sounder, alarm panel"
          onPress={() => setMore(true)}
        />
      ) : null}
    </Sheet>
  )
}

/** What a door made like another takes over besides what the form shows. */
const alsoFrom = (like: Door | undefined) =>
  like
    ? {
        behaviour: like.behaviour,
        ...(like.ends ? { ends: like.ends } : {}),
        ...(like.drive ? { drive: like.drive } : {}),
      }
    : {}

/** Only what was altered, so that an edit that meets another touches no more than it must. */
function changed(door: Door, fields: Record<string, unknown>): Record<string, unknown> {
  const before: Record<string, unknown> = {
    // What a door does not say is as if it said so.
    outdoor: false,
    pinned: false,
    otherWayOut: false,
    opening: 'door',
    ...door,
    hardware: Object.fromEntries(door.parts.map((p) => [p.role, p.sheet])),
  }
  return Object.fromEntries(
    Object.entries(fields).filter(([key, value]) => JSON.stringify(before[key]) !== JSON.stringify(value)),
  )
}
