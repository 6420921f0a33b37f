import { hangingOn, type Removable } from '@rauta/core'
import { commands, type CommandName } from '@rauta/contracts'
import { useEffect, useRef, useState } from 'react'
import { View } from 'react-native'
import { saysOf } from '../state/api'
import { useFacts, useJob } from '../state/job'
import { useSession } from '../state/session'
import { Action } from './Action'
import { Notice, Sheet } from './Screen'
import { T } from './Text'

const command = {
  person: 'person.remove',
  group: 'group.remove',
  rule: 'rule.remove',
  reaction: 'reaction.remove',
  doorSet: 'doorSet.remove',
  schedule: 'schedule.remove',
  specialDay: 'specialDay.remove',
  area: 'area.remove',
  cabinetPlace: 'cabinetPlace.remove',
  controller: 'controller.remove',
  door: 'door.remove',
} as const satisfies Record<Removable, CommandName>

interface TakeAwayProps {
  kind: Removable
  id: string
  /** How it is called in a sentence: `Staff`, `A4`. */
  name: string
  /** It stands in a sheet, not at the end of a screen. */
  inSheet?: boolean
  /** Where to go once it is gone. */
  onGone?: () => void
}

/** Takes something out of the job: first what hangs on it, then once more whether it shall go. */
export function TakeAway({ kind, id, name, inSheet, onGone }: TakeAwayProps) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const role = useSession((s) => s.me?.role)
  const [asked, setAsked] = useState(false)
  const [wrong, setWrong] = useState('')
  const told = useRef<View>(null)
  // It opens at the end of long forms: what it says must not open below the thumb's bar.
  useEffect(() => {
    if (asked) (told.current as unknown as Element | null)?.scrollIntoView?.({ block: 'end' })
  }, [asked])
  if (!role || !commands[command[kind]]?.roles.includes(role)) return null
  if (!asked)
    return (
      <View style={inSheet ? undefined : { paddingHorizontal: 16, paddingTop: 12 }}>
        <Action kind="danger" label={`Remove ${name}`} onPress={() => setAsked(true)} />
      </View>
    )
  const { first, goes } = hangingOn(facts, kind, id)
  const remove = () =>
    send(command[kind], { id })
      .then(() => onGone?.())
      .catch((error: unknown) => setWrong(saysOf(error)))
  return (
    <View ref={told}>
      <Sheet title={`Remove ${name}?`}>
        {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
        {first ? <Notice tone="ochre">{first}</Notice> : null}
        {goes.map((line) => (
          <T key={line} size={17}>
            {line}
          </T>
        ))}
        {!first && goes.length === 0 ? <T size={17}>Nothing hangs on it.</T> : null}
        {first ? null : <Action kind="danger" label={`Yes, remove ${name}`} onPress={remove} />}
        <Action kind="plain" label="Leave it" onPress={() => setAsked(false)} />
      </Sheet>
    </View>
  )
}
