import {
  all,
  areaTree,
  isKind,
  nextRef,
  openingKinds,
  openingWords,
  partRoles,
  roleFacts,
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
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { fieldOf, saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { useDraft } from '../../state/draft'
import { showFirstWrong } from '../../state/firstWrong'
import { usualPart } from '../../state/usual'

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
  const send = useJob((s) => s.send)
  const areas = all(facts, 'area')
  const [form, setForm, forget] = useDraft<Form>(
    `door-${door?.id ?? (like ? `like-${like.id}` : 'new')}`,
    formOf(
      door ?? like,
      door?.ref ??
        (like
          ? nextRef(
              like.ref,
              all(facts, 'door').map((d) => d.ref),
            )
          : ''),
      areas[0]?.id ?? '',
      {
        entryReader: usualPart(facts, 'entryReader'),
        lock: usualPart(facts, 'lock'),
        contact: usualPart(facts, 'contact'),
      },
    ),
  )
  const [wrong, setWrongAt] = useState<{ says: string; field: string | undefined } | null>(null)
  const setWrong = (found: { says: string; field: string | undefined }) => {
    setWrongAt(found)
    showFirstWrong()
  }
  const set = <K extends keyof Form>(key: K, value: Form[K]) => setForm({ ...form, [key]: value })
  const submit = async () => {
    const passagesPerDay = numberIn(form.passages)
    if (passagesPerDay === null || passagesPerDay < 0 || !Number.isInteger(passagesPerDay)) {
      setWrong({ says: 'Passages per day must be a whole number, 0 or more.', field: 'passages' })
      return
    }
    const [x, y, afterS] = [form.x, form.y, form.after].map(numberIn)
    if ((form.x.trim() || form.y.trim()) && (x == null || y == null)) {
      setWrong({ says: 'A place on the grid needs both, east and north, in metres.', field: 'at' })
      return
    }
    if (form.by !== 'controller' && (afterS == null || afterS < 0)) {
      setWrong({ says: 'Write after how many seconds, for example 10.', field: 'after' })
      return
    }
    const hardware = Object.fromEntries(Object.entries(form.hardware).filter(([, sheet]) => sheet))
    const fields = {
      ref: form.ref.trim(),
      name: form.name.trim(),
      from: form.from,
      to: form.to,
      passagesPerDay,
      escapeRoute: form.escapeRoute,
      handle: form.handle,
      ...(door?.otherWayOut !== undefined || form.otherWayOut ? { otherWayOut: form.otherWayOut } : {}),
      outdoor: form.outdoor,
      pinned: form.pinned,
      opening: form.opening,
      ...(x != null && y != null ? { at: { x, y } } : {}),
      ...(door?.decides || form.by !== 'controller'
        ? { decides: { by: form.by, afterS: afterS ?? 10, then: form.then } }
        : {}),
      ...alsoFrom(like),
      hardware,
    }
    try {
      // The reference makes a readable address; where a renamed door has it as its id already, any id will do.
      const id = door?.id ?? (facts.door[form.ref.trim()] ? v7() : form.ref.trim())
      await send(door ? 'door.edit' : 'door.add', { id, fields: door ? changed(door, fields) : fields })
      forget()
      onDone(id)
    } catch (error) {
      setWrong({ says: saysOf(error), field: fieldOf(error) })
    }
  }
  const error = (field: string) =>
    wrong?.field === field || wrong?.field === `fields.${field}` ? wrong.says : undefined
  if (areas.length === 0)
    return (
      <Screen title="Add a door" bar={<Action label="Add areas first" onPress={() => router.push('/job')} />}>
        <Notice tone="slate">A door leads from one area to another, and this job has no area yet.</Notice>
      </Screen>
    )
  return (
    <Screen
      title={titleOf(door, like)}
      bar={<Action label={door ? 'Save the changes' : 'Add the door'} onPress={submit} />}
    >
      {wrong ? <Notice tone="madder">{wrong.says}</Notice> : null}
      <Sheet>
        <Field
          label="Reference"
          value={form.ref}
          onChange={(v) => set('ref', v)}
          hint={`${areas[0]?.code ?? 'Q'}-04`}
          mono
          error={error('ref')}
        />
        <Field
          label="Name"
          value={form.name}
          onChange={(v) => set('name', v)}
          hint="What people call it"
          error={error('name')}
        />
        <Pick
          label="Leads from"
          value={form.from}
          options={areaTree(areas).map(({ area, depth }) => ({
            value: area.id,
            label: `${'  '.repeat(depth)}${area.name}`,
          }))}
          onChange={(v) => set('from', v)}
          error={error('from')}
        />
        <Pick
          label="Leads to"
          value={form.to}
          options={areaTree(areas).map(({ area, depth }) => ({
            value: area.id,
            label: `${'  '.repeat(depth)}${area.name}`,
          }))}
          onChange={(v) => set('to', v)}
          error={error('to')}
        />
        <Field
          label="Passages per day"
          value={form.passages}
          onChange={(v) => set('passages', v)}
          keyboard="numeric"
          mono
          error={error('passages')}
        />
        <Pick
          label="Opening"
          value={form.opening}
          options={openingKinds.map((k) => ({ value: k, label: openingWords[k] }))}
          onChange={(v) => set('opening', v as OpeningKind)}
        />
        <Tick label="On an escape route" on={form.escapeRoute} onPress={() => set('escapeRoute', !form.escapeRoute)} />
        <Tick
          label="A handle opens it from the secured side"
          on={form.handle}
          onPress={() => set('handle', !form.handle)}
        />
        {form.escapeRoute ? null : (
          <Tick
            label="Whoever is inside has another way out"
            on={form.otherWayOut}
            onPress={() => set('otherWayOut', !form.otherWayOut)}
          />
        )}
        <Tick
          label="Its unsecured side is out of doors"
          on={form.outdoor}
          onPress={() => set('outdoor', !form.outdoor)}
        />
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <Field
              label="East on the grid, m"
              value={form.x}
              onChange={(v) => set('x', v)}
              keyboard="decimal"
              mono
              error={error('at')}
            />
          </View>
          <View style={{ flex: 1 }}>
            <Field label="North, m" value={form.y} onChange={(v) => set('y', v)} keyboard="decimal" mono />
          </View>
        </View>
        <Tick label="It stays where it is placed" on={form.pinned} onPress={() => set('pinned', !form.pinned)} />
      </Sheet>
      <Hardware form={form} set={set} error={error} />
      <Sheet title="Who decides">
        <Pick
          label="Whether somebody passes is decided by"
          value={form.by}
          options={[
            { value: 'controller', label: 'the controller' },
            { value: 'server', label: 'the server' },
            { value: 'reader', label: 'the reader' },
            { value: 'lock', label: 'the lock' },
          ]}
          onChange={(v) => set('by', v as Decides['by'])}
        />
        {form.by === 'controller' ? null : (
          <>
            <Field
              label="Out of reach for so many seconds"
              value={form.after}
              onChange={(v) => set('after', v)}
              keyboard="numeric"
              mono
              error={error('after')}
            />
            <Pick
              label="Then"
              value={form.then}
              options={[
                { value: 'knownCards', label: 'cards known at the door still pass' },
                { value: 'staysShut', label: 'nobody gets in' },
                { value: 'opens', label: 'the door opens' },
              ]}
              onChange={(v) => set('then', v as Decides['then'])}
            />
          </>
        )}
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
  form,
  set,
  error,
}: {
  form: Form
  set: <K extends keyof Form>(key: K, value: Form[K]) => void
  error: (field: string) => string | undefined
}) {
  const facts = useFacts()
  const [more, setMore] = useState(false)
  const shown = partRoles.filter((role) => more || usual.includes(role) || form.hardware[role])
  return (
    <Sheet title="Hardware">
      <View>
        {shown.map((role) => (
          <Pick
            key={role}
            label={roleFacts[role].says}
            value={form.hardware[role] ?? ''}
            error={error(`hardware.${role}`)}
            onChange={(v) => set('hardware', { ...form.hardware, [role]: v })}
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
          label="More: second leaf, bolt contact, sensor, desk button, opener, tamper, spare"
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
