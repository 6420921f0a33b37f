import { ScrollView, View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, typedNumber } from '../../parts/Field'
import { ZonePick } from '../../parts/ZonePick'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useBodyForm } from '../../state/commandForm'
import { useSession } from '../../state/session'

/** Fields by their paths in what is sent. */
const fields = {
  'job.name': 'job',
  'job.client': 'client',
  'job.site': 'site',
  'job.zone': 'zone',
  'job.network.address': 'address',
  'job.network.prefix': 'prefix',
  'job.network.gateway': 'gateway',
  'job.network.timeServer': 'timeServer',
  // The server tells of the job it tries to begin by that job's own names.
  zone: 'zone',
  'network.address': 'address',
  'network.prefix': 'prefix',
  'network.gateway': 'gateway',
  'network.timeServer': 'timeServer',
} as const

/** The first visit: the lead's account and the first job. */
export function FirstUse() {
  const look = useSession((s) => s.look)
  const asksCode = useSession((s) => s.me?.asksCode)
  const form = useBodyForm({
    body: 'firstUse',
    path: '/first',
    first: {
      name: '',
      password: '',
      code: '',
      job: '',
      client: '',
      site: '',
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
      address: '192.168.0.0',
      prefix: '24',
      gateway: '192.168.0.1',
      timeServer: '192.168.0.1',
    },
    payload: (typed) => ({
      name: typed.name.trim(),
      password: typed.password,
      ...(asksCode ? { code: typed.code.trim() } : {}),
      job: {
        name: typed.job.trim(),
        client: typed.client.trim(),
        site: typed.site.trim(),
        zone: typed.zone,
        network: {
          address: typed.address.trim(),
          prefix: typedNumber(typed.prefix),
          gateway: typed.gateway.trim(),
          timeServer: typed.timeServer.trim(),
        },
      },
    }),
    fields,
    onSent: () => {
      void look()
    },
  })
  const { value, set, error } = form
  return (
    <ScrollView
      role="main"
      contentContainerStyle={{ padding: 24, gap: 8, maxWidth: 520, width: '100%', alignSelf: 'center' }}
    >
      <T level={1} face="strong" size={28}>
        Begin a job
      </T>
      <T tone="quiet">You become its lead. The others get accounts from you.</T>
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      {asksCode ? (
        <Field
          label="Code from the terminal"
          value={value.code}
          onChange={set('code')}
          hint="Eight digits, where Rauta was started"
          mono
          keyboard="numeric"
          error={error('code')}
        />
      ) : null}
      <Field
        label="Your name"
        value={value.name}
        onChange={set('name')}
        error={error('name')}
        autoComplete="username"
      />
      <Field
        label="Password, 10 characters or more"
        value={value.password}
        onChange={set('password')}
        error={error('password')}
        secret
        autoComplete="new-password"
      />
      <Field label="Job" value={value.job} onChange={set('job')} error={error('job')} hint="What the job is called" />
      <Field label="Client" value={value.client} onChange={set('client')} error={error('client')} />
      <Field label="Site" value={value.site} onChange={set('site')} error={error('site')} hint="Where it is" />
      <ZonePick label="Time zone of the site" value={value.zone} onChange={set('zone')} error={error('zone')} />
      <T level={2} face="strong" size={17}>
        Network, from the client’s IT
      </T>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 2 }}>
          <Field label="Subnet" value={value.address} onChange={set('address')} error={error('address')} mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field
            label="Prefix"
            value={value.prefix}
            onChange={set('prefix')}
            error={error('prefix')}
            mono
            keyboard="numeric"
          />
        </View>
      </View>
      <Field label="Gateway" value={value.gateway} onChange={set('gateway')} error={error('gateway')} mono />
      <Field
        label="Time server"
        value={value.timeServer}
        onChange={set('timeServer')}
        error={error('timeServer')}
        mono
      />
      <Action label="Begin the job" onPress={form.submit} />
    </ScrollView>
  )
}
