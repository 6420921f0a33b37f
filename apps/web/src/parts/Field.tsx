import { Action } from './Action'
import { Input } from './controls'
import type { TextInputProps } from 'react-native'
import { View } from 'react-native'
import { faces } from '../theme'
import { T } from './Text'

interface FieldProps {
  label: string
  value: string
  onChange: (value: string) => void
  error?: string | undefined
  hint?: string
  mono?: boolean
  secret?: boolean
  keyboard?: TextInputProps['inputMode']
  onSubmit?: () => void
  autoComplete?: TextInputProps['autoComplete']
  /** Takes the cursor when it comes. */
  focus?: boolean
  /** Several lines, this many high. */
  lines?: number
}

/** Something to fill in, one line as a rule, with what is wrong with it beneath. */
export function Field({
  label,
  value,
  onChange,
  error,
  hint,
  mono,
  secret,
  keyboard,
  onSubmit,
  autoComplete,
  focus,
  lines,
}: FieldProps) {
  const high = lines ? { paddingVertical: 10, lineHeight: 24, minHeight: lines * 24 + 20 } : { minHeight: 46 }
  return (
    <Input
      label={label}
      aria-label={label}
      value={value}
      onChangeText={onChange}
      {...({ 'aria-invalid': error ? true : undefined } as object)}
      renderErrorMessage={!!error}
      {...(error ? { errorMessage: error } : {})}
      {...(hint ? { placeholder: hint } : {})}
      secureTextEntry={!!secret}
      {...(keyboard ? { inputMode: keyboard } : {})}
      {...(onSubmit ? { onSubmitEditing: onSubmit } : {})}
      {...(autoComplete ? { autoComplete } : {})}
      {...(focus ? { autoFocus: true } : {})}
      {...(lines ? { multiline: true, numberOfLines: lines } : {})}
      {...(mono
        ? { inputStyle: { fontFamily: faces.mono, fontSize: 17, minWidth: 0, paddingHorizontal: 12, ...high } }
        : {})}
      autoCapitalize="none"
      autoCorrect={false}
    />
  )
}

/** One line to fill in with the button that takes it beside. */
export function FieldToEnter({
  action,
  onEnter,
  children,
  ...field
}: Omit<FieldProps, 'onSubmit'> & { action: string; onEnter: () => Promise<unknown>; children?: React.ReactNode }) {
  return (
    <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end' }}>
      <View style={{ flex: 1 }}>
        <Field
          {...field}
          onSubmit={() => {
            void onEnter()
          }}
        />
      </View>
      {children}
      <View style={{ width: 132, marginBottom: field.error ? 26 : 0 }}>
        <Action kind="plain" label={action} onPress={onEnter} />
      </View>
    </View>
  )
}

/** A number as a fitter types it, with a comma or a point; null where it is none. */
export function numberIn(text: string): number | null {
  const clean = text.trim().replace(',', '.')
  return /^-?\d+(\.\d+)?$/.test(clean) ? Number(clean) : null
}

/** A number as it was typed, or the text itself, which the check refuses in words. */
export const typedNumber = (text: string): number => (numberIn(text) ?? text) as number

export function Group({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <View style={{ gap: 4 }}>
      <T face="mid">{label}</T>
      {children}
    </View>
  )
}
