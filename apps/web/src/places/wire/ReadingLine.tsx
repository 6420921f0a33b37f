import {
  expectedReading,
  judgeReading,
  endlessKinds,
  newestOf,
  overRange,
  plannedOf,
  readingFacts,
  readingText as shown,
  windowWords,
  type Cable,
  type Door,
  type ReadingKind,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { FieldToEnter, numberIn } from '../../parts/Field'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob, useWaitingAt } from '../../state/job'
import { Causes } from './Causes'
import { useGround } from '../../theme'

/** One reading: what it should be, what was measured, the verdict, and what may be behind it. */
export function ReadingLine({ door, cable, kind }: { door: Door; cable: Cable; kind: ReadingKind }) {
  const facts = useFacts()
  const ground = useGround()
  const send = useJob((s) => s.send)
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState('')
  const [off, setOff] = useState(false)
  const { name, unit, unitName, example } = readingFacts[kind]
  const waiting = useWaitingAt(door.id)
  const planned = plannedOf(facts, sheetsFor(facts))
  const expected = expectedReading(door, cable.id, kind, planned)
  const newest = newestOf(facts, door.id, cable.id)
  const reading = newest.find((r) => r.kind === kind)
  const verdict = reading ? judgeReading(reading, door, planned, newest) : null
  const guarded = kind === 'insulation' && !off
  const save = async (typed?: number) => {
    const value = typed ?? numberIn(text)
    if (value === null) {
      setWrong(`A reading is a number of ${unitName}, for example ${example}.`)
      return
    }
    try {
      await send('reading.add', {
        id: v7(),
        door: door.id,
        cable: cable.id,
        kind,
        value,
        ...(kind === 'insulation' && off ? { disconnected: true } : {}),
      })
      setText('')
      setWrong('')
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <View
      style={{
        borderLeftWidth: 4,
        borderColor: verdict ? (verdict.in ? ground.verdigris : ground.madder) : ground.line,
        paddingLeft: 12,
        gap: 4,
      }}
    >
      <T face="mid">{`${name}${expected ? `, ${expected.says}` : ''}`}</T>
      {reading ? (
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 8, flexWrap: 'wrap' }}>
          <T face="mono" size={22}>
            {shown(verdict?.value ?? reading.value)}
          </T>
          <T size={17}>{unit}</T>
          {verdict && verdict.value !== reading.value ? (
            <T tone="quiet">{`${shown(reading.value)} less ${shown(reading.leadsOhm ?? 0)} of the leads`}</T>
          ) : null}
          {verdict && verdict.expected.to !== Infinity ? (
            <T tone="quiet">{`worked out ${shown(verdict.expected.value)} ${unit}`}</T>
          ) : null}
        </View>
      ) : expected ? (
        <T tone="quiet">{`Should be ${windowWords(expected)}`}</T>
      ) : null}
      {reading && waiting.some((w) => (w.payload as { id?: string }).id === reading.id) ? (
        <T tone="slate" size={13}>
          Kept on this phone; waits for the server.
        </T>
      ) : null}
      {verdict ? (
        <T tone={verdict.in ? 'verdigris' : 'madder'}>
          {verdict.in ? verdict.says : `Out of tolerance (${windowWords(verdict.expected)}).`}
        </T>
      ) : null}
      {verdict?.causes.length ? <Causes causes={verdict.causes} /> : null}
      {kind === 'insulation' ? (
        <>
          <Notice tone="madder">The tester’s 250 V kill electronics.</Notice>
          <Tick label={`Reader, lock and controller are off ${cable.id}`} on={off} onPress={() => setOff(!off)} />
        </>
      ) : null}
      {guarded ? null : (
        <FieldToEnter
          label={`New ${name}, ${unit}`}
          value={text}
          onChange={setText}
          keyboard={kind === 'polarity' ? 'text' : 'decimal'}
          mono
          error={wrong || undefined}
          action="Save reading"
          onEnter={() => save()}
        >
          {endlessKinds.has(kind) ? (
            <View style={{ width: 64, marginBottom: wrong ? 26 : 0 }}>
              <Action
                kind="plain"
                label="OL"
                name={`${name}: OL, over the meter’s range`}
                onPress={() => save(overRange)}
              />
            </View>
          ) : null}
        </FieldToEnter>
      )}
    </View>
  )
}
