import { FreeAddresses, jobOf, kindWords, takenAddresses, type Controller, type Facts } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { TakeAway } from '../../parts/TakeAway'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { usualController, usualSupply } from '../../state/usual'
import { controllersInOrder } from '../../state/worked'
import { Feed } from './Feed'

/** The next address of the site's subnet that nobody has. */
function freeAddress(facts: Facts): string {
  const network = jobOf(facts)?.network
  return network ? new FreeAddresses(network, takenAddresses(facts, '').keys()).take() : ''
}

export function ControllerForm({ id }: { id?: string }) {
  const facts = useFacts()
  const before = id ? facts.controller[id] : undefined
  const form = useCommandForm<'controller.put', Controller>({
    command: 'controller.put',
    draft: `controller-${id ?? 'new'}`,
    first: before ?? {
      id: v7(),
      ref: `A${controllersInOrder(facts).length + 1}`,
      sheet: usualController(facts),
      cabinet: '',
      supply: usualSupply(facts),
      address: freeAddress(facts),
      serial: '',
      mac: '',
    },
    payload: (c) => ({
      ...c,
      ref: c.ref.trim(),
      cabinet: c.cabinet.trim(),
      address: c.address.trim(),
      serial: c.serial.trim(),
      mac: c.mac.trim(),
    }),
    onSent: (c) => router.replace(`/controllers/${c.id}`),
  })
  const { value, set, error } = form
  return (
    <Screen
      title={before ? `Edit ${before.ref}` : 'Plan a controller'}
      bar={<Action label="Save the controller" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Field label="Reference on the drawing" value={value.ref} onChange={set('ref')} mono error={error('ref')} />
        <Pick
          label="Device sheet"
          value={value.sheet}
          onChange={set('sheet')}
          options={Object.values(sheetsFor(facts))
            .filter((s) => s.controller)
            .map((s) => ({ value: s.id, label: s.name }))}
        />
        <Feed form={value} onChange={form.put} error={error('supply') ?? error('fedFrom')} />
        <Expanders form={value} onChange={(expanders) => form.put({ expanders })} error={error('expanders')} />
        <Field
          label="Cabinet"
          value={value.cabinet}
          onChange={set('cabinet')}
          hint="Where it hangs"
          error={error('cabinet')}
        />
        <Field
          label="Address on the site’s network"
          value={value.address}
          onChange={set('address')}
          mono
          error={error('address')}
        />
        <Field label="Serial, where known" value={value.serial} onChange={set('serial')} mono />
        <Field label="MAC, where known" value={value.mac} onChange={set('mac')} mono />
      </Sheet>
      {before ? (
        <TakeAway kind="controller" id={before.id} name={before.ref} onGone={() => router.replace('/controllers')} />
      ) : null}
    </Screen>
  )
}

/** Expanders behind a controller, as many as its sheet carries. */
function Expanders({
  form,
  onChange,
  error,
}: {
  form: Controller
  onChange: (expanders: NonNullable<Controller['expanders']>) => void
  error: string | undefined
}) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const most = sheets[form.sheet]?.carries?.find((c) => c.kind === 'expander')?.most ?? 0
  const kinds = Object.values(sheets).filter((s) => s.kind === 'expander')
  const list = form.expanders ?? []
  if (most === 0 && list.length === 0) return null
  return (
    <View style={{ gap: 8, marginBottom: 12 }}>
      <T face="mid">{`${kindWords.expander[1]}, at most ${most}`}</T>
      {error ? <T tone="madder">{error}</T> : null}
      {list.map((e, i) => (
        <Pick
          key={e.id}
          label={`Expander ${e.id}`}
          value={e.sheet}
          options={[{ value: '', label: 'Take it away' }, ...kinds.map((k) => ({ value: k.id, label: k.name }))]}
          onChange={(v) =>
            onChange(
              v
                ? list.map((x, n) => (n === i ? { ...x, sheet: v } : x))
                : list.filter((_, n) => n !== i).map((x, n) => ({ ...x, id: `E${n + 1}` })),
            )
          }
        />
      ))}
      {list.length < most ? (
        <Action
          kind="plain"
          label="Add an expander"
          onPress={() => onChange([...list, { id: `E${list.length + 1}`, sheet: kinds[0]?.id ?? '' }])}
        />
      ) : null}
    </View>
  )
}
