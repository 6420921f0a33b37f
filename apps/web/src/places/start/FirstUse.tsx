import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { ZonePick } from '../../parts/ZonePick'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { fieldOf, post, saysOf } from '../../state/api'
import { useSession } from '../../state/session'

/** The first visit: the lead's account and the first job. */
export function FirstUse() {
  const look = useSession((s) => s.look)
  const asksCode = useSession((s) => s.me?.asksCode)
  const [code, setCode] = useState('')
  const [form, setForm] = useState({
    name: '',
    password: '',
    job: '',
    client: '',
    site: '',
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    address: '192.168.0.0',
    prefix: '24',
    gateway: '192.168.0.1',
    timeServer: '192.168.0.1',
  })
  const [wrong, setWrong] = useState<{ says: string; field: string | undefined } | null>(null)
  const set = (key: keyof typeof form) => (value: string) => setForm({ ...form, [key]: value })
  const submit = async () => {
    try {
      await post('/first', {
        name: form.name.trim(),
        password: form.password,
        ...(asksCode ? { code: code.trim() } : {}),
        job: {
          name: form.job,
          client: form.client,
          site: form.site,
          zone: form.zone,
          network: {
            address: form.address,
            prefix: Number(form.prefix),
            gateway: form.gateway,
            timeServer: form.timeServer,
          },
        },
      })
      await look()
    } catch (error) {
      setWrong({ says: saysOf(error), field: fieldOf(error) })
    }
  }
  return (
    <ScrollView
      role="main"
      contentContainerStyle={{ padding: 24, gap: 8, maxWidth: 520, width: '100%', alignSelf: 'center' }}
    >
      <T level={1} face="strong" size={28}>
        Begin a job
      </T>
      <T tone="quiet">You become its lead. The others get accounts from you.</T>
      {wrong ? <Notice tone="madder">{wrong.says}</Notice> : null}
      {asksCode ? (
        <Field
          label="Code from the terminal"
          value={code}
          onChange={setCode}
          hint="Eight digits, where Rauta was started"
          mono
          keyboard="numeric"
          error={wrong?.field === 'code' ? wrong.says : undefined}
        />
      ) : null}
      <Field label="Your name" value={form.name} onChange={set('name')} autoComplete="username" />
      <Field
        label="Password, 10 characters or more"
        value={form.password}
        onChange={set('password')}
        secret
        autoComplete="new-password"
      />
      <Field label="Job" value={form.job} onChange={set('job')} hint="What the job is called" />
      <Field label="Client" value={form.client} onChange={set('client')} />
      <Field label="Site" value={form.site} onChange={set('site')} hint="Where it is" />
      <ZonePick
        label="Time zone of the site"
        value={form.zone}
        onChange={set('zone')}
        error={wrong?.field === 'zone' ? wrong.says : undefined}
      />
      <T level={2} face="strong" size={17}>
        Network, from the client’s IT
      </T>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 2 }}>
          <Field label="Subnet" value={form.address} onChange={set('address')} mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="Prefix" value={form.prefix} onChange={set('prefix')} mono keyboard="numeric" />
        </View>
      </View>
      <Field label="Gateway" value={form.gateway} onChange={set('gateway')} mono />
      <Field label="Time server" value={form.timeServer} onChange={set('timeServer')} mono />
      <Action label="Begin the job" onPress={submit} />
    </ScrollView>
  )
}
