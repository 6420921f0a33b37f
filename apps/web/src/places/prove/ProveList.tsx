import { router } from 'expo-router'
import { View } from 'react-native'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { Rungs, signTone } from '../../signs/Rungs'
import { toProve } from '../../state/inOrder'
import { useFacts } from '../../state/job'

/** Doors to prove: those that are ready first. @param chosen the one that stands beside the list */
export function ProveList({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const doors = toProve(facts)
  const left = doors.filter((d) => d.marks.prove.sign !== 'given').length
  return (
    <Screen title="Prove" under={left === 1 ? '1 door has tests left' : `${left} doors have tests left`}>
      {doors.length === 0 ? (
        <T style={{ padding: 16 }}>No door is loaded yet. A door is proved against what its controller really holds.</T>
      ) : null}
      {doors.map(({ door, marks }) => (
        <Line
          key={door.id}
          label={`Prove ${door.ref} ${door.name}: ${marks.prove.says}`}
          chosen={door.id === chosen}
          onPress={() => router.push(`/doors/${door.id}/prove`)}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
            <View style={{ flex: 1 }}>
              <View style={{ flexDirection: 'row', gap: 8 }}>
                <T face="mono">{door.ref}</T>
                <T face="strong" style={{ flex: 1 }}>
                  {door.name}
                </T>
              </View>
              <T size={13} tone={signTone[marks.prove.sign]}>
                {marks.prove.says}
              </T>
            </View>
            <Rungs state={marks} pitch={14} />
          </View>
        </Line>
      ))}
    </Screen>
  )
}
