import { eventsOf, failureOfProof, jobOf, type Door, type Facts, type Proof } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { View } from 'react-native'
import { Looking } from '../../parts/Looking'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { clockTime } from '../../state/time'

/** Why a test failed: the look that is next, what may still be behind it, what is excluded and by what, and what the controller told. */
export function Why({ facts, door, proof }: { facts: Facts; door: Door; proof: Proof }) {
  const failure = failureOfProof(facts, proof, sheetsFor(facts))
  return (
    <>
      {failure ? <Looking facts={facts} failure={failure} /> : null}
      <ToldMeanwhile facts={facts} door={door} proof={proof} />
    </>
  )
}

function ToldMeanwhile({ facts, door, proof }: { facts: Facts; door: Door; proof: Proof }) {
  const told = eventsOf(proof)
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const controller = facts.controller[door.placement?.controller ?? '']
  return (
    <Sheet title={`What ${controller?.ref ?? 'the controller'} told during the test`}>
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
  )
}
