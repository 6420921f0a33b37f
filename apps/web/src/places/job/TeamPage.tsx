import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field, Group } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get, post, saysOf } from '../../state/api'
import { useSession } from '../../state/session'
import { Phones } from './Phones'

interface Account {
  name: string
  role: string
}

export function TeamPage() {
  const me = useSession((s) => s.me)
  const signOut = useSession((s) => s.signOut)
  const [list, setList] = useState<Account[]>([])
  const [says, setSays] = useState('')
  const [form, setForm] = useState<{
    name: string
    password: string
    role: 'lead' | 'engineer' | 'witness' | 'viewer'
  }>({ name: '', password: '', role: 'engineer' })
  const look = () =>
    get<Account[]>('/accounts')
      .then(setList)
      .catch((e: unknown) => setSays(saysOf(e)))
  useEffect(() => {
    void look()
  }, [])
  const add = () =>
    post<{ says: string }>('/accounts', form)
      .then((a) => {
        setSays(a.says)
        setForm({ ...form, name: '', password: '' })
        return look()
      })
      .catch((e: unknown) => setSays(saysOf(e)))
  return (
    <Screen title="Team" under={`Signed in as ${me?.name ?? ''}, ${me?.role ?? ''}`}>
      {says ? <Notice tone="slate">{says}</Notice> : null}
      <Sheet flush title="Who may sign in">
        {list.map((a) => (
          <Line key={a.name}>
            <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
              <T face="strong">{a.name}</T>
              <T tone="quiet">{a.role}</T>
            </View>
          </Line>
        ))}
      </Sheet>
      {me?.role === 'lead' ? (
        <Sheet title="Add somebody">
          <Field label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} />
          <Field
            label="Password, 10 characters or more"
            value={form.password}
            onChange={(password) => setForm({ ...form, password })}
            secret
            autoComplete="new-password"
          />
          <Group label="Role">
            <Chips
              label="Role"
              value={form.role}
              onChange={(role) => setForm({ ...form, role })}
              options={[
                { value: 'engineer', label: 'Engineer' },
                { value: 'lead', label: 'Lead' },
                { value: 'witness', label: 'Witness' },
                { value: 'viewer', label: 'Viewer' },
              ]}
            />
          </Group>
          <Action kind="plain" label="Add the account" onPress={add} />
        </Sheet>
      ) : null}
      <Phones />
      <Sheet>
        <Action kind="plain" label="Sign out" onPress={signOut} />
      </Sheet>
    </Screen>
  )
}
