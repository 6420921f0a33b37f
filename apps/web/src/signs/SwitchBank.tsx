import { base, type SwitchCoding } from '@rauta/core'
import { Pressable, View } from 'react-native'
import { T } from '../parts/Text'
import { useGround } from '../theme'

/** Switches as they stand on the device: a bank of sliders with ON at the top, or turning switches with their digit. Tapped, they move on. */
export function SwitchBank({
  coding,
  switches,
  onChange,
}: {
  coding: SwitchCoding
  switches: readonly number[]
  onChange?: (switches: number[]) => void
}) {
  const ground = useGround()
  const move = (i: number) => onChange?.(switches.map((s, n) => (n === i ? (s + 1) % base(coding) : s)))
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-start', gap: 8 }}>
      {coding.kind === 'binary' ? (
        <View style={{ height: 64, justifyContent: 'space-between', paddingVertical: 4 }}>
          <T size={13} face="mid">
            ON
          </T>
          <T size={13} tone="quiet">
            off
          </T>
        </View>
      ) : null}
      <View
        role="group"
        aria-label="Switches"
        style={{
          flexDirection: 'row',
          flexWrap: 'wrap',
          gap: coding.kind === 'binary' ? 0 : 12,
          borderWidth: coding.kind === 'binary' ? 1.5 : 0,
          borderColor: ground.ink,
          backgroundColor: ground.sheet,
        }}
      >
        {switches.map((s, i) => {
          const words =
            coding.kind === 'binary' ? `Switch ${i + 1} ${s ? 'on' : 'off'}` : `Turning switch ${i + 1} at ${s}`
          const tap = onChange ? { role: 'button' as const, onPress: () => move(i) } : { role: 'img' as const }
          return coding.kind === 'binary' ? (
            <Pressable
              key={i}
              {...tap}
              aria-label={words}
              style={{
                width: onChange ? 48 : 34,
                alignItems: 'center',
                paddingVertical: 4,
                borderLeftWidth: i ? 1 : 0,
                borderColor: ground.line,
              }}
            >
              <View
                style={{
                  width: 16,
                  height: 56,
                  borderWidth: 1.5,
                  borderColor: ground.ink,
                  justifyContent: s ? 'flex-start' : 'flex-end',
                }}
              >
                <View style={{ height: 26, backgroundColor: s ? ground.oxide : ground.ink }} />
              </View>
              <T face="mono" size={13}>
                {i + 1}
              </T>
            </Pressable>
          ) : (
            <Pressable
              key={i}
              {...tap}
              aria-label={words}
              style={{
                width: 64,
                height: 64,
                borderRadius: 32,
                borderWidth: 2,
                borderColor: ground.ink,
                alignItems: 'center',
                justifyContent: 'center',
              }}
            >
              <View style={{ position: 'absolute', top: 3, width: 3, height: 10, backgroundColor: ground.oxide }} />
              <T face="mono" size={22}>
                {s}
              </T>
            </Pressable>
          )
        })}
      </View>
    </View>
  )
}
