import { jobOf } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'
import { dayTime } from '../../state/time'
import { useGround } from '../../theme'

interface Note {
  rev: number
  at: number
  by: string
  name: string
  says: string
}

/** So many come at once. */
const page = 100

/** Who signed in, mistyped, took papers away, changed accounts and keys. Fetched when it is asked for, a page at a time. */
export function Trace() {
  const ground = useGround()
  const zone = jobOf(useFacts())?.zone ?? 'UTC'
  const [notes, setNotes] = useState<Note[] | null>(null)
  const [ended, setEnded] = useState(false)
  const [wrong, setWrong] = useState('')
  const look = (before?: number) =>
    get<{ notes: Note[] }>(`/trace${before === undefined ? '' : `?before=${before}`}`)
      .then((a) => {
        setWrong('')
        setEnded(a.notes.length < page)
        setNotes(before === undefined ? a.notes : [...(notes ?? []), ...a.notes])
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  const last = notes?.at(-1)
  return (
    <Sheet flush title="Who came in, and what they took">
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {notes ? (
        <View role="list">
          {notes.map((n) => (
            <View
              key={n.rev}
              role="listitem"
              style={{ paddingHorizontal: 16, paddingVertical: 8, borderTopWidth: 1, borderColor: ground.line }}
            >
              <T tone={n.name === 'trace.wrongPassword' ? 'madder' : 'ink'}>{n.by ? `${n.by}: ${n.says}` : n.says}</T>
              <T size={13} tone="quiet">
                {dayTime(n.at, zone)}
              </T>
            </View>
          ))}
        </View>
      ) : null}
      <View style={{ padding: 16 }}>
        {last && ended ? (
          <T tone="quiet">That is all.</T>
        ) : (
          <Action kind="plain" label={last ? 'Show what came before' : 'Show it'} onPress={() => look(last?.rev)} />
        )}
      </View>
    </Sheet>
  )
}
