import { sheetFaults, type DeviceSheet } from '@rauta/core'
import { sheetSchema, sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { Action } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { emptyOf, SchemaForm, type Schema, type Value } from './SchemaForm'

const schema = sheetSchema as unknown as Schema

type SheetFields = Record<string, Value | undefined>

/** What one edit altered; what it left out goes as undefined. */
const changedIn = (before: SheetFields, after: SheetFields): SheetFields =>
  Object.fromEntries(
    [...new Set([...Object.keys(before), ...Object.keys(after)])]
      .filter((key) => before[key] !== after[key])
      .map((key) => [key, after[key]]),
  )

/** A sheet of one's own: the form is the schema, and contradictions are told before it is kept. */
export function SheetForm({ id, like }: { id?: string; like?: string }) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const model = like ? sheets[like] : undefined
  const first = (id
    ? facts.sheet[id]
    : model
      ? { ...model, id: `${model.id}-2`, name: `${model.name} (copy)` }
      : emptyOf(schema)) as unknown as SheetFields
  const form = useCommandForm<'sheet.put', SheetFields>({
    command: 'sheet.put',
    draft: `sheet-${id ?? `new-${like ?? ''}`}`,
    first,
    // What was left out is no part of the sheet.
    payload: (typed) =>
      Object.fromEntries(Object.entries(typed).filter(([, v]) => v !== undefined)) as unknown as DeviceSheet,
    also: (sheet) => sheetFaults(sheet).map(({ at, says }) => ({ path: at, says })),
    onSent: (sheet) => router.replace(`/sheets/${sheet.id}`),
  })
  return (
    <Screen
      title={id ? 'Change the sheet' : 'Add a device sheet'}
      under="From the maker’s data sheet. Only what you fill in is counted with."
      bar={<Action label="Save the sheet" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <SchemaForm
          schema={schema}
          value={form.value}
          onChange={(v) => form.put(changedIn(form.value, v as SheetFields))}
          title="Device sheet"
          path=""
          error={form.error}
        />
      </Sheet>
    </Screen>
  )
}
