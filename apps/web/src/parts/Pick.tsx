import { Picker } from '@react-native-picker/picker'
import { View } from 'react-native'
import { faces, useGround } from '../theme'
import { T } from './Text'

/** A choice from a longer list; on a page the browser's own control, so that a phone shows its own wheel. */
export function Pick<V extends string>({
  label,
  value,
  options,
  onChange,
  error,
}: {
  label: string
  value: V
  options: readonly { value: V; label: string }[]
  onChange: (value: V) => void
  error?: string | undefined
}) {
  const ground = useGround()
  return (
    <View style={{ gap: 4, marginBottom: 12 }}>
      <T face="mid" aria-hidden>
        {label}
      </T>
      <Picker
        {...({ 'aria-label': label, 'aria-invalid': error ? true : undefined } as object)}
        selectedValue={value}
        onValueChange={(v: V) => onChange(v)}
        style={{
          minHeight: 48,
          width: '100%',
          fontFamily: faces.text,
          fontSize: 17,
          color: ground.ink,
          backgroundColor: ground.sheet,
          borderWidth: 1,
          borderColor: ground.quiet,
          borderRadius: 3,
          paddingHorizontal: 12,
        }}
      >
        {options.map((o) => (
          <Picker.Item key={o.value} value={o.value} label={o.label} />
        ))}
      </Picker>
      {error ? <T tone="madder">{error}</T> : null}
    </View>
  )
}
