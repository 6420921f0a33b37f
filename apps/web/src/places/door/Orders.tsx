import { modeAfter, modeWords, orderFault, standsNowWords, type Door, type DoorOrder } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { fieldOf, post, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'

/** Tells a door something now; it is never queued, since nobody may stand there when it would be sent. @throws ProblemError, AwayError */
export const tellDoor = (door: string, order: DoorOrder, reason: string): Promise<unknown> =>
  post(`/doors/${door}/order`, { order, reason }, 12_000)

const labels: Readonly<Record<DoorOrder, string>> = {
  release: 'Release it once',
  holdOpen: 'Hold it open',
  lock: 'Lock it',
  normal: 'Back to its settings',
}

/** Release, hold open, lock, and back: what is done first at a new door, and ends with the door as its settings say. */
export function Orders({ door }: { door: Door }) {
  const facts = useFacts()
  const [asked, setAsked] = useState<DoorOrder | null>(null)
  const [reason, setReason] = useState('')
  const [wrong, setWrong] = useState<{ says: string; field: string | undefined } | null>(null)
  const [told, setTold] = useState('')
  const standing = facts.doorMode[door.id]
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller || !facts.reach[controller.id]?.owned) return null
  const tell = (order: DoorOrder, why: string) =>
    tellDoor(door.id, order, why)
      .then(() => {
        setAsked(null)
        setReason('')
        setWrong(null)
        setTold(order === 'release' ? 'Told. It locks again by itself.' : '')
      })
      .catch((error: unknown) => setWrong({ says: saysOf(error), field: fieldOf(error) }))
  const ask = (order: DoorOrder) => {
    setWrong(null)
    setTold('')
    setAsked(order)
  }
  const noLock = orderFault('lock', door)
  const hours = standsNowWords(facts, door, Date.now())
  return (
    <Sheet title="Tell this door">
      {wrong ? <Notice tone="madder">{wrong.says}</Notice> : null}
      {hours ? <T>{hours}</T> : null}
      {standing ? (
        <>
          <T
            size={17}
          >{`It stands ${modeWords[standing.mode]}${standing.by ? `, told by ${standing.by}` : ''}${standing.reason ? `: ${standing.reason}` : ''}.`}</T>
          <Action label={labels.normal} onPress={() => tell('normal', '')} />
        </>
      ) : null}
      {asked && modeAfter(asked) ? (
        <>
          <Field
            label={
              asked === 'lock' ? 'Why it is locked, for everybody to see' : 'Why it is held open, for everybody to see'
            }
            value={reason}
            onChange={setReason}
            error={wrong?.field === 'reason' ? wrong.says : undefined}
          />
          <Action label={labels[asked]} onPress={() => tell(asked, reason)} />
          <Action kind="plain" label="Leave it" onPress={() => setAsked(null)} />
        </>
      ) : (
        <View style={{ gap: 8 }}>
          {standing ? null : <Action kind="plain" label={labels.release} onPress={() => tell('release', '')} />}
          {told ? (
            <T role="status" tone="verdigris">
              {told}
            </T>
          ) : null}
          {standing?.mode === 'heldOpen' ? null : (
            <Action kind="plain" label={labels.holdOpen} onPress={() => ask('holdOpen')} />
          )}
          {standing?.mode === 'lockedDown' || noLock ? null : (
            <Action kind="plain" label={labels.lock} onPress={() => ask('lock')} />
          )}
          {noLock ? (
            <T tone="quiet">{door.escapeRoute ? 'On an escape route it is not locked from here.' : noLock}</T>
          ) : null}
        </View>
      )}
    </Sheet>
  )
}
