import type { BatchResult } from '@rauta/contracts'
import { useRef, useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { counted } from '../../parts/count'
import { T } from '../../parts/Text'
import { post, saysOf } from '../../state/api'
import { readWaitingFile } from '../../state/kept'

/** For the lead: records that waited on somebody's phone, from the file that they were saved to. */
export function BringIn() {
  const input = useRef<HTMLInputElement>(null)
  const [says, setSays] = useState<{ tone: 'madder' | 'verdigris' | 'ochre'; text: string } | null>(null)
  const take = async (file: File | undefined) => {
    if (!file) return
    const read = readWaitingFile(await file.text())
    if (typeof read === 'string') {
      setSays({ tone: 'madder', text: read })
      return
    }
    try {
      const { results } = await post<{ results: BatchResult[] }>('/waiting', read)
      setSays(told(read.by, results))
    } catch (error) {
      setSays({ tone: 'madder', text: saysOf(error) })
    }
  }
  return (
    <Sheet title="Bring in">
      <T>Records that somebody saved on a phone that could not reach this server.</T>
      {says ? <Notice tone={says.tone}>{says.text}</Notice> : null}
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="File with waiting records"
        style={{ display: 'none' }}
        onChange={(e) => {
          void take(e.target.files?.[0]).finally(() => {
            if (input.current) input.current.value = ''
          })
        }}
      />
      <Action kind="plain" label="Choose the file" onPress={() => input.current?.click()} />
    </Sheet>
  )
}

function told(by: string, results: readonly BatchResult[]): { tone: 'verdigris' | 'ochre'; text: string } {
  const refused = results.flatMap((r) => (r.ok ? [] : [r.says]))
  const repeated = results.filter((r) => r.ok && r.repeated).length
  const fresh = results.length - refused.length - repeated
  const text = `${counted(fresh, 'record')} of ${by} brought in${repeated ? `, ${repeated} were here already` : ''}${refused.length ? `, ${refused.length} refused: ${[...new Set(refused)].slice(0, 3).join(' ')}` : ''}.`
  return { tone: refused.length ? 'ochre' : 'verdigris', text }
}
