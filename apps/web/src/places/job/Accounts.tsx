import type { Role } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field, Group } from '../../parts/Field'
import { Line, Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { post, saysOf } from '../../state/api'
import { useBodyForm } from '../../state/commandForm'
import { useSession } from '../../state/session'

export interface Account {
  name: string
  role: Role
}
type Told = (says: string) => void
const told = (answer: unknown): string => (answer as { says: string }).says

const passwordRule = '10 characters or more, several words'
const roles: { value: Role; label: string }[] = [
  { value: 'engineer', label: 'Engineer' },
  { value: 'lead', label: 'Lead' },
  { value: 'witness', label: 'Witness' },
  { value: 'viewer', label: 'Viewer' },
]

/** One account; a lead gives it another role or ends it, told first what that means. */
export function AccountLine({ account: { name, role }, onDone }: { account: Account; onDone: Told }) {
  const me = useSession((s) => s.me)
  const [open, setOpen] = useState(false)
  const mayChange = me?.role === 'lead' && me.name !== name
  const done = (says: string) => {
    setOpen(false)
    onDone(says)
  }
  return (
    <>
      <Line
        {...(mayChange
          ? {
              sign: 'unfolds' as const,
              label: `${name}, ${role}, ${open ? 'close' : 'change'}`,
              onPress: () => setOpen(!open),
            }
          : {})}
      >
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <T face="strong">{name}</T>
          <T tone="quiet">{role}</T>
        </View>
      </Line>
      {open ? (
        <View style={{ gap: 8, paddingHorizontal: 16, paddingBottom: 12 }}>
          <RoleChips name={name} role={role} onDone={done} />
          <NewPassword name={name} onDone={done} />
          <EndAccount name={name} onDone={done} />
        </View>
      ) : null}
    </>
  )
}

const ofAccount = (name: string, what: string) => `/accounts/${encodeURIComponent(name)}/${what}`

function RoleChips({ name, role, onDone }: Account & { onDone: Told }) {
  const [wrong, setWrong] = useState('')
  const give = (next: Role) =>
    post(ofAccount(name, 'role'), { role: next })
      .then((answer) => onDone(told(answer)))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Chips label={`Role of ${name}`} value={role} onChange={give} options={roles} />
    </>
  )
}

function NewPassword({ name, onDone }: { name: string; onDone: Told }) {
  const form = useBodyForm<{ password: string }>({
    body: 'newPassword',
    path: ofAccount(name, 'password'),
    first: { password: '' },
    payload: (typed) => typed,
    onSent: (_sent, answer) => onDone(told(answer)),
  })
  return (
    <>
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Field
        label={`New password for ${name}, ${passwordRule}`}
        value={form.value.password}
        onChange={form.set('password')}
        error={form.error('password')}
        secret
        autoComplete="new-password"
      />
      <Action kind="plain" label={`Set the password of ${name}`} onPress={form.submit} />
    </>
  )
}

function EndAccount({ name, onDone }: { name: string; onDone: Told }) {
  const [asked, setAsked] = useState(false)
  const [wrong, setWrong] = useState('')
  if (!asked) return <Action kind="danger" label={`End the account of ${name}`} onPress={() => setAsked(true)} />
  const end = () =>
    post(ofAccount(name, 'end'))
      .then((answer) => onDone(told(answer)))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <T size={17}>{`${name} is signed out everywhere and can no longer sign in.`}</T>
      <T
        size={17}
      >{`What ${name} recorded stays under that name. Records that still wait on ${name}’s phone can’t come in afterwards: let them come in first.`}</T>
      <Action kind="danger" label={`Yes, end the account of ${name}`} onPress={end} />
      <Action kind="plain" label="Leave it" onPress={() => setAsked(false)} />
    </>
  )
}

/** One's own password, by the one until now. */
export function OwnPassword() {
  const [open, setOpen] = useState(false)
  const [says, setSays] = useState('')
  const first = { old: '', password: '' }
  const form = useBodyForm({
    body: 'ownPassword',
    path: '/me/password',
    first,
    payload: (typed) => typed,
    onSent: (_sent, answer) => {
      form.again(first)
      setOpen(false)
      setSays(told(answer))
    },
  })
  if (!open)
    return (
      <>
        {says ? <Notice tone="slate">{says}</Notice> : null}
        <Action kind="plain" label="Change my password" onPress={() => setOpen(true)} />
      </>
    )
  return (
    <>
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Field
        label="Password until now"
        value={form.value.old}
        onChange={form.set('old')}
        error={form.error('old')}
        secret
        autoComplete="current-password"
      />
      <Field
        label={`New password, ${passwordRule}`}
        value={form.value.password}
        onChange={form.set('password')}
        error={form.error('password')}
        secret
        autoComplete="new-password"
      />
      <Action label="Change it" onPress={form.submit} />
      <Action kind="plain" label="Leave it" onPress={() => setOpen(false)} />
    </>
  )
}

/** Adds somebody who may sign in. */
export function AddAccount({ onDone }: { onDone: Told }) {
  const first: Account & { password: string } = { name: '', password: '', role: 'engineer' }
  const form = useBodyForm({
    body: 'account',
    path: '/accounts',
    first,
    payload: (typed) => ({ ...typed, name: typed.name.trim() }),
    onSent: (_sent, answer) => {
      form.again({ ...first, role: form.value.role })
      onDone(told(answer))
    },
  })
  const { value, set, error } = form
  return (
    <Sheet title="Add somebody">
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Field label="Name" value={value.name} onChange={set('name')} error={error('name')} />
      <Field
        label={`Password, ${passwordRule}`}
        value={value.password}
        onChange={set('password')}
        error={error('password')}
        secret
        autoComplete="new-password"
      />
      <Group label="Role">
        <Chips label="Role" value={value.role} onChange={set('role')} options={roles} />
      </Group>
      <Action kind="plain" label="Add the account" onPress={form.submit} />
    </Sheet>
  )
}
