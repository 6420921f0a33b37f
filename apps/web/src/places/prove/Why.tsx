import {
  boardOf,
  doorsOn,
  eventsOf,
  failureCauses,
  jobOf,
  type Door,
  type Facts,
  type Proof,
  type Test,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { View } from 'react-native'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { clockTime } from '../../state/time'
import { Causes } from '../wire/Causes'

/** Why a test failed: the likeliest causes first, then what the controller told meanwhile, input by input. */
export function Why({ facts, door, test, proof }: { facts: Facts; door: Door; test: Test; proof: Proof }) {
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller) return null
  const sheets = sheetsFor(facts)
  const told = eventsOf(proof)
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const causes = failureCauses(door, test, told, boardOf(sheets, controller), sheets, doorsOn(facts, controller.id))
  return (
    <>
      {causes.length ? (
        <Sheet title="Likely causes">
          <Causes causes={causes} />
        </Sheet>
      ) : null}
      <Sheet title={`What ${controller.ref} told during the test`}>
        {told.length === 0 ? <T tone="quiet">Nothing at all.</T> : null}
        {told.map((e) => (
          <View key={e.id} style={{ flexDirection: 'row', gap: 12 }}>
            <T face="mono" size={13} tone="quiet">
              {clockTime(e.at - e.offsetMs, zone, true)}
            </T>
            <T
              style={{ flex: 1 }}
            >{`${e.door && e.door !== door.id ? `${facts.door[e.door]?.ref ?? ''}: ` : ''}${e.says}`}</T>
          </View>
        ))}
      </Sheet>
    </>
  )
}
