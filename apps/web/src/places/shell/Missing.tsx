import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'

/** For an address that leads to nothing. */
export function Missing({ what, which }: { what: string; which: string }) {
  return (
    <Screen title={`No such ${what}`} bar={<Action label="To the doors" onPress={() => router.replace('/doors')} />}>
      <View style={{ padding: 16 }}>
        <T>{`There is no ${what} ${which} in this job. It may have been removed, or the label is of another job.`}</T>
      </View>
    </Screen>
  )
}
