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
  type Unit,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Progress } from '../../parts/Progress'
import { Line, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { faultsOf, suppliesInOrder, withSupply } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { useWorkedOut } from '../../state/slowly'
import { reportFor } from '../../state/worked'
import { Meter } from './Meter'

/** Every supply and every source of network power. @param chosen the one that stands beside the list */
export function SuppliesPage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const supplies = withSupply(facts)
  const done = useWorkedOut(supplies, (c) => reportFor(facts, c))
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
        {controllers.map(({ controller: c, report: r }) => {
          const faults = faultsOf(r)
          const says =
            r.faults[0] ??
            r.locks.find((l) => !l.enough)?.says ??
            r.notes[0] ??
            'Every lock sees its volts in every moment.'
          return (
            <Line
              key={c.id}
              label={`Supply of ${c.ref}. ${says}`}
              chosen={c.id === chosen}
              onPress={() => router.push(`/supplies/${c.id}`)}
            >
              <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
                <T face="mono" style={{ width: 40 }}>
                  {c.ref}
                </T>
                <View style={{ flex: 1, minWidth: 0 }}>
                  <T face="strong" numberOfLines={1}>{`${c.cabinet}${
                    boardsOn(c, facts.controller).length > 1
                      ? ` and ${boardsOn(c, facts.controller)
                          .slice(1)
                          .map((b) => b.controller.ref)
                          .join(', ')}`
                      : ''
                  }: ${boardOf(sheetsFor(facts), c).feeds ? 'fed from the network' : (sheetsFor(facts)[c.supply]?.name ?? 'no supply')}`}</T>
                  <T
                    size={13}
                    tone={faults ? 'madder' : r.locks.some((l) => !l.enough) ? 'ochre' : 'quiet'}
                    numberOfLines={2}
                  >
                    {says}
                  </T>
                </View>
                {feedOf(facts, c) ? (
                  <Meter
                    used={r.worstA === null ? null : r.worstA * (feedOf(facts, c)?.volts ?? 0)}
                    most={feedOf(facts, c)?.watts ?? 0}
                    unit="W"
                  />
                ) : (
                  <Meter used={r.worstA === null ? null : r.worstA + r.chargerA} most={r.ratingA} unit="A" />
                )}
              </View>
            </Line>
          )
        })}
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

const feedOf = (facts: Facts, c: Controller) => boardOf(sheetsFor(facts), c).feeds

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
