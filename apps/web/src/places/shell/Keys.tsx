import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Cover } from '../../parts/Cover'
import { T } from '../../parts/Text'

const keys: readonly [key: string, does: string][] = [
  ['↑ ↓', 'move along the list of doors'],
  ['Enter', 'opens what is chosen'],
  ['/', 'finds a door'],
  ['Tab', 'goes to the next control'],
  ['Space', 'ticks a box'],
  ['?', 'shows and hides these keys'],
]
const typing = (target: EventTarget | null) =>
  ['INPUT', 'TEXTAREA', 'SELECT'].includes((target as HTMLElement | null)?.tagName ?? '')

/** What the keys do, on a wide screen: `?` shows it, `?` or Escape puts it away. */
export function Keys() {
  const [shown, setShown] = useState(false)
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (typing(event.target)) return
      if (event.key === '?') setShown((s) => !s)
      if (event.key === 'Escape') setShown(false)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
  if (!shown) return null
  return (
    <Cover name="Keys" onLeave={() => setShown(false)}>
      <View style={{ padding: 16, gap: 10 }}>
        <T level={2} face="strong" size={17}>
          Keys
        </T>
        {keys.map(([key, does]) => (
          <View key={key} style={{ flexDirection: 'row', gap: 12 }}>
            <T face="mono" style={{ width: 64 }}>
              {key}
            </T>
            <T style={{ flex: 1 }}>{does}</T>
          </View>
        ))}
        <Action kind="plain" label="Put away" onPress={() => setShown(false)} />
      </View>
    </Cover>
  )
}
