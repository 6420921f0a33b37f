import type { Role } from '@rauta/contracts'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field, Group } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get, post, saysOf } from '../../state/api'
import { useSession } from '../../state/session'
import { Keys } from './Keys'
import { Phones } from './Phones'
import { SignedIn } from './SignedIn'
import { Trace } from './Trace'

interface Account {
  name: string
  role: Role
}
const passwordRule = '10 characters or more, several words'
const roles: { value: Role; label: string }[] = [
  { value: 'engineer', label: 'Engineer' },
  { value: 'lead', label: 'Lead' },
  { value: 'witness', label: 'Witness' },
  { value: 'viewer', label: 'Viewer' },
]

/** One account; a lead gives it another role or ends it, told first what that means. */
function AccountLine({ account: { name, role }, onDone }: { account: Account; onDone: (says: string) => void }) {
  const me = useSession((s) => s.me)
  const [open, setOpen] = useState(false)
  const [ending, setEnding] = useState(false)
  const [password, setPassword] = useState('')
  const ask = (what: string, body: object) =>
    post<{ says: string }>(`/accounts/${encodeURIComponent(name)}/${what}`, body)
      .then((a) => {
        setOpen(false)
        setEnding(false)
        setPassword('')
        onDone(a.says)
      })
      .catch((e: unknown) => onDone(saysOf(e)))
  const mayChange = me?.role === 'lead' && me.name !== name
  return (
    <>
      <Line
        {...(mayChange
          ? { label: `${name}, ${role}, ${open ? 'close' : 'change'}`, onPress: () => setOpen(!open) }
          : {})}
      >
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <T face="strong">{name}</T>
          <T tone="quiet">{mayChange ? `${role} · change` : role}</T>
        </View>
      </Line>
      {open ? (
        <View style={{ gap: 8, paddingHorizontal: 16, paddingBottom: 12 }}>
          <Chips
            label={`Role of ${name}`}
            value={role}
            onChange={(next) => ask('role', { role: next })}
            options={roles}
          />
          <Field
            label={`New password for ${name}, ${passwordRule}`}
            value={password}
            onChange={setPassword}
            secret
            autoComplete="new-password"
          />
          <Action kind="plain" label={`Set the password of ${name}`} onPress={() => ask('password', { password })} />
          {ending ? (
            <>
              <T size={17}>{`${name} is signed out everywhere and can no longer sign in.`}</T>
              <T
                size={17}
              >{`What ${name} recorded stays under that name. Records that still wait on ${name}’s phone can’t come in afterwards: let them come in first.`}</T>
              <Action kind="danger" label={`Yes, end the account of ${name}`} onPress={() => ask('end', {})} />
              <Action kind="plain" label="Leave it" onPress={() => setEnding(false)} />
            </>
          ) : (
            <Action kind="danger" label={`End the account of ${name}`} onPress={() => setEnding(true)} />
          )}
        </View>
      ) : null}
    </>
  )
}

/** One's own password, by the one until now. */
function OwnPassword() {
  const [open, setOpen] = useState(false)
  const [says, setSays] = useState('')
  const [form, setForm] = useState({ old: '', password: '' })
  const change = () =>
    post<{ says: string }>('/me/password', form)
      .then((a) => {
        setForm({ old: '', password: '' })
        setOpen(false)
        setSays(a.says)
      })
      .catch((e: unknown) => setSays(saysOf(e)))
  if (!open)
    return (
      <>
        {says ? <Notice tone="slate">{says}</Notice> : null}
        <Action kind="plain" label="Change my password" onPress={() => setOpen(true)} />
      </>
    )
  return (
    <>
      {says ? <Notice tone="slate">{says}</Notice> : null}
      <Field
        label="Password until now"
        value={form.old}
        onChange={(old) => setForm({ ...form, old })}
        secret
        autoComplete="current-password"
      />
      <Field
        label={`New password, ${passwordRule}`}
        value={form.password}
        onChange={(password) => setForm({ ...form, password })}
        secret
        autoComplete="new-password"
      />
      <Action label="Change it" onPress={change} />
      <Action kind="plain" label="Leave it" onPress={() => setOpen(false)} />
    </>
  )
}

export function TeamPage() {
  const me = useSession((s) => s.me)
  const signOut = useSession((s) => s.signOut)
  const [list, setList] = useState<Account[]>([])
  const [says, setSays] = useState('')
  const [form, setForm] = useState<{ name: string; password: string; role: Role }>({
    name: '',
    password: '',
    role: 'engineer',
  })
  const look = () =>
    get<Account[]>('/accounts')
      .then(setList)
      .catch((e: unknown) => setSays(saysOf(e)))
  useEffect(() => {
    void look()
  }, [])
  const done = (told: string) => {
    setSays(told)
    void look()
  }
  const add = () =>
    post<{ says: string }>('/accounts', form)
      .then((a) => {
        setSays(a.says)
        setForm({ ...form, name: '', password: '' })
        return look()
      })
      .catch((e: unknown) => setSays(saysOf(e)))
  return (
    <Screen columns title="Team" under={`Signed in as ${me?.name ?? ''}, ${me?.role ?? ''}`}>
      {says ? <Notice tone="slate">{says}</Notice> : null}
      <Sheet flush title="Who may sign in">
        {list.map((a) => (
          <AccountLine key={a.name} account={a} onDone={done} />
        ))}
      </Sheet>
      {me?.role === 'lead' ? (
        <Sheet title="Add somebody">
          <Field label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} />
          <Field
            label={`Password, ${passwordRule}`}
            value={form.password}
            onChange={(password) => setForm({ ...form, password })}
            secret
            autoComplete="new-password"
          />
          <Group label="Role">
            <Chips label="Role" value={form.role} onChange={(role) => setForm({ ...form, role })} options={roles} />
          </Group>
          <Action kind="plain" label="Add the account" onPress={add} />
        </Sheet>
      ) : null}
      <Sheet>
        <OwnPassword />
        <Action kind="plain" label="Sign out" onPress={signOut} />
      </Sheet>
      <SignedIn />
      <Phones />
      {me?.role === 'lead' ? (
        <>
          <Trace />
          <Keys />
        </>
      ) : null}
    </Screen>
  )
}
