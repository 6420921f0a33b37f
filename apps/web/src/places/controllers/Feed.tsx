import { type Controller } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { View } from 'react-native'
import { cableKinds, codeOf, typeOf } from '../../parts/cableKinds'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { useFacts } from '../../state/job'
import { usualSupply } from '../../state/usual'
import { controllersInOrder } from '../../state/worked'

const run = { kind: 'iec', conductorClass: 2, mm2: 1.5, cores: 2 } as const

/** Where a controller's power comes from: a supply of its own, or another controller's over a run. */
export function Feed({
  form,
  onChange,
  error,
}: {
  form: Controller
  onChange: (form: Controller) => void
  error: string | undefined
}) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const others = controllersInOrder(facts).filter((c) => c.id !== form.id && !sheets[c.sheet]?.feeds)
  const own = Object.values(sheets)
    .filter((s) => s.supply)
    .map((s) => ({ value: s.id, label: s.name }))
  const choose = (value: string) => {
    const { fedFrom: before, ...rest } = form
    if (!value.startsWith('from/')) {
      onChange({ ...rest, supply: value })
      return
    }
    onChange({
      ...rest,
      supply: form.supply || usualSupply(facts),
      fedFrom: { controller: value.slice(5), lengthM: before?.lengthM ?? 2, type: before?.type ?? run },
    })
  }
  const feed = form.fedFrom
  return (
    <View>
      <Pick
        label="Supply"
        value={feed ? `from/${feed.controller}` : form.supply}
        onChange={choose}
        options={[
          ...own,
          ...others.map((c) => ({
            value: `from/${c.id}`,
            label: `none of its own: fed on from ${c.ref}, ${c.cabinet}`,
          })),
        ]}
        error={error}
      />
      {feed ? (
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <Field
              label="Run from it, m"
              value={feed.lengthM ? String(feed.lengthM).replace('.', ',') : ''}
              onChange={(v) => onChange({ ...form, fedFrom: { ...feed, lengthM: numberIn(v) ?? 0 } })}
              keyboard="decimal"
              mono
            />
          </View>
          <View style={{ flex: 1 }}>
            <Pick
              label="Kind of that run"
              value={codeOf(feed.type)}
              options={cableKinds}
              onChange={(code) => onChange({ ...form, fedFrom: { ...feed, type: typeOf(code, feed.type) } })}
            />
          </View>
        </View>
      ) : null}
    </View>
  )
}
