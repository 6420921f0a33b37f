import { addressOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Pick } from '../../parts/Pick'
import { Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { SwitchBank } from '../../signs/SwitchBank'
import { useFacts } from '../../state/job'

/** The other way: what the switches show, and the address that is. */
export function SwitchesPage() {
  const facts = useFacts()
  const coded = Object.values(sheetsFor(facts)).filter((s) => s.coding)
  const [id, setId] = useState(coded[0]?.id ?? '')
  const sheet = coded.find((s) => s.id === id)
  const [switches, setSwitches] = useState<number[]>(sheet?.coding?.factory ?? [])
  const coding = sheet?.coding
  if (!coding)
    return (
      <Screen title="Read switches">
        <T style={{ padding: 16 }}>No device sheet tells how switches stand for an address.</T>
      </Screen>
    )
  const shown = switches.length === coding.positions ? switches : coding.factory
  const address = addressOf(coding, shown)
  return (
    <Screen title="Read switches" under="Set them here as they stand on the device">
      <Sheet>
        <Pick
          label="Device"
          value={id}
          options={coded.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(v) => {
            setId(v)
            setSwitches(coded.find((s) => s.id === v)?.coding?.factory ?? [])
          }}
        />
        <SwitchBank coding={coding} switches={shown} onChange={setSwitches} />
        <View role="status">
          <T size={15} tone="quiet">
            That is address
          </T>
          <T face="mono" size={34}>
            {String(address)}
          </T>
        </View>
        {coding.says ? <T tone="quiet">{coding.says}</T> : null}
        <T tone="quiet">
          {shown.join() === coding.factory.join() ? 'So it leaves the factory.' : 'Not as it leaves the factory.'}
        </T>
      </Sheet>
    </Screen>
  )
}
