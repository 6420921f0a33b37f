import { arrivalsOf, blockersOf, type Arrival, type Person } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Line, Notice, Sheet } from '../../parts/Screen'
import { T, type Tone } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { configsOf } from '../../state/worked'

const tones: Readonly<Record<Arrival['code'], Tone>> = {
  arrived: 'verdigris',
  notSent: 'ochre',
  changed: 'ochre',
  away: 'ochre',
  notLoaded: 'quiet',
  notPlaced: 'quiet',
  noCode: 'madder',
  cannotRead: 'madder',
}
const words: Readonly<Record<Arrival['code'], string>> = {
  arrived: 'arrived',
  notSent: 'not loaded',
  changed: 'changed since',
  away: 'waits',
  notLoaded: 'not loaded',
  notPlaced: 'not placed',
  noCode: 'no code',
  cannotRead: 'cannot be read',
}
const toLoad: ReadonlySet<Arrival['code']> = new Set(['notSent', 'changed'])

/** Door by door whether what somebody may has reached the device there. What has not stands first. */
export function Arrivals({ person }: { person: Person }) {
  const facts = useFacts()
  const now = Date.now()
  const blockers = blockersOf(facts, person, now)
  const all = arrivalsOf(facts, person, sheetsFor(facts), configsOf(facts), now)
  const open = all.filter((a) => a.code !== 'arrived')
  const shown = [...open, ...all.filter((a) => a.code === 'arrived')]
  const title = all.length ? `Arrived at ${all.length - open.length} of ${all.length} doors` : 'Arrived?'
  return (
    <Sheet flush title={title}>
      {blockers.length ? (
        <Notice tone="madder">{`Passes nowhere now: ${blockers.map((b) => b.says).join(' ')}`}</Notice>
      ) : null}
      <View role="group" aria-label="Doors they may pass">
        {shown.map(({ door, code, says }) => (
          <Line key={door.id} label={`${door.ref}: ${words[code]}`} onPress={() => router.push(`/doors/${door.id}`)}>
            <View style={{ flexDirection: 'row', gap: 12, alignItems: 'baseline' }}>
              <T face="mono" style={{ width: 56 }}>
                {door.ref}
              </T>
              <T numberOfLines={1} style={{ flex: 1 }}>
                {door.name}
              </T>
              <T face="mid" tone={tones[code]}>
                {words[code]}
              </T>
            </View>
            {code === 'arrived' ? null : (
              <T size={13} tone="quiet">
                {says}
              </T>
            )}
          </Line>
        ))}
      </View>
      {all.some((a) => toLoad.has(a.code)) ? (
        <View style={{ padding: 12 }}>
          <Action kind="plain" label="See what Load would send" onPress={() => router.push('/load')} />
        </View>
      ) : null}
    </Sheet>
  )
}
