import { all } from '@rauta/core'
import { cabinetsOf, sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { fieldOf, saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'

/** Plans a device that is neither a door's part nor a controller. */
export function UnitForm() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const kinds = Object.values(sheetsFor(facts)).filter((s) => s.networkSource || s.kind === 'hub')
  const refs = new Set(all(facts, 'unit').map((u) => u.ref))
  let n = 1
  while (refs.has(`N${n}`)) n++
  const [form, setForm] = useState({
    ref: `N${n}`,
    sheet: kinds[0]?.id ?? '',
    cabinet: cabinetsOf(facts)[0] ?? '',
    address: '',
  })
  const [wrong, setWrong] = useState<{ says: string; field: string | undefined } | null>(null)
  const set = (key: keyof typeof form) => (value: string) => setForm({ ...form, [key]: value })
  const keep = async () => {
    const id = v7()
    try {
      await send('unit.put', {
        id,
        ref: form.ref.trim(),
        sheet: form.sheet,
        cabinet: form.cabinet.trim(),
        address: form.address.trim(),
      })
      router.replace((sheetsFor(facts)[form.sheet]?.networkSource ? `/supplies/units/${id}` : '/addresses') as never)
    } catch (error) {
      setWrong({ says: saysOf(error), field: fieldOf(error) })
    }
  }
  const error = (field: string) => (wrong?.field === field ? wrong.says : undefined)
  return (
    <Screen title="Plan a switch, midspan or hub" bar={<Action label="Save it" onPress={keep} />}>
      {wrong && !wrong.field ? <Notice tone="madder">{wrong.says}</Notice> : null}
      <Sheet>
        <Pick
          label="Device sheet"
          value={form.sheet}
          options={kinds.map((s) => ({ value: s.id, label: s.name }))}
          onChange={set('sheet')}
        />
        <Field label="Reference on the drawing" value={form.ref} onChange={set('ref')} mono error={error('ref')} />
        <Field
          label="Cabinet"
          value={form.cabinet}
          onChange={set('cabinet')}
          hint="Where it hangs"
          error={error('cabinet')}
        />
        <Field
          label="Address on the site’s network, where known"
          value={form.address}
          onChange={set('address')}
          mono
          error={error('address')}
        />
      </Sheet>
    </Screen>
  )
}
