import { all } from '@rauta/core'
import { cabinetsOf } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { SiteGrid } from '../../signs/SiteGrid'

/** Where cabinets hang: a place on the site's grid, from which lengths are worked out where none is given. */
export function Cabinets() {
  const facts = useFacts()
  const [form, setForm] = useState({ id: '', x: '', y: '' })
  const [wrong, setWrong] = useState('')
  const send = useJob((s) => s.send)
  const cabinets = cabinetsOf(facts)
  const given = new Set(all(facts, 'door').flatMap((d) => Object.keys(d.distances ?? {})))
  const keep = async () => {
    const [x, y] = [form.x, form.y].map(numberIn)
    if (!form.id.trim()) {
      setWrong('Give the cabinet a name.')
      return
    }
    if (x == null || y == null) {
      setWrong('East and north are metres on the grid, for example 12.5.')
      return
    }
    await send('cabinetPlace.put', { id: form.id.trim(), x, y })
      .then(() => {
        setForm({ id: '', x: '', y: '' })
        setWrong('')
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  const inHand = form.id.trim() ? { id: form.id.trim(), x: numberIn(form.x), y: numberIn(form.y) } : null
  return (
    <Sheet title={`Cabinets, ${cabinets.length}`}>
      <SiteGrid
        places={all(facts, 'cabinetPlace')}
        doors={all(facts, 'door')}
        inHand={inHand}
        onPlace={(x, y) => setForm({ ...form, x: String(x), y: String(y) })}
      />
      <T tone={inHand ? 'oxide' : 'quiet'}>
        {inHand ? `Tap where ${inHand.id} hangs, then save.` : 'North is up. Take a cabinet in hand to place it.'}
      </T>
      {inHand ? <Action kind="plain" label="Save the cabinet’s place" onPress={keep} /> : null}
      {cabinets.map((c) => {
        const place = facts.cabinetPlace[c]
        return (
          <View key={c} style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
            <T style={{ flex: 1 }}>{c}</T>
            <T face="mono" size={13} tone={place || given.has(c) ? 'ink' : 'ochre'}>
              {place ? `${place.x} E, ${place.y} N` : given.has(c) ? 'lengths given' : 'place not known'}
            </T>
            <View style={{ width: 104 }}>
              <Action
                kind="plain"
                label={place ? 'Move' : 'Place'}
                aside=""
                onPress={() => setForm({ id: c, x: place ? String(place.x) : '', y: place ? String(place.y) : '' })}
              />
            </View>
          </View>
        )
      })}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Field label="Cabinet" value={form.id} onChange={(id) => setForm({ ...form, id })} hint="Riser 3" />
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field label="East, m" value={form.x} onChange={(x) => setForm({ ...form, x })} keyboard="decimal" mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="North, m" value={form.y} onChange={(y) => setForm({ ...form, y })} keyboard="decimal" mono />
        </View>
      </View>
      {inHand ? null : <Action kind="plain" label="Save the cabinet’s place" onPress={keep} />}
    </Sheet>
  )
}
