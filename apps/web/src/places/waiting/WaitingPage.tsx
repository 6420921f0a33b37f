import { jobIdentity, jobOf } from '@rauta/core'
import { commands } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import type { Waiting } from '../../state/kept'
import { useOffline } from '../../state/offline'
import { useSession } from '../../state/session'
import { dayTime } from '../../state/time'
import { BringIn } from './BringIn'
import { saveWaiting } from './save'

/** What waits on this phone for the server, and whether it may wait here at all. */
export function WaitingPage() {
  const outbox = useJob((s) => s.outbox)
  const connection = useJob((s) => s.connection)
  const flush = useJob((s) => s.flush)
  const tryAgain = useJob((s) => s.tryAgain)
  const me = useSession((s) => s.me)
  const facts = useFacts()
  const job = jobIdentity(jobOf(facts))
  const [wrong, setWrong] = useState('')
  const refused = outbox.filter((w) => w.refused !== undefined)
  const mine = outbox.filter((w) => w.refused === undefined && w.by === me?.name && w.job === job)
  const others = outbox.filter((w) => w.refused === undefined && (w.by !== me?.name || w.job !== job))
  const save = (records: readonly Waiting[]) => {
    try {
      saveWaiting(records)
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  const under =
    connection === 'away'
      ? 'No server: what you record is kept here'
      : outbox.length
        ? 'The server is there'
        : 'The server has everything'
  return (
    <Screen
      title="Waiting records"
      under={under}
      bar={mine.length ? <Action label="Send now" aside={String(mine.length)} onPress={flush} /> : null}
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Here />
      {outbox.length === 0 ? (
        <Sheet>
          <T tone="quiet">Nothing waits. What you record without signal stands here until the server has it.</T>
        </Sheet>
      ) : null}
      {mine.length ? (
        <Sheet title={`${mine.length} ${mine.length === 1 ? 'waits' : 'wait'} for the server`}>
          {mine.map((w) => (
            <Record key={w.id} record={w} />
          ))}
          <Action kind="plain" label="Save them to a file" onPress={() => save(mine)} />
        </Sheet>
      ) : null}
      {refused.length ? (
        <Sheet title={`${refused.length} refused`}>
          {refused.map((w) => (
            <Refused key={w.id} record={w} onSave={() => save([w])} />
          ))}
          <Action kind="plain" label="Try them again" onPress={tryAgain} />
        </Sheet>
      ) : null}
      {others.length ? (
        <Sheet title="Of somebody else, or of another job">
          <T>{`${[...new Set(others.map((w) => w.by))].join(', ')} must sign in on this phone for these, or you save them and the lead brings them in.`}</T>
          {others.map((w) => (
            <Record key={w.id} record={w} />
          ))}
          <Action
            kind="plain"
            label="Save these to a file"
            onPress={() => save(others.filter((w) => w.by === others[0]?.by && w.job === others[0]?.job))}
          />
        </Sheet>
      ) : null}
      {me?.role === 'lead' ? <BringIn /> : null}
    </Screen>
  )
}

/** Whether this phone can work without the server, in words, and what is missing where not. */
function Here() {
  const { secure, installed, lasting, newer } = useOffline()
  return (
    <Sheet title="On this phone">
      {secure ? null : (
        <Notice tone="madder">
          This page can’t work offline: browsers allow that only over HTTPS or on the laptop itself. Open Rauta by the
          address that the laptop shows for phones, and trust its authority.
        </Notice>
      )}
      {secure ? (
        <T>
          {installed
            ? 'Rauta is on this phone and opens without the server.'
            : 'Rauta is not on this phone yet: stay on this page for a moment while the server is there.'}
        </T>
      ) : null}
      {secure && lasting === false ? (
        <T tone="ochre">
          The browser may clear what is kept here when space runs out. Put Rauta on the home screen, and it will not.
        </T>
      ) : null}
      {secure && lasting ? <T tone="quiet">The browser keeps it until you sign out.</T> : null}
      {newer ? <Action kind="plain" label="A newer Rauta is ready: take it" onPress={newer} /> : null}
    </Sheet>
  )
}

const wordsOf = (facts: ReturnType<typeof useFacts>, w: Waiting): string => {
  try {
    return commands[w.name]?.words(facts, w.payload as never) ?? w.name
  } catch {
    return w.name
  }
}

function Record({ record: w }: { record: Waiting }) {
  const facts = useFacts()
  return (
    <View style={{ flexDirection: 'row', gap: 12 }}>
      <T face="mono" tone="quiet">
        {dayTime(w.madeAt, jobOf(facts)?.zone ?? 'UTC')}
      </T>
      <T style={{ flex: 1 }}>{wordsOf(facts, w)}</T>
    </View>
  )
}

function Refused({ record: w, onSave }: { record: Waiting; onSave: () => void }) {
  const discard = useJob((s) => s.discard)
  const facts = useFacts()
  return (
    <View style={{ gap: 6 }}>
      <Record record={w} />
      <T tone="madder">{w.refused}</T>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Action kind="plain" label="Save it" onPress={onSave} />
        </View>
        <View style={{ flex: 1 }}>
          <Action
            kind="danger"
            label="Throw away"
            onPress={() => {
              if (confirm(`Throw away “${wordsOf(facts, w)}”? It is nowhere else.`)) return discard(w.id)
              return undefined
            }}
          />
        </View>
      </View>
    </View>
  )
}
