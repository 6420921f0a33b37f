import { unlike, type Door } from '@rauta/core'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { DoorTicks } from '../doors/DoorTicks'

/** Other doors that are to behave as this one does: what would be other there is said before. How their contacts rest stays theirs. */
export function LikeThis({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [open, setOpen] = useState(false)
  const [chosen, setChosen] = useState<string[]>([])
  const [told, setTold] = useState<{ tone: 'madder' | 'verdigris'; says: string } | null>(null)
  const changed = chosen.flatMap((id) => {
    const other = facts.door[id]
    const fields = other ? unlike(facts, other.behaviour, door.behaviour) : []
    return other && fields.length ? [{ other, fields }] : []
  })
  const copy = async () => {
    try {
      await send('behaviour.copy', { from: door.id, doors: chosen })
      setTold({
        tone: 'verdigris',
        says: `${changed.map((c) => c.other.ref).join(', ')}: behave like ${door.ref} now.`,
      })
      setChosen([])
    } catch (error) {
      setTold({ tone: 'madder', says: saysOf(error) })
    }
  }
  if (!open)
    return (
      <Sheet>
        <Action kind="plain" label="Let other doors behave like this one" onPress={() => setOpen(true)} />
      </Sheet>
    )
  return (
    <Sheet title={`Doors that are to behave like ${door.ref} as it was saved`}>
      {told ? <Notice tone={told.tone}>{told.says}</Notice> : null}
      <DoorTicks chosen={chosen} onChange={setChosen} except={door.id} />
      {chosen.length && changed.length === 0 ? <T>They behave like it already.</T> : null}
      {changed.map(({ other, fields }) => (
        <T key={other.id} size={13}>
          <T face="mono" size={13}>
            {other.ref}
          </T>
          {`  ${fields.map((f) => `${f.name.toLowerCase()} ${f.now} → ${f.then}`).join('; ')}`}
        </T>
      ))}
      {changed.length ? (
        <Action
          kind="plain"
          label={`Change ${changed.length === 1 ? 'it' : `these ${changed.length}`}`}
          onPress={copy}
        />
      ) : null}
    </Sheet>
  )
}
