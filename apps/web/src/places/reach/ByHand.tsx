import type { Sweep } from '@rauta/contracts'
import { useEffect, useState } from 'react'
import { Action } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Field } from '../../parts/Field'
import { Progress } from '../../parts/Progress'
import { Notice, Sheet } from '../../parts/Screen'
import { get, post, postUntil, fieldOf, saysOf } from '../../state/api'

interface Said {
  tone: 'slate' | 'madder'
  says: string
}
const lookAgainMs = 400
const isOne = (text: string) => /^\s*[\d.]*\s*$/.test(text)

/** One address, or ranges of them, asked one by one: where the search of the segment does not get. */
export function ByHand() {
  const [text, setText] = useState('')
  const [said, setSaid] = useState<Said | null>(null)
  const [wrong, setWrong] = useState<string>()
  const [asking, setAsking] = useState<AbortController | null>(null)
  const [sweep, setSweep] = useState<Sweep | null>(null)
  useStanding(sweep, setSweep)
  const refused = (error: unknown) => {
    if (fieldOf(error)) setWrong(saysOf(error))
    else setSaid({ tone: 'madder', says: saysOf(error) })
  }
  const askOne = async () => {
    const stop = new AbortController()
    setAsking(stop)
    try {
      const { says } = await postUntil<{ says: string }>('/search', { address: text.trim() }, stop.signal)
      setSaid({ tone: 'slate', says })
    } catch (error) {
      if (stop.signal.aborted) setSaid({ tone: 'slate', says: 'Stopped.' })
      else refused(error)
    } finally {
      setAsking(null)
    }
  }
  const ask = () => {
    setSaid(null)
    setWrong(undefined)
    if (isOne(text)) return askOne()
    return post<Sweep>('/sweeps', { range: text }).then(setSweep).catch(refused)
  }
  const tell = (what: 'stop' | 'go-on') => () =>
    sweep ? post<Sweep>(`/sweeps/${sweep.id}/${what}`).then(setSweep).catch(refused) : undefined
  const running = sweep?.state === 'running'
  return (
    <Sheet title="By address">
      <Field
        label="Address or ranges"
        value={text}
        onChange={setText}
        hint="10.0.0.20 or 10.0.0.20-60, 10.0.1.0/26"
        error={wrong}
        mono
      />
      {said ? <Notice tone={said.tone}>{said.says}</Notice> : null}
      {sweep ? <SweepState sweep={sweep} /> : null}
      {asking ? (
        <Action kind="plain" label="Stop asking" aside={text.trim()} onPress={() => asking.abort()} />
      ) : running ? (
        <Action kind="plain" label="Stop" aside={`${sweep.done} of ${sweep.total}`} onPress={tell('stop')} />
      ) : (
        <>
          {sweep?.state === 'stopped' ? (
            <Action kind="plain" label="Go on" aside={`${sweep.total - sweep.done} left`} onPress={tell('go-on')} />
          ) : null}
          <Action kind="plain" label={isOne(text) ? 'Ask this address' : 'Ask these addresses'} onPress={ask} />
        </>
      )}
    </Sheet>
  )
}

/** Looks again while it is under way; one that is under way already, whoever began it, is shown. */
function useStanding(sweep: Sweep | null, setSweep: (sweep: Sweep | null) => void): void {
  useEffect(() => {
    get<{ running: Sweep | null }>('/sweeps')
      .then(({ running }) => {
        if (running) setSweep(running)
      })
      .catch(() => undefined)
  }, [setSweep])
  const running = sweep?.state === 'running' ? sweep.id : null
  useEffect(() => {
    if (running === null) return undefined
    const timer = setInterval(() => {
      get<Sweep>(`/sweeps/${running}`)
        .then(setSweep)
        .catch(() => undefined)
    }, lookAgainMs)
    return () => clearInterval(timer)
  }, [running, setSweep])
}

function SweepState({ sweep }: { sweep: Sweep }) {
  const { done, total, found, strangers, noWay, state } = sweep
  const came = [
    `${counted(found, 'device')} found`,
    ...(strangers ? [`${counted(strangers, 'address', 'addresses')} answered and speak nothing that Rauta knows`] : []),
    ...(noWay
      ? [
          `to ${counted(noWay, 'address', 'addresses')} this computer knows no way: give its network adapter an address in that subnet`,
        ]
      : []),
  ].join('; ')
  const head = { running: 'Asks', stopped: 'Stopped after', ended: 'Asked' }[state]
  return (
    <>
      {state === 'running' ? <Progress label="Addresses asked" share={done / total} /> : null}
      <Notice tone={state === 'ended' && noWay ? 'ochre' : 'slate'}>{`${head} ${done} of ${total}: ${came}.`}</Notice>
    </>
  )
}
