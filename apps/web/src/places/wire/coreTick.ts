import type { Conductor, Door } from '@rauta/core'
import { useState } from 'react'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { endedCores } from './ended'

/** Which of these conductors are under their screws, a way to tick one, and in words why it was not taken. */
export function useCoreTick(
  door: Door,
  conductors: readonly Conductor[],
): { ended: ReadonlySet<string>; toggle: (c: Conductor) => Promise<void>; wrong: string } {
  const send = useJob((s) => s.send)
  const ended = endedCores(useFacts(), door, conductors)
  const [wrong, setWrong] = useState('')
  const toggle = (c: Conductor) =>
    send('core.tick', { door: door.id, cable: c.cable, core: c.id, done: !ended.has(c.id) })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return { ended, toggle, wrong }
}
