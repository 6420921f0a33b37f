import { all, jobOf } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Chips } from '../../parts/Action'
import { Screen, Sheet } from '../../parts/Screen'
import { Tape } from '../../signs/Tape'
import { useFacts } from '../../state/job'
import { doorsInOrder } from '../../state/worked'

/** What the doors say, as it happens. */
export function LivePage() {
  const facts = useFacts()
  const [area, setArea] = useState('all')
  const doors = doorsInOrder(facts)
    .filter((d) => area === 'all' || d.to === area || d.from === area)
    .map((d) => d.id)
  return (
    <Screen title="Live" under={`Times in ${jobOf(facts)?.zone ?? 'UTC'}`}>
      <View style={{ padding: 16, paddingBottom: 0 }}>
        <Chips
          label="Area"
          value={area}
          onChange={setArea}
          options={[{ value: 'all', label: 'All' }, ...all(facts, 'area').map((a) => ({ value: a.id, label: a.name }))]}
        />
      </View>
      <Sheet flush>
        <Tape {...(area === 'all' ? {} : { doors })} limit={120} />
      </Sheet>
    </Screen>
  )
}
