import { all, byRef, byWalk, checkOff, type Controller, type Door, type Facts } from '@rauta/core'
import { insideOf, lettersOf, type Fitted } from '@rauta/core/inside'
import { cabinetsOf, sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { FileLinks } from '../../parts/FileLinks'
import { Line, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { CabinetPicture } from '../../signs/CabinetPicture'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { hrefOf } from '../shell/hrefOf'
import { Missing } from '../shell/Missing'

const checked = (facts: Facts, c: Controller) => {
  const items = checkOff(c, facts, sheetsFor(facts))
  const done = facts.cabinet[c.id]?.done ?? {}
  return { done: items.filter((i) => done[i.id]).length, of: items.length }
}
const open = ({ of }: Fitted) => router.push(hrefOf(of))

/** A cabinet: a picture of its inside, what joins the boards, which doors' cables end here, and what is still to be checked off. */
export function CabinetPage({ name }: { name: string }) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const inside = insideOf(name, facts, sheets)
  if (!cabinetsOf(facts).includes(name)) return <Missing what="cabinet" which={name} />
  const controllers = all(facts, 'controller')
    .filter((c) => c.cabinet === name)
    .sort(byRef)
  const doors = all(facts, 'door')
    .filter((d) => controllers.some((c) => c.id === d.placement?.controller))
    .sort(byWalk)
  const next = controllers
    .map((c) => ({ id: c.id, ref: c.ref, ...checked(facts, c) }))
    .find(({ done, of }) => done < of)
  const marks = lettersOf(inside.links)
  const count = (kind: Fitted['kind'], one: string, more: string) => {
    const n = inside.fitted.filter((f) => f.kind === kind).length
    return n ? [`${n} ${n === 1 ? one : more}`] : []
  }
  return (
    <Screen
      columns
      title={name}
      under={[
        'Cabinet',
        ...count('board', 'controller', 'controllers'),
        ...count('expander', 'expander', 'expanders'),
        ...count('unit', 'other device', 'other devices'),
      ].join(' · ')}
      bar={
        next ? (
          <Action
            label={`Check off ${next.ref}`}
            aside={`${next.done} of ${next.of}`}
            onPress={() => router.push(`/controllers/${next.id}`)}
          />
        ) : undefined
      }
    >
      {inside.fitted.length ? (
        <Sheet flush title="Inside, in the order of the power">
          <CabinetPicture name={name} inside={inside} onOpen={open} />
        </Sheet>
      ) : (
        <Sheet>
          <T>Nothing hangs in it yet. Plan a controller or a supply, and say that it hangs here.</T>
        </Sheet>
      )}
      {inside.links.length ? (
        <Sheet title="What joins them">
          {inside.links.map((l) => (
            <View key={l.says} style={{ flexDirection: 'row', gap: 10 }}>
              <T face="mono" tone="quiet" style={{ width: 16 }}>
                {marks.get(l) ?? ''}
              </T>
              <T style={{ flex: 1 }}>{l.says}</T>
            </View>
          ))}
        </Sheet>
      ) : null}
      <Sheet flush title={`Cables that end here, ${doors.reduce((n, d) => n + d.cables.length, 0)}`}>
        {doors.map((d) => (
          <DoorCables key={d.id} door={d} ended={d.cables.filter((c) => facts.tick[`${d.id}/${c.id}`]?.ended).length} />
        ))}
        {doors.length === 0 ? (
          <T tone="quiet" style={{ padding: 16 }}>
            No door is placed on a controller in here yet.
          </T>
        ) : null}
      </Sheet>
      {controllers.length ? (
        <Sheet>
          <FileLinks
            path={`/cabinets/${encodeURIComponent(name)}/sheet`}
            name="Sheet of this cabinet"
            kinds={['pdf']}
          />
        </Sheet>
      ) : null}
      <CabinetName key={name} name={name} />
    </Screen>
  )
}

/** What it is called, for everything that names it, and its end. */
function CabinetName({ name }: { name: string }) {
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [called, setCalled] = useState(name)
  const [wrong, setWrong] = useState('')
  if (!canFit(me)) return null
  const rename = () =>
    send('cabinet.rename', { id: name, name: called })
      .then(() => router.replace(`/cabinets/${encodeURIComponent(called.trim())}`))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Sheet title="Name">
      <Field label="Name of the cabinet" value={called} onChange={setCalled} error={wrong || undefined} />
      {called.trim() !== name ? (
        <Action kind="plain" label={`Call it ${called.trim() || '…'}`} onPress={rename} />
      ) : null}
      <TakeAway kind="cabinetPlace" id={name} name={name} onGone={() => router.push('/siting')} />
    </Sheet>
  )
}

function DoorCables({ door, ended }: { door: Door; ended: number }) {
  return (
    <Line
      label={`${door.ref} ${door.name}, ${ended} of ${door.cables.length} cables terminated`}
      onPress={() => router.push(`/doors/${door.id}/wire`)}
    >
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'baseline' }}>
        <T face="mono" style={{ width: 56 }}>
          {door.ref}
        </T>
        <T style={{ flex: 1 }} numberOfLines={1}>
          {door.name}
        </T>
        <T tone="quiet">{`${ended} of ${door.cables.length} terminated`}</T>
      </View>
    </Line>
  )
}
