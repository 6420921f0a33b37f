import type { Origin } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { useGround } from '../theme'
import { ListItem } from './controls'
import { Icon } from './Icon'
import { T, type Tone } from './Text'

/** A number with its unit and what it is; tapped, it tells where it comes from. */
export function Figure({
  label,
  value,
  tone = 'ink',
  origin,
}: {
  label: string
  value: string
  tone?: Tone
  origin: Origin
}) {
  const [open, setOpen] = useState(false)
  const ground = useGround()
  return (
    <View>
      <ListItem
        {...({
          role: 'button',
          'aria-expanded': open,
          'aria-label': `${label}: ${value}. Where it comes from`,
        } as object)}
        onPress={() => setOpen(!open)}
        pad={12}
        containerStyle={{ padding: 0, minHeight: 48, backgroundColor: ground.sheet }}
      >
        <T style={{ flex: 1 }}>{label}</T>
        <T face="mono" size={17} tone={tone}>
          {value}
        </T>
        <Icon name="unfolds" size={16} tone="quiet" />
      </ListItem>
      {open ? (
        <View style={{ borderLeftWidth: 3, borderColor: ground.line, paddingLeft: 12, paddingBottom: 8, gap: 4 }}>
          <T>{origin.formula}</T>
          {origin.inputs
            .filter(([, v]) => v)
            .map(([k, v]) => (
              <View key={k} style={{ flexDirection: 'row', gap: 8 }}>
                <T tone="quiet" size={13} style={{ width: 108 }}>
                  {k}
                </T>
                <T face="mono" size={13} style={{ flex: 1 }}>
                  {v}
                </T>
              </View>
            ))}
          <T tone="quiet" size={13}>{`Source: ${origin.source}.`}</T>
        </View>
      ) : null}
    </View>
  )
}
