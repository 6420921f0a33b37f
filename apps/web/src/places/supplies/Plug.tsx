import { all, networkFed, type Unit } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, typedNumber } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'

/** Plugs one of the devices that wait for network power into a free port. */
export function Plug({ unit, free }: { unit: Unit; free: string[] }) {
  const facts = useFacts()
  const plugged = new Set(all(facts, 'unitFeed').map((f) => f.id))
  const waiting = networkFed(facts, sheetsFor(facts)).filter((d) => !plugged.has(d.id))
  const first = { device: '', port: '', length: '' }
  const deviceOf = (typed: typeof first) => typed.device || waiting[0]?.id || ''
  const portOf = (typed: typeof first) => (free.includes(typed.port) ? typed.port : (free[0] ?? ''))
  const form = useCommandForm<'unitFeed.put', typeof first>({
    command: 'unitFeed.put',
    draft: `plug-${unit.id}`,
    first,
    payload: (typed) => ({
      id: deviceOf(typed),
      unit: unit.id,
      port: portOf(typed),
      lengthM: typedNumber(typed.length),
    }),
    fields: { id: 'device', lengthM: 'length' },
    onSent: () => form.again(first),
  })
  const { value, set, error } = form
  if (waiting.length === 0)
    return (
      <Sheet>
        <T tone="quiet">Every device that takes network power has its port.</T>
      </Sheet>
    )
  if (free.length === 0)
    return (
      <Sheet>
        <T tone="ochre">{`No port is free, and ${waiting.length} devices still wait for one. Plan another switch.`}</T>
      </Sheet>
    )
  return (
    <Sheet title={`Plug a device in, ${waiting.length} wait`}>
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Pick
        label="Device"
        value={deviceOf(value)}
        options={waiting.map((d) => ({ value: d.id, label: `${d.ref}, ${d.what}, class ${d.draw.class}` }))}
        onChange={set('device')}
        error={error('device')}
      />
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Pick
            label="Port"
            value={portOf(value)}
            options={free.map((p) => ({ value: p, label: p }))}
            onChange={set('port')}
            error={error('port')}
          />
        </View>
        <View style={{ flex: 1 }}>
          <Field
            label="Run, m"
            value={value.length}
            onChange={set('length')}
            error={error('length')}
            keyboard="decimal"
            mono
          />
        </View>
      </View>
      <Action kind="plain" label="Plug it in" onPress={form.submit} />
    </Sheet>
  )
}
