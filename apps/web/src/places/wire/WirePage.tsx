import {
  boardOf,
  cableStanding,
  checkOff,
  nextCable,
  plannedOf,
  type Cable,
  type CableStanding,
  type Facts,
  netOf,
  readingsBesides,
  readingsFor,
  sheetOf,
  wireHints,
  type Door,
  type Hint,
  type ReadingKind,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { FileLinks } from '../../parts/FileLinks'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { DoorDrawing } from '../../signs/DoorDrawing'
import { useFacts } from '../../state/job'
import { Missing } from '../shell/Missing'
import { CableCard } from './CableCard'
import { Conductors } from './Conductors'
import { endedCores } from './ended'
import { InHand } from './InHand'
import { Photos } from './Photos'
import { MeterLeads } from './MeterLeads'

/** Wiring a door: the drawing, one cable at a time with its ticks and readings, and every conductor as a table. */
export function WirePage({ id, part }: { id: string; part?: string }) {
  const facts = useFacts()
  const door = facts.door[id]
  const firstOpen = door && (nextCable(door, standingsIn(facts, door)) ?? door.cables[0])
  const [inHand, setInHand] = useState<string | null>(null)
  const [chosen, setChosenCable] = useState<string>(
    door?.cables.find((c) => c.part === part)?.id ?? firstOpen?.id ?? '',
  )
  const [measured, setMeasured] = useState<ReadingKind | null>(null)
  const putDown = () => {
    setInHand(null)
    setMeasured(null)
  }
  const setChosen = (cable: string) => {
    setChosenCable(cable)
    putDown()
  }
  if (!door) return <Missing what="door" which={id} />
  const controller = facts.controller[door.placement?.controller ?? '']
  const cable = door.cables.find((c) => c.id === chosen)
  const standingOf = standingsIn(facts, door)
  const done = door.cables.filter((c) => standingOf(c) === 'done').length
  if (!controller)
    return (
      <Screen
        mono={door.ref}
        title="Wire"
        under={door.name}
        bar={<Action label="Place the door" onPress={() => router.push(`/doors/${id}/plan`)} />}
      >
        <Notice tone="slate">The door is on no controller yet, so no conductor has an end.</Notice>
      </Screen>
    )
  const sheets = sheetsFor(facts)
  const board = boardOf(sheets, controller)
  const { conductors } = netOf(door, board, sheets)
  const kinds = cable
    ? [...new Set([...readingsFor(door, cable.id, sheets, board), ...readingsBesides(door, cable.id, sheets)])]
    : []
  const held = conductors.find((c) => c.id === inHand)
  const take = (core: string) => {
    const c = conductors.find((x) => x.id === core)
    if (c) {
      setChosenCable(c.cable)
      setInHand(core)
      setMeasured(null)
    }
  }
  const hints = wireHints(door, controller, sheets)
  return (
    <Screen
      columns
      mono={door.ref}
      title={door.name}
      under={`${done} of ${door.cables.length} cables done · ${controller.ref} in ${controller.cabinet}`}
      bar={<NextBar door={door} chosen={chosen} onChoose={setChosen} />}
    >
      <Sheet flush>
        <DoorDrawing
          door={door}
          controller={controller}
          from={facts.area[door.from]?.name ?? ''}
          to={facts.area[door.to]?.name ?? ''}
          layer="conductors"
          chosen={cable?.part ?? null}
          onPart={(p) => setChosen(door.cables.find((c) => c.part === p)?.id ?? chosen)}
          ended={endedCores(facts, door, conductors)}
          inHand={inHand}
          onConductor={take}
        />
        {held ? (
          <InHand
            door={door}
            cable={cable}
            conductor={held}
            kinds={kinds}
            measured={measured}
            onMeasure={setMeasured}
            onPutDown={putDown}
          />
        ) : null}
      </Sheet>
      <View style={{ padding: 16, paddingBottom: 0 }}>
        <Chips
          label="Cable"
          value={chosen}
          onChange={setChosen}
          options={door.cables.map((c) => ({ value: c.id, label: `${c.id} ${c.part}${chipWord[standingOf(c)]}` }))}
        />
      </View>
      {cable ? (
        <CableCard
          key={cable.id}
          door={door}
          cable={cable}
          controller={controller}
          hints={hints.filter((h) => h.cable === cable.id)}
          elsewhere={held ? measured : null}
        />
      ) : null}
      <Photos door={door} cable={cable?.id ?? ''} />
      <MeterLeads />
      <Conductors door={door} controller={controller} chosen={cable?.id ?? ''} />
      <SignsOfLife door={door} />
      <AtTheStrip hints={hints.filter((h) => h.cable === '')} />
      <Sheet>
        <FileLinks path={`/doors/${door.id}/wire-sheet`} name="Wire sheet" kinds={['pdf']} />
        <Action
          kind="plain"
          label={`Check off cabinet of ${controller.ref}`}
          onPress={() => router.push(`/controllers/${controller.id}`)}
        />
      </Sheet>
    </Screen>
  )
}

/** At first power: which lamp and which sound say power, link, ready, for the devices at this door. */
function SignsOfLife({ door }: { door: Door }) {
  const facts = useFacts()
  const telling = door.parts
    .map((part) => ({ part, sheet: sheetOf(sheetsFor(facts), part.sheet) }))
    .filter(({ sheet }) => sheet.lamps?.length || sheet.sounds?.length)
  if (telling.length === 0) return null
  return (
    <Sheet title="Lamps and sounds">
      {telling.map(({ part, sheet }) => (
        <View key={part.id} style={{ gap: 2 }}>
          <T face="mid">{`${part.id} ${sheet.name}`}</T>
          {[
            ...(sheet.lamps ?? []).map((l) => [l.lamp, l.means] as const),
            ...(sheet.sounds ?? []).map((s) => [s.sound, s.means] as const),
          ].map(([sign, means]) => (
            <View key={sign} style={{ flexDirection: 'row', gap: 12 }}>
              <T style={{ width: 150 }}>{sign}</T>
              <T tone="quiet" style={{ flex: 1 }}>
                {means}
              </T>
            </View>
          ))}
        </View>
      ))}
    </Sheet>
  )
}

function AtTheStrip({ hints }: { hints: readonly Hint[] }) {
  return hints.length ? (
    <Sheet title="At the strip">
      {hints.map((h) => (
        <T key={h.says}>{h.says}</T>
      ))}
    </Sheet>
  ) : null
}

const chipWord: Readonly<Record<CableStanding, string>> = { open: '', failing: ' fails', done: ' done' }

const standingsIn = (facts: Facts, door: Door): ((cable: Cable) => CableStanding) => {
  const controller = facts.controller[door.placement?.controller ?? '']
  const planned = plannedOf(facts, sheetsFor(facts))
  const board = controller ? boardOf(planned.sheets, controller) : null
  return (cable) => cableStanding(facts, door, cable, planned, board)
}

function NextBar({ door, chosen, onChoose }: { door: Door; chosen: string; onChoose: (cable: string) => void }) {
  const facts = useFacts()
  const standingOf = standingsIn(facts, door)
  const next = nextCable(door, standingOf, chosen)
  const controller = facts.controller[door.placement?.controller ?? '']
  if (next)
    return (
      <Action
        label={standingOf(next) === 'failing' ? 'Mend this cable' : 'Next cable'}
        aside={`${next.id} ${next.part}`}
        onPress={() => onChoose(next.id)}
      />
    )
  const here = door.cables.find((c) => c.id === chosen)
  const cabinetOpen =
    controller &&
    checkOff(controller, facts, sheetsFor(facts)).some((item) => !facts.cabinet[controller.id]?.done[item.id])
  return cabinetOpen && (!here || standingOf(here) === 'done') ? (
    <Action
      label="Check off the cabinet"
      aside={controller.ref}
      onPress={() => router.push(`/controllers/${controller.id}`)}
    />
  ) : (
    <Action label="To the door" onPress={() => router.push(`/doors/${door.id}`)} />
  )
}
