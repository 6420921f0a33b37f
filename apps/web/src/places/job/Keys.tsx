import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { post, saysOf } from '../../state/api'

interface Change {
  what: 'devices' | 'sealing' | 'job' | 'authority'
  label: string
  means: string
}
const changes: readonly Change[] = [
  {
    what: 'devices',
    label: 'New passwords for all devices',
    means:
      'Every device in service gets a new password, one by one. One that does not answer keeps the one it has and is named.',
  },
  {
    what: 'sealing',
    label: 'New key file',
    means:
      'Passwords and keys are sealed under a new key file. The one until now is kept beside it: backups from before open with it alone.',
  },
  {
    what: 'job',
    label: 'New signing key',
    means:
      'Records are signed with a new key. Whoever has the one printed before can still check them: it leads on to the new one.',
  },
  {
    what: 'authority',
    label: 'New authority for phones',
    means: 'Every phone on the local network has to be told to trust this job once more.',
  },
]

/** Keys and passwords of the job, changed on purpose: what it means is said first. */
export function Keys() {
  const [asked, setAsked] = useState<Change | null>(null)
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState<{ tone: 'slate' | 'madder'; says: string } | null>(null)
  const [devices, setDevices] = useState<{ ref: string; ok: boolean; says: string }[]>([])
  const change = async ({ what }: Change) => {
    setBusy(true)
    setSaid(null)
    setDevices([])
    try {
      const answer = await post<{ says: string; devices?: typeof devices }>(`/keys/${what}`)
      setDevices((answer.devices ?? []).filter((d) => !d.ok))
      setSaid({ tone: answer.devices?.some((d) => !d.ok) ? 'madder' : 'slate', says: answer.says })
    } catch (error) {
      setSaid({ tone: 'madder', says: saysOf(error) })
    } finally {
      setBusy(false)
      setAsked(null)
    }
  }
  return (
    <Sheet title="Keys and device passwords">
      {said ? <Notice tone={said.tone}>{said.says}</Notice> : null}
      {devices.map((d) => (
        <T key={d.ref}>{`${d.ref}: ${d.says}`}</T>
      ))}
      {changes.map((c) =>
        asked?.what === c.what ? (
          <View key={c.what} style={{ gap: 8 }}>
            <T size={17}>{c.means}</T>
            <Action
              kind="danger"
              label={busy ? 'At work' : `Yes: ${c.label}`}
              disabled={busy}
              onPress={() => change(c)}
            />
            <Action kind="plain" label="Leave it" onPress={() => setAsked(null)} />
          </View>
        ) : (
          <Action key={c.what} kind="plain" label={c.label} onPress={() => setAsked(c)} />
        ),
      )}
    </Sheet>
  )
}
