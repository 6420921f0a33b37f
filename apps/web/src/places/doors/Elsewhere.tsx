import { findEntries, findIn, type FindEntry } from '@rauta/core/lists'
import { router } from 'expo-router'
import { useMemo } from 'react'
import { View } from 'react-native'
import { Line } from '../../parts/Screen'
import { hrefOf } from '../shell/hrefOf'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'

const kindWords: Readonly<Record<FindEntry['kind'], string>> = {
  controller: 'Controller',
  unit: 'Unit',
  person: 'Person',
  card: 'Card',
  address: 'Address',
  area: 'Area',
  cabinet: 'Cabinet',
}

/** What else has the text in it: controllers, people, cards, addresses, areas, cabinets. */
export default function Elsewhere({ text, noDoor }: { text: string; noDoor: boolean }) {
  const facts = useFacts()
  const entries = useMemo(() => findEntries(facts), [facts])
  const { found, more } = useMemo(() => findIn(entries, text), [entries, text])
  if (found.length === 0)
    return noDoor ? <T style={{ padding: 16 }}>{`Nothing in this job has “${text.trim()}” in it.`}</T> : null
  return (
    <View role="list" aria-label="Not doors">
      {found.map((e) => (
        <View key={`${e.kind} ${hrefOf(e.at)} ${e.title}`} role="listitem">
          <Line label={`${kindWords[e.kind]} ${e.title}`} onPress={() => router.push(hrefOf(e.at))}>
            <View style={{ flexDirection: 'row', gap: 8, alignItems: 'baseline' }}>
              <T tone="quiet" style={{ width: 84 }}>
                {kindWords[e.kind]}
              </T>
              <T face="strong">{e.title}</T>
              <T tone="quiet" numberOfLines={1} style={{ flex: 1 }}>
                {e.says}
              </T>
            </View>
          </Line>
        </View>
      ))}
      {more ? <T tone="quiet" style={{ padding: 16 }}>{`And ${more} more: type on.`}</T> : null}
    </View>
  )
}
