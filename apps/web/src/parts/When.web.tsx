import { useId } from 'react'
import { View } from 'react-native'
import { faces, useGround } from '../theme'
import { T } from './Text'
import type { WhenProps } from './When'

/** A day, a time or a moment: the browser's own control, so that a phone shows its own wheels. */
export function When({ label, value, onChange, kind, error }: WhenProps) {
  const ground = useGround()
  const says = useId()
  return (
    <View style={{ gap: 4, marginBottom: 12 }}>
      <T face="mid" aria-hidden>
        {label}
      </T>
      <input
        type={kind}
        aria-label={label}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? says : undefined}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        style={{
          boxSizing: 'border-box',
          width: '100%',
          minHeight: 48,
          padding: '0 12px',
          fontFamily: faces.mono,
          fontSize: 17,
          color: ground.ink,
          colorScheme: ground.name === 'plant' ? 'dark' : 'light',
          backgroundColor: ground.sheet,
          border: `1px solid ${error ? ground.madder : ground.quiet}`,
          borderRadius: 3,
        }}
      />
      {error ? (
        <T nativeID={says} tone="madder">
          {error}
        </T>
      ) : null}
    </View>
  )
}
