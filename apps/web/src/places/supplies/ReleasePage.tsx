import {
  defaultPowerPlan,
  releaseCases,
  releaseOf,
  releaseTitle,
  releaseWords,
  supplyOf,
  type ReleaseCase,
  type ReleaseRow,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Chips } from '../../parts/Action'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { doorsInOrder, reportFor } from '../../state/worked'
import { useGround, useWide } from '../../theme'
import { ReleaseMatrix } from './ReleaseMatrix'
import { inWords, outWords, toneOf } from './releaseWords'

/** What opens and what stays shut, door by door, when mains, network, controller or the fire signal say so. */
export function ReleasePage() {
  const facts = useFacts()
  const wide = useWide()
  const [which, setWhich] = useState<ReleaseCase>('mains')
  const rows = doorsInOrder(facts).map((door) => {
    const controller = facts.controller[door.placement?.controller ?? '']
    const plan = controller
      ? (facts.powerPlan[supplyOf(controller, facts.controller).id] ?? defaultPowerPlan(controller.id))
      : undefined
    const battery = controller ? reportFor(facts, controller).battery : null
    return { door, answers: releaseOf(door, controller, sheetsFor(facts), plan, battery ? battery.hours : null) }
  })
  return (
    <Screen
      full
      title="What opens when"
      under={releaseTitle(rows, which)}
      head={
        <View style={{ marginTop: 8 }}>
          <Chips
            label="What happens"
            value={which}
            onChange={setWhich}
            options={releaseCases.map((c) => ({ value: c, label: releaseWords[c] }))}
          />
        </View>
      }
    >
      {wide ? <ReleaseMatrix rows={rows} chosen={which} /> : <ReleaseList rows={rows} which={which} />}
    </Screen>
  )
}

/** Door by door, in the case that is chosen. */
function ReleaseList({ rows, which }: { rows: readonly ReleaseRow[]; which: ReleaseCase }) {
  const ground = useGround()
  return (
    <>
      <View
        style={{
          flexDirection: 'row',
          paddingHorizontal: 16,
          paddingVertical: 8,
          borderBottomWidth: 1,
          borderColor: ground.ink,
        }}
      >
        <T face="mid" style={{ flex: 1 }}>
          Door
        </T>
        <T face="mid" style={{ width: 76 }}>
          In
        </T>
        <T face="mid" style={{ width: 76 }}>
          Out
        </T>
      </View>
      <View role="list" aria-label="Doors">
        {rows.map(({ door, answers }) => {
          const a = answers?.find((x) => x.case === which)
          return (
            <View key={door.id} role="listitem">
              <Line label={`${door.ref} ${door.name}`} onPress={() => router.push(`/doors/${door.id}/plan`)}>
                <View style={{ flexDirection: 'row', alignItems: 'baseline' }}>
                  <View style={{ flex: 1, flexDirection: 'row', gap: 8, minWidth: 0 }}>
                    <T face="mono" size={13}>
                      {door.ref}
                    </T>
                    <T face="strong" numberOfLines={1} style={{ flex: 1 }}>
                      {door.name}
                    </T>
                  </View>
                  {a ? (
                    <>
                      <T face="mid" tone={a.in === 'free' ? 'ochre' : 'ink'} style={{ width: 76 }}>
                        {inWords[a.in]}
                      </T>
                      <T face="mid" tone={toneOf(a)} style={{ width: 76 }}>
                        {outWords[a.out]}
                      </T>
                    </>
                  ) : (
                    <T tone="quiet" style={{ width: 152 }}>
                      no lock or no place
                    </T>
                  )}
                </View>
                {a ? (
                  <T size={13} tone={a.out === 'shut' ? 'madder' : 'quiet'} numberOfLines={3}>
                    {a.says}
                  </T>
                ) : null}
              </Line>
            </View>
          )
        })}
      </View>
    </>
  )
}
