import { sheetOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { controllersInOrder } from '../../state/worked'

export function ControllersPage() {
  const facts = useFacts()
  return (
    <Screen title="Controllers" bar={<Action label="Plan a controller" onPress={() => router.push('/controllers/new')} />}>
      {controllersInOrder(facts).length === 0 ? <T style={{ padding: 16 }}>No controller is planned yet. Doors are placed on controllers.</T> : null}
      {controllersInOrder(facts).map((c) => (
        <Line key={c.id} label={`${c.ref} ${sheetOf(sheetsFor(facts), c.sheet).name}`} onPress={() => router.push(`/controllers/${c.id}`)}>
          <View style={{ flexDirection: 'row', gap: 12 }}><T face="mono">{c.ref}</T><View style={{ flex: 1 }}><T face="strong">{sheetOf(sheetsFor(facts), c.sheet).name}</T><T tone="quiet">{`${c.cabinet} · ${c.serial || 'no serial yet'}`}</T></View><T face="mono" size={13}>{c.address}</T></View>
        </Line>
      ))}
    </Screen>
  )
}
