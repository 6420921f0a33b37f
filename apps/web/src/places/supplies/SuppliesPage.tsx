import {
  all,
  byRef,
  demandsOf,
  boardOf,
  boardsOn,
  networkPower,
  sheetOf,
  type Controller,
  type Facts,
  type SupplyReport,
  type Unit,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Progress } from '../../parts/Progress'
import { LongList } from '../../parts/LongList'
import { Line, lineHeight, Screen, Sheet } from '../../parts/Screen'
import { T, type Tone } from '../../parts/Text'
import { faultsOf, suppliesInOrder, withSupply } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { few } from '../../state/ahead'
import { useDone } from '../../state/known'
import { keeperOf } from '../../state/worked'
import { Meter } from './Meter'

/** Every supply and every source of network power. @param chosen the one that stands beside the list */
export function SuppliesPage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const supplies = withSupply(facts)
  const done = useDone(supplies, (c) => keeperOf(facts).knowsReportOf(c), few.supplies)
  if (done < supplies.length)
    return (
      <Screen title="Supplies & cables" under={`Works out ${counted(supplies.length, 'supply', 'supplies')}`}>
        <Sheet>
          <T>{`${done} of ${supplies.length}`}</T>
          <Progress label="Supplies worked out" share={done / supplies.length} />
        </Sheet>
      </Screen>
    )
  return <Supplies chosen={chosen} />
}

function Supplies({ chosen }: { chosen: string | undefined }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const controllers = suppliesInOrder(facts)
  const rows = controllers.map((c) => ({ ...c, id: c.controller.id }))
  const bad = controllers.filter((c) => faultsOf(c.report) > 0).length
  const units = all(facts, 'unit').sort(byRef)
  return (
    <Screen
      title="Supplies & cables"
      under={
        bad
          ? `${bad} of ${controllers.length} supplies have something to mend`
          : `${controllers.length} supplies carry what hangs on them`
      }
      bar={<Action label="What opens when" onPress={() => router.push('/supplies/release')} />}
    >
      {controllers.length === 0 ? (
        <T style={{ padding: 16 }}>No controller is planned yet, so nothing draws any current.</T>
      ) : null}
      <Sheet flush title="Supplies">
        <LongList
          label="Supplies"
          rows={rows}
          rowHeight={lineHeight(2)}
          chosen={chosen}
          draw={({ controller, report }) => (
            <SupplyLine facts={facts} controller={controller} report={report} chosen={controller.id === chosen} />
          )}
        />
      </Sheet>
      <Sheet flush title="Network power">
        {units
          .filter((u) => sheetOf(sheetsFor(facts), u.sheet).networkSource)
          .map((u) => (
            <NetworkLine key={u.id} facts={facts} unit={u} chosen={u.id === chosen} />
          ))}
        {canFit(me) ? (
          <View style={{ padding: 16 }}>
            <Action
              kind="plain"
              label="Plan a network switch or midspan"
              onPress={() => router.push('/supplies/units/new')}
            />
          </View>
        ) : null}
      </Sheet>
    </Screen>
  )
}

function SupplyLine({
  facts,
  controller,
  report,
  chosen,
}: {
  facts: Facts
  controller: Controller
  report: SupplyReport
  chosen: boolean
}) {
  const sheets = sheetsFor(facts)
  const faults = faultsOf(report)
  const short = report.locks.find((l) => !l.enough)
  const says = report.faults[0] ?? short?.says ?? report.notes[0] ?? 'Every lock sees its volts in every moment.'
  const feed = boardOf(sheets, controller).feeds
  const others = boardsOn(controller, facts.controller).slice(1)
  const also = others.length ? ` and ${others.map((b) => b.controller.ref).join(', ')}` : ''
  const source = feed ? 'fed from the network' : (sheets[controller.supply]?.name ?? 'no supply')
  return (
    <Line
      label={`Supply of ${controller.ref}. ${says}`}
      chosen={chosen}
      onPress={() => router.push(`/supplies/${controller.id}`)}
    >
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
        <T face="mono" style={{ width: 40 }}>
          {controller.ref}
        </T>
        <View style={{ flex: 1, minWidth: 0 }}>
          <T face="strong" numberOfLines={1}>{`${controller.cabinet}${also}: ${source}`}</T>
          <T size={13} tone={toneOf(faults, short !== undefined)} numberOfLines={2}>
            {says}
          </T>
        </View>
        {feed ? (
          <Meter used={report.worstA === null ? null : report.worstA * feed.volts} most={feed.watts} unit="W" />
        ) : (
          <Meter
            used={report.worstA === null ? null : report.worstA + report.chargerA}
            most={report.ratingA}
            unit="A"
          />
        )}
      </View>
    </Line>
  )
}

const toneOf = (faults: number, short: boolean): Tone => {
  if (faults) return 'madder'
  return short ? 'ochre' : 'quiet'
}

function NetworkLine({ facts, unit, chosen }: { facts: Facts; unit: Unit; chosen: boolean }) {
  const source = sheetOf(sheetsFor(facts), unit.sheet).networkSource
  if (!source) return null
  const answer = networkPower(source, demandsOf(facts, unit, sheetsFor(facts)))
  const fault = answer.faults[0] ?? answer.ports.flatMap((p) => p.faults)[0]
  const says = fault ?? `${answer.ports.length} of ${source.ports.length} ports used, ${answer.freePorts.length} free.`
  return (
    <Line
      label={`Network power of ${unit.ref}. ${says}`}
      chosen={chosen}
      onPress={() => router.push(`/supplies/units/${unit.id}`)}
    >
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
        <T face="mono" style={{ width: 40 }}>
          {unit.ref}
        </T>
        <View style={{ flex: 1, minWidth: 0 }}>
          <T face="strong" numberOfLines={1}>{`${unit.cabinet}: ${sheetOf(sheetsFor(facts), unit.sheet).name}`}</T>
          <T size={13} tone={fault ? 'madder' : 'quiet'} numberOfLines={2}>
            {says}
          </T>
        </View>
        <Meter used={answer.reservedW} most={answer.budgetW} unit="W" />
      </View>
    </Line>
  )
}
