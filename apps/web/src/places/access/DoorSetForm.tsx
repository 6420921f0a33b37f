import type { DoorSet } from '@rauta/core'
import { router } from 'expo-router'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { DoorTicks } from '../doors/DoorTicks'
import { Missing } from '../shell/Missing'

/** A set of doors that rules name together. */
export function DoorSetForm({ id }: { id?: string }) {
  const facts = useFacts()
  const before = id ? facts.doorSet[id] : undefined
  const form = useCommandForm<'doorSet.put', DoorSet>({
    command: 'doorSet.put',
    draft: `set-${id ?? 'new'}`,
    first: before ?? { id: v7(), name: '', doors: [] },
    payload: (set) => ({ ...set, name: set.name.trim() }),
    onSent: () => router.push('/access'),
  })
  if (id && !before) return <Missing what="set of doors" which={id} />
  const { value, put, set, error } = form
  return (
    <Screen
      title={before ? before.name : 'Add a set of doors'}
      under="Rules that name it pass all of its doors"
      bar={<Action label="Save the set" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Field label="Name of the set" value={value.name} onChange={set('name')} error={error('name')} />
      </Sheet>
      <Sheet title="Doors">
        {error('doors') ? <Notice tone="madder">{error('doors')}</Notice> : null}
        <DoorTicks chosen={value.doors} onChange={(doors) => put({ doors })} />
      </Sheet>
      {before ? (
        <TakeAway kind="doorSet" id={before.id} name={before.name} onGone={() => router.push('/access')} />
      ) : null}
    </Screen>
  )
}
