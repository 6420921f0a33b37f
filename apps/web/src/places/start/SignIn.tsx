import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useSession } from '../../state/session'

/** Signing in; `again` when the sign-in ran out while something was being typed, which stays underneath. */
export function SignIn({ again }: { again?: boolean }) {
  const signIn = useSession((s) => s.signIn)
  const [name, setName] = useState('')
  const [password, setPassword] = useState('')
  const [wrong, setWrong] = useState('')
  const submit = () => signIn(name.trim(), password).catch((error: unknown) => setWrong(saysOf(error)))
  return (
    <View
      role={again ? 'dialog' : 'main'}
      aria-label="Sign in"
      style={{ padding: 24, gap: 12, maxWidth: 420, width: '100%', alignSelf: 'center' }}
    >
      <T level={1} face="strong" size={28}>
        {again ? 'Sign in again' : 'Rauta'}
      </T>
      <T tone="quiet">
        {again
          ? 'Your sign-in ran out. What you typed is still there underneath.'
          : 'From the plan to the signature, door by door.'}
      </T>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Field label="Name" value={name} onChange={setName} autoComplete="username" />
      <Field
        label="Password"
        value={password}
        onChange={setPassword}
        secret
        onSubmit={() => {
          void submit()
        }}
        autoComplete="current-password"
      />
      <Action label="Sign in" onPress={submit} />
    </View>
  )
}
