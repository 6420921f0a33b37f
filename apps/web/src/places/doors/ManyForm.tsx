import type { ManyFields } from '@rauta/contracts'
import { router } from 'expo-router'
import { Action, Chips } from '../../parts/Action'
import { Field, Group, typedNumber } from '../../parts/Field'
import { counted } from '../../parts/count'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { useCommandForm } from '../../state/commandForm'
import { DoorTicks } from './DoorTicks'

/** Empty: it stays at each door as it is. */
type Said = '' | 'yes' | 'no'
interface Many {
  doors: string[]
  release: string
  held: string
  relock: string
  passages: string
  forcedAlarm: Said
  escapeRoute: Said
  handle: Said
  pinned: Said
}
const nothing: Many = {
  doors: [],
  release: '',
  held: '',
  relock: '',
  passages: '',
  forcedAlarm: '',
  escapeRoute: '',
  handle: '',
  pinned: '',
}

const said = <K extends string>(key: K, text: string): Partial<Record<K, number>> =>
  text.trim() ? ({ [key]: typedNumber(text) } as Record<K, number>) : {}
const flagged = <K extends string>(key: K, value: Said): Partial<Record<K, boolean>> =>
  value ? ({ [key]: value === 'yes' } as Record<K, boolean>) : {}

function fieldsOf(form: Many): ManyFields {
  const behaviour = {
    ...said('releaseS', form.release),
    ...said('heldOpenS', form.held),
    ...said('relockDelayS', form.relock),
    ...flagged('forcedAlarm', form.forcedAlarm),
  }
  return {
    ...said('passagesPerDay', form.passages),
    ...flagged('escapeRoute', form.escapeRoute),
    ...flagged('handle', form.handle),
    ...flagged('pinned', form.pinned),
    ...(Object.keys(behaviour).length ? { behaviour } : {}),
  }
}

const numbers = [
  ['release', 'Release time, s'],
  ['held', 'Open time before the held-open alarm, s'],
  ['relock', 'Delay before relock, s'],
  ['passages', 'Passages a day'],
] as const
const flags = [
  ['forcedAlarm', 'Opening without a release raises the forced-open alarm'],
  ['escapeRoute', 'On an escape route'],
  ['handle', 'A handle inside opens the leaf'],
  ['pinned', 'Stays where it is when doors are placed'],
] as const

/** Why it cannot be done yet; null where it can. */
function lacks(doors: number, changes: boolean): string | null {
  if (!changes) return 'nothing to change yet'
  return doors === 0 ? 'no door ticked yet' : null
}

/** The same change at many doors; taken back as one. */
export function ManyForm() {
  const form = useCommandForm<'doors.edit', Many>({
    command: 'doors.edit',
    draft: 'many-doors',
    first: nothing,
    payload: (many) => ({ doors: many.doors, fields: fieldsOf(many) }),
    fields: {
      passagesPerDay: 'passages',
      'behaviour.releaseS': 'release',
      'behaviour.heldOpenS': 'held',
      'behaviour.relockDelayS': 'relock',
    },
    onSent: () => router.push('/doors'),
  })
  const { value, set, error } = form
  const changes = Object.keys(fieldsOf(value)).length > 0
  return (
    <Screen
      columns
      title="Change many doors"
      under="What is left empty stays at each door as it is"
      bar={
        <Action
          label="Change them"
          aside={lacks(value.doors.length, changes) ?? counted(value.doors.length, 'door')}
          disabled={lacks(value.doors.length, changes) !== null}
          onPress={form.submit}
        />
      }
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet title="What to change">
        {numbers.map(([key, label]) => (
          <Field
            key={key}
            label={label}
            value={value[key]}
            onChange={set(key)}
            error={error(key)}
            keyboard="decimal"
            hint="stays as it is"
            mono
          />
        ))}
        {flags.map(([key, label]) => (
          <Group key={key} label={label}>
            <Chips<Said>
              label={label}
              value={value[key]}
              onChange={set(key)}
              options={[
                { value: '', label: 'As it is' },
                { value: 'yes', label: 'Yes' },
                { value: 'no', label: 'No' },
              ]}
            />
          </Group>
        ))}
      </Sheet>
      <Sheet title="At which doors">
        <DoorTicks chosen={value.doors} onChange={set('doors')} />
      </Sheet>
    </Screen>
  )
}
