import { answersFor, diagnose, toldWords, type Diagnosis, type Facts, type Failure } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { saysOf } from '../state/api'
import { useJob } from '../state/job'
import { canFit, useSession } from '../state/session'
import { Action } from './Action'
import { Notice, Sheet } from './Screen'
import { T } from './Text'
import { TwoLines } from './TwoLines'

/** What is behind a failure: the look that is next, what may still be the cause, what was seen, and what that excludes. */
export function Looking({ facts, failure }: { facts: Facts; failure: Failure }) {
  const diagnosis = diagnose(failure, answersFor(facts, failure))
  const told = toldWords(failure)
  const send = useJob((s) => s.send)
  const fits = canFit(useSession((s) => s.me))
  const [wrong, setWrong] = useState('')
  const { left, settled, out, next, minutes, found } = diagnosis
  const answer = (look: string, which: string) =>
    send('look.answer', { failure: failure.id, look, answer: which })
      .then(() => setWrong(''))
      .catch((error: unknown) => setWrong(saysOf(error)))
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {settled ? (
        <Sheet title="The cause">
          <T level={3} face="strong" size={22}>
            {settled.says}
          </T>
          <T size={17}>{settled.mend}</T>
        </Sheet>
      ) : null}
      {left.length === 0 ? (
        <Notice tone="madder">
          These answers contradict each other: no single cause goes with all of them. Take back the one that you are
          least sure of, or look for two faults.
        </Notice>
      ) : null}
      {next && fits ? (
        <Sheet title={`Look next: about ${minutesWords(next.minutes)}`}>
          <T level={3} face="mid" size={22}>
            {next.asks}
          </T>
          <View role="group" aria-label={next.asks} style={{ gap: 8 }}>
            {next.answers.map((a) => (
              <Action key={a.id} kind="plain" label={a.says} onPress={() => answer(next.look, a.id)} />
            ))}
          </View>
          <T size={13} tone="quiet">{`All of the looking: about ${minutesWords(minutes)} on the average.`}</T>
        </Sheet>
      ) : null}
      {settled ? null : <LeftCauses left={left} />}
      {found.length > 0 ? (
        <Sheet title="What was seen">
          {found.map((f) => (
            <View key={f.look} style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
              <TwoLines says={f.says} under={f.asks} />
              {fits ? (
                <Action
                  kind="plain"
                  label="Take back"
                  name={`Take back: ${f.says}`}
                  onPress={() => answer(f.look, '')}
                />
              ) : null}
            </View>
          ))}
        </Sheet>
      ) : null}
      {told.length + out.length > 0 ? (
        <Sheet title="What that says">
          {told.map((says) => (
            <T key={says}>{says}</T>
          ))}
          <View role="list" aria-label="Excluded" style={{ gap: 6 }}>
            {out.map((c) => (
              <View key={c.id} role="listitem">
                <TwoLines says={`Not this: ${c.says}`} under={c.by} tone="quiet" />
              </View>
            ))}
          </View>
        </Sheet>
      ) : null}
    </>
  )
}

function LeftCauses({ left }: Pick<Diagnosis, 'left'>) {
  if (left.length === 0) return null
  return (
    <Sheet title="Likely causes">
      <View role="list" aria-label="Likely causes" style={{ gap: 8 }}>
        {left.map((c) => (
          <View key={c.id} role="listitem" style={{ flexDirection: 'row', gap: 12 }}>
            <T face="mono" tone="quiet" style={{ width: 44 }}>{`${Math.max(1, Math.round(c.share * 100))} %`}</T>
            <TwoLines says={c.says} under={c.mend} />
          </View>
        ))}
      </View>
    </Sheet>
  )
}

function minutesWords(minutes: number): string {
  if (minutes < 0.75) return 'half a minute'
  return minutes < 1.5 ? 'a minute' : `${Math.round(minutes)} minutes`
}
