import { sheetFaults, type DeviceSheet } from '@rauta/core'
import { sheetSchema, sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { fieldOf, saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'
import { emptyOf, SchemaForm, type Schema, type Value } from './SchemaForm'

const schema = sheetSchema as unknown as Schema

/** A sheet of one's own: the form is the schema, and contradictions are told before it is kept. */
export function SheetForm({ id, like }: { id?: string; like?: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const sheets = sheetsFor(facts)
  const model = like ? sheets[like] : undefined
  const first = (id
    ? facts.sheet[id]
    : model
      ? { ...model, id: `${model.id}-2`, name: `${model.name} (copy)` }
      : emptyOf(schema)) as unknown as Value
  const [form, setForm, forget] = useDraft<Value>(`sheet-${id ?? `new-${like ?? ''}`}`, first)
  const [wrong, setWrong] = useState<{ at: string; says: string } | null>(null)
  const keep = async () => {
    const sheet = form as unknown as DeviceSheet
    try {
      const fault = sheetFaults(sheet)[0]
      if (fault) {
        setWrong(fault)
        return
      }
      await send('sheet.put', sheet)
      forget()
      router.replace(`/sheets/${sheet.id}` as never)
    } catch (error) {
      setWrong({ at: fieldOf(error) ?? '', says: saysOf(error) })
    }
  }
  return (
    <Screen
      title={id ? 'Change the sheet' : 'Add a device sheet'}
      under="From the maker’s data sheet. Only what you fill in is counted with."
      bar={<Action label="Save the sheet" onPress={keep} />}
    >
      {wrong ? <Notice tone="madder">{wrong.says}</Notice> : null}
      <Sheet>
        <SchemaForm
          schema={schema}
          value={form}
          onChange={(v) => setForm(v ?? {})}
          title="Device sheet"
          path=""
          error={wrong}
        />
      </Sheet>
    </Screen>
  )
}
