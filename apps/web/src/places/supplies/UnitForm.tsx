import { all, type Unit } from '@rauta/core'
import { cabinetsOf, sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'

/** Plans a device that is neither a door's part nor a controller. */
export function UnitForm() {
  const facts = useFacts()
  const kinds = Object.values(sheetsFor(facts)).filter((s) => s.networkSource || s.kind === 'hub')
  const refs = new Set(all(facts, 'unit').map((u) => u.ref))
  let n = 1
  while (refs.has(`N${n}`)) n++
  const form = useCommandForm<'unit.put', Unit>({
    command: 'unit.put',
    draft: 'unit-new',
    first: { id: v7(), ref: `N${n}`, sheet: kinds[0]?.id ?? '', cabinet: cabinetsOf(facts)[0] ?? '', address: '' },
    payload: (u) => ({ ...u, ref: u.ref.trim(), cabinet: u.cabinet.trim(), address: u.address.trim() }),
    onSent: (u) => router.replace(sheetsFor(facts)[u.sheet]?.networkSource ? `/supplies/units/${u.id}` : '/addresses'),
  })
  const { value, set, error } = form
  return (
    <Screen title="Plan a switch, midspan or hub" bar={<Action label="Save it" onPress={form.submit} />}>
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Pick
          label="Device sheet"
          value={value.sheet}
          options={kinds.map((s) => ({ value: s.id, label: s.name }))}
          onChange={set('sheet')}
        />
        <Field label="Reference on the drawing" value={value.ref} onChange={set('ref')} mono error={error('ref')} />
        <Field
          label="Cabinet"
          value={value.cabinet}
          onChange={set('cabinet')}
          hint="Where it hangs"
          error={error('cabinet')}
        />
        <Field
          label="Address on the site’s network, where known"
          value={value.address}
          onChange={set('address')}
          mono
          error={error('address')}
        />
      </Sheet>
    </Screen>
  )
}
