import { Button, CheckBox, Chip } from './controls'
import { useState } from 'react'
import { View } from 'react-native'
import { useGround } from '../theme'
import { useSide } from './Beside'
import { Icon } from './Icon'
import { T } from './Text'

interface ActionProps {
  label: string
  /** What a screen reader says, where the word alone is too short. */ name?: string
  aside?: string
  onPress: () => unknown
  kind?: 'main' | 'plain' | 'danger'
  /** A general sign before the word. */ sign?: 'find'
  disabled?: boolean
}

/** A full-width bar: the thing this screen exists for. Waits for a promise before it can be pressed again. */
export function Action({ label, name, aside, onPress, kind = 'main', sign, disabled }: ActionProps) {
  const ground = useGround()
  const side = useSide()
  const [busy, setBusy] = useState(false)
  const press = () => {
    const result = onPress()
    if (!(result instanceof Promise)) return
    setBusy(true)
    void result.finally(() => setBusy(false))
  }
  // Beside its detail a list has no main action: there is one, and it is the detail's.
  const main = kind === 'main' && side !== 'list'
  const tone = disabled || busy ? 'quiet' : main ? 'onOxide' : kind === 'danger' ? 'madder' : 'ink'
  const edge = kind === 'danger' ? ground.madder : ground.ink
  return (
    <Button
      disabled={disabled || busy}
      onPress={press}
      type={main ? 'solid' : 'outline'}
      accessibilityRole="button"
      accessibilityLabel={name ?? (aside ? `${label}, ${aside}` : label)}
      buttonStyle={{
        justifyContent: sign ? 'flex-start' : 'space-between',
        gap: 8,
        minHeight: 52,
        borderWidth: 1,
        borderColor: main ? ground.oxide : edge,
        backgroundColor: main ? ground.oxide : 'transparent',
      }}
      disabledStyle={{ backgroundColor: ground.paper, borderColor: ground.quiet }}
    >
      {sign ? <Icon name={sign} tone={tone} /> : null}
      <T face="strong" size={17} tone={tone}>
        {busy ? `${label} …` : label}
      </T>
      {aside ? (
        <T
          face="mono"
          size={15}
          tone={disabled || busy ? 'quiet' : main ? 'onOxide' : 'quiet'}
          style={{ marginLeft: 12 }}
        >
          {aside}
        </T>
      ) : null}
    </Button>
  )
}

/** A choice among a few, side by side. */
export function Chips<V extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: V
  options: readonly { value: V; label: string }[]
  onChange: (value: V) => void
}) {
  const ground = useGround()
  return (
    <View role="radiogroup" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      {options.map((o) => {
        const on = o.value === value
        return (
          <Chip
            key={o.value}
            {...({ role: 'radio', 'aria-checked': on, accessibilityRole: undefined } as object)}
            aria-label={o.label}
            onPress={() => onChange(o.value)}
            radius={3}
            containerStyle={{ borderRadius: 3 }}
            buttonStyle={{
              minHeight: 48,
              minWidth: 48,
              paddingHorizontal: 12,
              paddingVertical: 0,
              borderWidth: 1,
              borderColor: on ? ground.ink : ground.line,
              backgroundColor: ground.sheet,
              borderBottomWidth: on ? 4 : 1,
              borderBottomColor: on ? ground.oxide : ground.line,
            }}
          >
            <T face="mid">{o.label}</T>
          </Chip>
        )
      })}
    </View>
  )
}

/** A box to tick, 48 px high, with its word beside or under it. */
export function Tick({
  label,
  name,
  on,
  onPress,
  under,
  disabled,
}: {
  label: string
  /** What a screen reader says, where no word stands beside it. */ name?: string
  on: boolean
  onPress: () => unknown
  under?: boolean
  disabled?: boolean
}) {
  return (
    <CheckBox
      {...({ role: 'checkbox', 'aria-checked': on, 'aria-disabled': disabled, accessibilityRole: undefined } as object)}
      aria-label={name ?? label}
      checked={on}
      disabled={!!disabled}
      onPress={() => {
        void onPress()
      }}
      containerStyle={{
        margin: 0,
        marginLeft: 0,
        marginRight: 0,
        padding: 0,
        minHeight: 48,
        minWidth: 48,
        justifyContent: 'center',
        backgroundColor: 'transparent',
      }}
      wrapperStyle={{ flexDirection: under ? 'column' : 'row', alignItems: 'center', gap: under ? 4 : 12 }}
      checkedIcon={<Box on />}
      uncheckedIcon={<Box on={false} />}
      {...(label
        ? {
            title: (
              <T face={under ? 'mid' : 'text'} size={under ? 13 : 17} style={under ? undefined : { flex: 1 }}>
                {label}
              </T>
            ),
          }
        : {})}
    />
  )
}

/** The box itself: 30 px, so that its tick is seen at arm's length. */
function Box({ on }: { on: boolean }) {
  const ground = useGround()
  return (
    <View
      style={{
        width: 30,
        height: 30,
        borderWidth: 1.5,
        borderColor: ground.ink,
        backgroundColor: on ? ground.ink : ground.sheet,
        alignItems: 'center',
        justifyContent: 'center',
      }}
    >
      {on ? <Icon name="done" size={24} tone="sheet" /> : null}
    </View>
  )
}
