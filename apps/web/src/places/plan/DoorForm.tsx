import { all, type Door, type PartRole } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { fieldOf, saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { useDraft } from '../../state/draft'

const roles: { role: PartRole; label: string; kind: string; none: string }[] = [
  { role: 'entryReader', label: 'Reader, unsecured side', kind: 'reader', none: 'None' }, { role: 'exitReader', label: 'Reader, secured side', kind: 'reader', none: 'None' },
  { role: 'lock', label: 'Lock', kind: 'lock', none: 'None yet' }, { role: 'contact', label: 'Door contact', kind: 'contact', none: 'None' },
  { role: 'exit', label: 'Exit button', kind: 'exit', none: 'None' }, { role: 'breakGlass', label: 'Break glass', kind: 'breakGlass', none: 'None' },
]

interface Form { ref: string; name: string; from: string; to: string; passages: string; escapeRoute: boolean; handle: boolean; hardware: Partial<Record<PartRole, string>> }
const formOf = (door: Door | undefined, firstArea: string): Form => ({
  ref: door?.ref ?? '', name: door?.name ?? '', from: door?.from ?? firstArea, to: door?.to ?? firstArea, passages: String(door?.passagesPerDay ?? 0), escapeRoute: door?.escapeRoute ?? false, handle: door?.handle ?? false,
  hardware: door ? Object.fromEntries(door.parts.map((p) => [p.role, p.sheet])) : { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' },
})

/** Adds or edits a door and chooses its hardware from the device sheets. */
export function DoorForm({ door, onDone }: { door?: Door; onDone: (id: string) => void }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const areas = all(facts, 'area')
  const [form, setForm, forget] = useDraft<Form>(`door-${door?.id ?? 'new'}`, formOf(door, areas[0]?.id ?? ''))
  const [wrong, setWrong] = useState<{ says: string; field: string | undefined } | null>(null)
  const set = <K extends keyof Form>(key: K, value: Form[K]) => setForm({ ...form, [key]: value })
  const submit = async () => {
    const passagesPerDay = numberIn(form.passages)
    if (passagesPerDay === null || passagesPerDay < 0 || !Number.isInteger(passagesPerDay)) { setWrong({ says: 'Passages per day must be a whole number, 0 or more.', field: 'passages' }); return }
    const hardware = Object.fromEntries(Object.entries(form.hardware).filter(([, sheet]) => sheet))
    const fields = { ref: form.ref.trim(), name: form.name.trim(), from: form.from, to: form.to, passagesPerDay, escapeRoute: form.escapeRoute, handle: form.handle, hardware }
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
  const error = (field: string) => (wrong?.field === field || wrong?.field === `fields.${field}` ? wrong.says : undefined)
  if (areas.length === 0) return <Screen title="Add a door" bar={<Action label="Add areas first" onPress={() => router.push('/job')} />}><Notice tone="slate">A door leads from one area to another, and this job has no area yet.</Notice></Screen>
  return (
    <Screen title={door ? `Edit ${door.ref}` : 'Add a door'} bar={<Action label={door ? 'Keep the changes' : 'Add the door'} onPress={submit} />}>
      {wrong ? <Notice tone="madder">{wrong.says}</Notice> : null}
      <Sheet>
        <Field label="Reference" value={form.ref} onChange={(v) => set('ref', v)} hint={`${areas[0]?.code ?? 'Q'}-04`} mono error={error('ref')} />
        <Field label="Name" value={form.name} onChange={(v) => set('name', v)} hint="What people call it" error={error('name')} />
        <Pick label="Leads from" value={form.from} options={areas.map((a) => ({ value: a.id, label: a.name }))} onChange={(v) => set('from', v)} error={error('from')} />
        <Pick label="Leads to" value={form.to} options={areas.map((a) => ({ value: a.id, label: a.name }))} onChange={(v) => set('to', v)} error={error('to')} />
        <Field label="Passages per day" value={form.passages} onChange={(v) => set('passages', v)} keyboard="numeric" mono error={error('passages')} />
        <Tick label="On an escape route" on={form.escapeRoute} onPress={() => set('escapeRoute', !form.escapeRoute)} />
        <Tick label="A handle opens it from the secured side" on={form.handle} onPress={() => set('handle', !form.handle)} />
      </Sheet>
      <Sheet title="Hardware">
        <View>
          {roles.map(({ role, label, kind, none }) => (
            <Pick key={role} label={label} value={form.hardware[role] ?? ''} error={error(`hardware.${role}`)} onChange={(v) => set('hardware', { ...form.hardware, [role]: v })}
              options={[{ value: '', label: none }, ...Object.values(sheetsFor(facts)).filter((s) => s.kind === kind).map((s) => ({ value: s.id, label: s.name }))]} />
          ))}
        </View>
      </Sheet>
    </Screen>
  )
}

/** Only what was altered, so that an edit that meets another touches no more than it must. */
function changed(door: Door, fields: Record<string, unknown>): Record<string, unknown> {
  const before: Record<string, unknown> = { ...door, hardware: Object.fromEntries(door.parts.map((p) => [p.role, p.sheet])) }
  return Object.fromEntries(Object.entries(fields).filter(([key, value]) => JSON.stringify(before[key]) !== JSON.stringify(value)))
}
