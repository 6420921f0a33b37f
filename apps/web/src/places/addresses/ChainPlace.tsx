import type { BusPlan, BusRun } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'

const keyOf = (l: { door: string; part: string }) => `${l.door}/${l.part}`

/** Where a device stands in the daisy chain of its bus, and how the cable comes to it. */
export function ChainPlace({ plan, at }: { plan: BusPlan; at: number }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const id = `${plan.controller}/${plan.bus}`
  const run: BusRun = facts.busRun[id] ?? { id, order: [], stations: {} }
  const line = plan.lines[at]
  const key = line ? keyOf(line) : ''
  const mine = run.stations[key] ?? {}
  const [length, setLength] = useState(mine.fromPreviousM === undefined ? '' : String(mine.fromPreviousM))
  const [stub, setStub] = useState(mine.stubM ? String(mine.stubM) : '')
  const [bare, setBare] = useState(mine.noReference ?? false)
  const [wrong, setWrong] = useState('')
  if (!line) return null
  const before = at === 0 ? plan.ref : plan.lines[at - 1]?.ref
  const put = (next: Partial<BusRun>) =>
    send('busRun.put', { ...run, order: plan.lines.map(keyOf), ...next })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  const move = (by: 1 | -1) => {
    const order = plan.lines.map(keyOf)
    order.splice(at + by, 0, ...order.splice(at, 1))
    return put({ order })
  }
  const keep = () => {
    const fromPreviousM = length.trim() ? numberIn(length) : undefined
    const stubM = stub.trim() ? numberIn(stub) : undefined
    if (fromPreviousM === null || stubM === null || (fromPreviousM ?? 0) < 0 || (stubM ?? 0) < 0) {
      setWrong('Lengths are metres, 0 or more.')
      return undefined
    }
    return put({
      stations: {
        ...run.stations,
        [key]: {
          ...(fromPreviousM === undefined ? {} : { fromPreviousM }),
          ...(stubM ? { stubM } : {}),
          ...(bare ? { noReference: true as const } : {}),
        },
      },
    })
  }
  return (
    <View style={{ gap: 8 }}>
      <T face="mid">{`In the chain: ${at + 1} of ${plan.lines.length}, after ${before ?? ''}`}</T>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Action kind="plain" label="Earlier" disabled={at === 0} onPress={() => move(-1)} />
        </View>
        <View style={{ flex: 1 }}>
          <Action kind="plain" label="Later" disabled={at === plan.lines.length - 1} onPress={() => move(1)} />
        </View>
      </View>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field label={`Cable from ${before ?? ''}, m`} value={length} onChange={setLength} keyboard="decimal" mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field
            label="On a branch of, m"
            value={stub}
            onChange={setStub}
            keyboard="decimal"
            mono
            error={wrong || undefined}
          />
        </View>
      </View>
      <Tick label="No 0 V conductor comes with A and B" on={bare} onPress={() => setBare(!bare)} />
      <Action kind="plain" label="Save its place in the chain" onPress={keep} />
    </View>
  )
}
