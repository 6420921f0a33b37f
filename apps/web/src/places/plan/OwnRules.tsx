import { all, type CodeAsked, type DoorAbility } from '@rauta/core'
import { Chips, Tick } from '../../parts/Action'
import { Field, Group } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import type { CheckedForm } from '../../state/checkedForm'
import { useFacts } from '../../state/job'
import type { BehaviourFields, TimeKey } from './behaviourFields'

interface RulesProps {
  form: CheckedForm<BehaviourFields>
  /** Whether the door’s controller can do it, or the door has it set already. */
  can: (ability: DoorAbility) => boolean
  /** How a code can be asked for by what reads at the way in, or is asked for already. */
  codes?: readonly CodeAsked[]
}

const codeLabels: Readonly<Record<CodeAsked, string>> = {
  with: 'With the card',
  instead: 'Instead of the card',
  alone: 'Asked for',
}

/** A time of the door, s. */
export function TimeField({ form, field, label }: { form: RulesProps['form']; field: TimeKey; label: string }) {
  return (
    <Field
      label={label}
      value={form.value[field]}
      onChange={form.set(field)}
      error={form.error(field)}
      keyboard="decimal"
      mono
    />
  )
}

/** What holds whoever comes in; leaving is not touched by any of it. */
export function EnteringSheet({ form, can, codes: ways = [] }: RulesProps) {
  const { value, set } = form
  const codes = ways.length > 0 && can('codes')
  if (!codes && !can('unlockDelay') && !can('twoPeople') && !can('reentry') && !can('passback')) return null
  return (
    <Sheet title="Coming in; empty for none of it">
      <T tone="quiet">None of this holds anybody who leaves.</T>
      {can('unlockDelay') ? (
        <TimeField form={form} field="unlockAfterS" label="Lets go so long after the card, s" />
      ) : null}
      {codes ? (
        <Group label="A code at the keypad">
          <Chips
            label="A code"
            value={value.code}
            onChange={set('code')}
            options={[
              { value: 'none', label: 'Not asked for' },
              ...ways.map((way) => ({ value: way, label: codeLabels[way] })),
            ]}
          />
        </Group>
      ) : null}
      {can('twoPeople') ? (
        <TimeField form={form} field="pairWithinS" label="Two people together: the second within, s" />
      ) : null}
      {can('reentry') ? <TimeField form={form} field="reentryS" label="Nobody comes in twice within, s" /> : null}
      {can('passback') ? (
        <Group label="Who is in already and comes in again">
          <Chips
            label="Who is in already"
            value={value.passback}
            onChange={set('passback')}
            options={[
              { value: 'none', label: 'Let in' },
              { value: 'tell', label: 'Let in and told' },
              { value: 'refuse', label: 'Refused' },
            ]}
          />
        </Group>
      ) : null}
      {can('passback') && value.passback !== 'none' ? (
        <TimeField form={form} field="passbackS" label="Who is in is forgotten after, s" />
      ) : null}
    </Sheet>
  )
}

/** The hours in which the door is free or barred by itself. */
export function HoursSheet({ form, can }: RulesProps) {
  const facts = useFacts()
  const { value, set, error } = form
  if (!can('ownHours')) return null
  const options = [
    { value: '', label: 'At no time' },
    ...all(facts, 'schedule').map((s) => ({ value: s.id, label: s.name })),
  ]
  return (
    <Sheet title="Hours of the door’s own">
      <Pick
        label="Free for everybody"
        value={value.freeOn}
        options={options}
        onChange={set('freeOn')}
        error={error('freeOn')}
      />
      {can('firstPerson') && value.freeOn ? (
        <Tick
          label="Free only once somebody with a right has come in"
          on={value.firstPerson}
          onPress={() => set('firstPerson')(!value.firstPerson)}
        />
      ) : null}
      <Pick
        label="Barred: nobody comes in, everybody gets out"
        value={value.barredOn}
        options={options}
        onChange={set('barredOn')}
        error={error('barredOn')}
      />
    </Sheet>
  )
}
