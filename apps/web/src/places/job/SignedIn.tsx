import { jobOf } from '@rauta/core'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get, post, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'
import { dayTime } from '../../state/time'
import { useGround } from '../../theme'

interface Session {
  id: string
  name: string
  since: number
  seen: number
  from: string
  own: boolean
}

/** Phones and computers that are signed in: one's own, and for the lead everybody's. Each can be signed out from here. */
export function SignedIn() {
  const ground = useGround()
  const zone = jobOf(useFacts())?.zone ?? 'UTC'
  const [list, setList] = useState<Session[]>([])
  const [says, setSays] = useState('')
  const look = () =>
    get<{ sessions: Session[] }>('/sessions')
      .then((a) => setList(a.sessions))
      .catch((e: unknown) => setSays(saysOf(e)))
  useEffect(() => {
    void look()
  }, [])
  const end = (id: string) =>
    post<{ says: string }>(`/sessions/${id}/end`)
      .then((a) => {
        setSays(a.says)
        return look()
      })
      .catch((e: unknown) => setSays(saysOf(e)))
  return (
    <Sheet flush title="Signed in now">
      {says ? <Notice tone="slate">{says}</Notice> : null}
      <View role="list">
        {list.map((s) => (
          <View
            key={s.id}
            role="listitem"
            style={{ paddingHorizontal: 16, paddingVertical: 10, gap: 6, borderTopWidth: 1, borderColor: ground.line }}
          >
            <T face="strong">{s.own ? `${s.name}, here` : s.name}</T>
            <T>{`${s.from} · since ${dayTime(s.since, zone)}, last used ${dayTime(s.seen, zone)}`}</T>
            {s.own ? null : (
              <Action kind="plain" label={`Sign ${s.name} out there`} aside={s.from} onPress={() => end(s.id)} />
            )}
          </View>
        ))}
      </View>
    </Sheet>
  )
}
