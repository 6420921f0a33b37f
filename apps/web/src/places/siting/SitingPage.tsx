import { all, runLengthM, sheetOf, type Facts, type Siting, type SoFar } from '@rauta/core'
import { cabinetsOf, sheetsFor, type SitePlacement } from '@rauta/contracts'
import { router } from 'expo-router'
import { useRef, useState } from 'react'
import { View } from 'react-native'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { counted } from '../../parts/count'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { PlanChanges } from '../../parts/PlanChanges'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { Cabinets } from './Cabinets'
import { startSiting, wiredDoors, type Wishes } from './run'

type Doing =
  | { what: 'nothing' }
  | { what: 'searching'; soFar: SoFar | null }
  | { what: 'found'; siting: Siting; stopped: boolean; ms: number }
  | { what: 'taken'; doors: number }
const m = (value: number) => `${Math.round(value).toLocaleString('en').replaceAll(',', ' ')} m`

/** All doors on controllers at once: fewest controllers, then shortest cable; what could not be placed says why. */
export function SitingPage() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [doing, setDoing] = useState<Doing>({ what: 'nothing' })
  const [wrong, setWrong] = useState('')
  const [most, setMost] = useState('')
  const types = Object.values(sheetsFor(facts)).filter((s) => s.controller)
  const [wishes, setWishes] = useState<Omit<Wishes, 'most'>>({ anew: false, spare: 0, allowed: types.map((t) => t.id) })
  const stop = useRef<() => void>(() => undefined)
  const doors = all(facts, 'door')
  const open = doors.filter((d) => !d.placement)
  const search = () => {
    const limit = most.trim() === '' ? null : numberIn(most)
    if (most.trim() !== '' && (limit === null || limit < 0)) {
      setWrong('New controllers at most: write a whole number, or leave it empty.')
      return
    }
    setWrong('')
    setDoing({ what: 'searching', soFar: null })
    stop.current = startSiting(
      facts,
      { ...wishes, most: limit },
      (told) =>
        setDoing(
          'done' in told
            ? { what: 'found', siting: told.done, stopped: told.stopped, ms: told.ms }
            : { what: 'searching', soFar: told.soFar },
        ),
      (says) => {
        setDoing({ what: 'nothing' })
        setWrong(says)
      },
    )
  }
  const take = async (siting: Siting) => {
    try {
      await send('site.place', placementOf(facts, siting))
      setDoing({ what: 'taken', doors: siting.doors.length })
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  const bar = !canFit(me) ? null : doing.what === 'searching' ? (
    <Action kind="danger" label="Stop and keep the best so far" onPress={() => stop.current()} />
  ) : doing.what === 'found' && doing.siting.doors.length > 0 ? (
    <Action
      label={`Take ${doing.siting.doors.length} doors over`}
      aside={`${doing.siting.newControllers} new`}
      onPress={() => take(doing.siting)}
    />
  ) : doing.what === 'taken' ? (
    <Action label="To the controllers" onPress={() => router.push('/controllers')} />
  ) : (
    <Action
      label="Work out where every door goes"
      aside={wishes.anew ? `${doors.length} doors` : `${open.length} open`}
      disabled={doors.length === 0 || (!wishes.anew && open.length === 0)}
      onPress={search}
    />
  )
  return (
    <Screen
      columns
      title="Place doors on controllers"
      under={`${doors.length} doors, ${open.length} without a place`}
      bar={bar}
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {doing.what === 'searching' ? (
        <Notice tone="slate">
          {doing.soFar
            ? `Searches. Best so far: ${doing.soFar.controllers} new controllers, ${m(doing.soFar.cableM)} of cable.`
            : 'Begins …'}
        </Notice>
      ) : null}
      {doing.what === 'taken' ? (
        <Notice tone="verdigris">{`${doing.doors} doors have their terminals. Undo takes them all off again.`}</Notice>
      ) : null}
      {doing.what === 'found' ? (
        <Found
          facts={facts}
          siting={doing.siting}
          stopped={doing.stopped}
          ms={doing.ms}
          onBack={() => setDoing({ what: 'nothing' })}
        />
      ) : (
        <>
          <Sheet title="What may move">
            <Chips
              label="What may move"
              value={wishes.anew ? 'all' : 'open'}
              onChange={(v) => setWishes({ ...wishes, anew: v === 'all' })}
              options={[
                { value: 'open' as const, label: 'Only doors without a place' },
                { value: 'all' as const, label: 'All that may' },
              ]}
            />
            <T tone="quiet">{`${wiredDoors(facts).length} wired and ${doors.filter((d) => d.pinned).length} pinned doors stay where they are.`}</T>
          </Sheet>
          <Lengths facts={facts} />
          <Cabinets />
          <Sheet title="New controllers">
            <T face="mid">Door ports to leave free on each</T>
            <Chips
              label="Door ports to leave free on each"
              value={String(wishes.spare)}
              onChange={(v) => setWishes({ ...wishes, spare: Number(v) })}
              options={['0', '1', '2'].map((v) => ({ value: v, label: v }))}
            />
            <Field label="At most, where there is a limit" value={most} onChange={setMost} keyboard="numeric" mono />
            {types.map((t) => (
              <Tick
                key={t.id}
                label={t.name}
                on={wishes.allowed.includes(t.id)}
                onPress={() =>
                  setWishes({
                    ...wishes,
                    allowed: wishes.allowed.includes(t.id)
                      ? wishes.allowed.filter((x) => x !== t.id)
                      : [...wishes.allowed, t.id],
                  })
                }
              />
            ))}
          </Sheet>
        </>
      )}
      <PlanChanges />
    </Screen>
  )
}

/** What the proposal becomes as one change. Controllers get references that nobody has, and addresses later. */
function placementOf(facts: Facts, siting: Siting): SitePlacement {
  const moved = siting.doors.filter(
    ({ door, placement }) => JSON.stringify(facts.door[door]?.placement ?? null) !== JSON.stringify(placement),
  )
  return {
    controllers: siting.controllers,
    doors: moved.map(({ door, placement, lengthM }) => ({ door, placement, lengthM })),
  }
}

function Lengths({ facts }: { facts: Facts }) {
  const cabinets = cabinetsOf(facts)
  const doors = all(facts, 'door').filter((d) => !d.placement)
  const without = doors.filter((d) => cabinets.every((c) => runLengthM(d, c, facts.cabinetPlace) === null))
  if (doors.length === 0 || without.length === 0) return null
  return (
    <Notice tone="ochre">{`No length to any cabinet is known for ${
      without.length === doors.length
        ? 'any open door'
        : without
            .slice(0, 6)
            .map((d) => d.ref)
            .join(', ') + (without.length > 6 ? ` and ${without.length - 6} more` : '')
    }. Such doors are placed by room alone: no shortest cable is worked out for them. Give lengths in the door schedule, or a place on the grid.`}</Notice>
  )
}

function Found({
  facts,
  siting,
  stopped,
  ms,
  onBack,
}: {
  facts: Facts
  siting: Siting
  stopped: boolean
  ms: number
  onBack: () => void
}) {
  const over = siting.bound.cableM > 0 ? ((siting.cableM - siting.bound.cableM) / siting.bound.cableM) * 100 : 0
  const placed = new Map(siting.controllers.map((c) => [c.id, c]))
  const by = new Map<string, typeof siting.doors>()
  for (const d of siting.doors) by.set(d.placement.controller, [...(by.get(d.placement.controller) ?? []), d])
  return (
    <>
      <Sheet title={stopped ? 'The best until you stopped' : 'Worked out'}>
        <T size={17}>{placedWords(siting)}</T>
        {siting.cableM > 0 ? (
          <T>{`${m(siting.cableM)} of run in all, ${over.toFixed(1)} % over what nothing can go under (${m(siting.bound.cableM)}: every door at its nearest cabinet).`}</T>
        ) : (
          <T tone="ochre">No length is known, so there is no shortest cable to speak of.</T>
        )}
        <T tone="quiet">{`In ${(ms / 1000).toFixed(1)} s. Nothing is changed until you take it over.`}</T>
        <Action kind="plain" label="Back to settings" onPress={onBack} />
      </Sheet>
      {siting.left.length ? (
        <Sheet title={`${siting.left.length} doors are left, and why`}>
          {siting.left.slice(0, 60).map((l) => (
            <View key={l.door} style={{ flexDirection: 'row', gap: 10 }}>
              <T face="mono" style={{ width: 76 }}>
                {facts.door[l.door]?.ref}
              </T>
              <T style={{ flex: 1 }} tone="ochre">
                {l.says}
              </T>
            </View>
          ))}
        </Sheet>
      ) : null}
      {[...by].slice(0, 80).map(([id, doors]) => {
        const c = placed.get(id) ?? facts.controller[id]
        return c ? (
          <Sheet key={id} title={`${c.ref} in ${c.cabinet}${placed.has(id) && !facts.controller[id] ? ', new' : ''}`}>
            <T tone="quiet">{`${sheetOf(sheetsFor(facts), c.sheet).name}${c.expanders?.length ? `, with ${c.expanders.length} expander${c.expanders.length > 1 ? 's' : ''}` : ''}`}</T>
            {doors.map((d) => (
              <View key={d.door} style={{ flexDirection: 'row', gap: 10 }}>
                <T face="mono" style={{ width: 76 }}>
                  {facts.door[d.door]?.ref}
                </T>
                <View style={{ flex: 1 }}>
                  <T>{`${facts.door[d.door]?.name ?? ''}${d.placement.portGroup === '*' ? '' : `, door port ${d.placement.portGroup}`}`}</T>
                  <T size={13} tone="quiet">
                    {d.why}
                  </T>
                </View>
              </View>
            ))}
          </Sheet>
        ) : null
      })}
    </>
  )
}

/** How many were placed, and how near that is to what nothing can go under. */
function placedWords({ doors, newControllers, bound }: Siting): string {
  if (doors.length === 0) return 'No door could be placed. See below why.'
  const placed = `${counted(doors.length, 'door')} placed, ${counted(newControllers, 'new controller')}`
  return newControllers === bound.controllers
    ? `${placed}: no fewer can do.`
    : `${placed}; ${bound.controllers} is what nothing can go under.`
}
