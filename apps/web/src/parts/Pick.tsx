import { View } from 'react-native'
import { faces, useGround } from '../theme'
import { T } from './Text'

/** A choice from a longer list; the browser's own control, so that a phone shows its own wheel. */
export function Pick({
  label,
  value,
  options,
  onChange,
  error,
}: {
  label: string
  value: string
  options: readonly { value: string; label: string }[]
  onChange: (value: string) => void
  error?: string | undefined
}) {
  const ground = useGround()
  return (
    <View style={{ gap: 4, marginBottom: 12 }}>
      <T face="mid" aria-hidden>
        {label}
      </T>
      <select
        aria-label={label}
        aria-invalid={error ? true : undefined}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        style={{
          minHeight: 48,
          width: '100%',
          fontFamily: faces.text,
          fontSize: 17,
          color: ground.ink,
          background: ground.sheet,
          border: `1px solid ${ground.quiet}`,
          borderRadius: 3,
          padding: '0 12px',
        }}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
      {error ? <T tone="madder">{error}</T> : null}
    </View>
  )
}
