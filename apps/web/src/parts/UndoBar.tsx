import type { PlanEdit } from '@rauta/contracts'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { get, saysOf } from '../state/api'
import { useJob } from '../state/job'
import { Action } from './Action'
import { Notice } from './Screen'

type Way = { undo: PlanEdit | null; redo: PlanEdit | null }

/** Takes the newest plan edit back, or makes it again; says which. */
export function UndoBar() {
  const rev = useJob((s) => s.facts.rev)
  const send = useJob((s) => s.send)
  const [way, setWay] = useState<Way>({ undo: null, redo: null })
  const [wrong, setWrong] = useState('')
  useEffect(() => {
    let here = true
    get<Way>('/plan-edits')
      .then((w) => {
        if (here) setWay(w)
      })
      .catch(() => undefined)
    return () => {
      here = false
    }
  }, [rev])
  if (!way.undo && !way.redo) return null
  const go = (name: 'plan.undo' | 'plan.redo', edit: PlanEdit) =>
    send(name, { rev: edit.rev })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <View role="group" aria-label="Undo and redo" style={{ gap: 4 }}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {way.undo ? (
        <Action kind="plain" label={`Undo: ${way.undo.says}`} onPress={() => way.undo && go('plan.undo', way.undo)} />
      ) : null}
      {way.redo ? (
        <Action kind="plain" label="Redo what was taken back" onPress={() => way.redo && go('plan.redo', way.redo)} />
      ) : null}
    </View>
  )
}
