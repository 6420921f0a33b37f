import { jobOf, type ChainRecord } from '@rauta/core'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Line, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'
import { dayTime } from '../../state/time'

/** The records of a door's chain, newest first; they lie on the server and are fetched a page at a time. */
export function Records({ door }: { door: string }) {
  const facts = useFacts()
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const count = facts.head[door]?.n ?? 0
  const [records, setRecords] = useState<readonly ChainRecord[]>([])
  const [wrong, setWrong] = useState('')
  useEffect(() => {
    let gone = false
    page(door)
      .then((newest) => {
        if (gone) return
        setRecords(newest)
        setWrong('')
      })
      .catch((error: unknown) => {
        if (!gone) setWrong(saysOf(error))
      })
    return () => {
      gone = true
    }
  }, [door, count])
  const oldest = records.at(-1)?.n ?? 1
  const more = async () => {
    try {
      const older = await page(door, oldest)
      setRecords([...records, ...older])
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <Sheet flush title={`Records, newest first: ${count}`}>
      {wrong ? (
        <T tone="quiet" style={{ paddingHorizontal: 16, paddingVertical: 10 }}>
          {`They lie on the server. ${wrong}`}
        </T>
      ) : null}
      {records.map((r) => (
        <Line key={r.id}>
          <View style={{ flexDirection: 'row', gap: 10 }}>
            <T face="mono" size={13} tone="quiet" style={{ width: 30 }}>
              {String(r.n)}
            </T>
            <View style={{ flex: 1 }}>
              <T>{recordWords(r.kind, r.body)}</T>
              <T size={13} tone="quiet">{`${r.by}, ${dayTime(r.at, zone)}`}</T>
            </View>
          </View>
        </Line>
      ))}
      {oldest > 1 && records.length ? (
        <View style={{ padding: 12 }}>
          <Action kind="plain" label={`Show older records (${oldest - 1})`} onPress={more} />
        </View>
      ) : null}
    </Sheet>
  )
}

const page = async (door: string, before?: number): Promise<ChainRecord[]> =>
  (
    await get<{ records: ChainRecord[] }>(
      `/doors/${encodeURIComponent(door)}/chain${before === undefined ? '' : `?before=${before}`}`,
    )
  ).records

function recordWords(kind: string, body: unknown): string {
  const b = body as Record<string, unknown>
  switch (kind) {
    case 'proof':
      return `Proof: ${String(b['test'])}, ${String(b['verdict'])}. ${String(b['says'])}`
    case 'reading':
      return `Reading: ${String(b['cable'])} ${String(b['kind'])} ${String(b['value'])}`
    case 'tick':
      return `Cable ${String(b['cable'])} ticked`
    case 'plan':
      return 'Plan as it then stood'
    case 'load':
      return `Loaded and read back, digest ${String(b['digest']).slice(0, 12)}`
    case 'taken':
      return `Device ${String(b['serial'])} in service at ${String(b['address'])}`
    case 'signature':
      return `Signed by ${String(b['name'])}, ${String(b['role'])}`
    case 'snag':
      return `Snag: ${String(b['says'])}${b['closedAt'] ? ', closed' : ''}`
    default:
      return kind
  }
}
