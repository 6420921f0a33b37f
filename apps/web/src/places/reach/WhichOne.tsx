import { partOfDeviceId } from '@rauta/core'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { post, saysOf } from '../../state/api'

/** Has a device show itself, so that it is told from its neighbours. @param label empty where it can't yet be made to */
export function WhichOne({ device, says, label }: { device: string; says: string; label: string }) {
  const [came, setCame] = useState('')
  const [wrong, setWrong] = useState('')
  const blink = () => {
    setCame('')
    return post<{ says: string }>('/blink', partOfDeviceId(device) ?? {})
      .then((answer) => {
        setWrong('')
        setCame(answer.says)
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  return (
    <Sheet title="Which one is it?">
      <T>{says}</T>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {came ? <Notice tone="verdigris">{came}</Notice> : null}
      {label ? <Action kind="plain" label={label} onPress={blink} /> : null}
    </Sheet>
  )
}
