import { Slot } from 'expo-router'
import { useEffect } from 'react'
import { View } from 'react-native'
import { T } from '../../parts/Text'
import { Notice } from '../../parts/Screen'
import { Action } from '../../parts/Action'
import { useJob } from '../../state/job'
import { useSession } from '../../state/session'
import { useGround, useWide } from '../../theme'
// The home screen comes with the shell: one round trip less before the first door is seen.
import '../doors/Board'
import { FirstUse } from '../start/FirstUse'
import { SignIn } from '../start/SignIn'
import { Keys } from './Keys'
import { Rail } from './Rail'
import { Tabs } from './Tabs'
import { TopLine } from './TopLine'

/** What stands around every place: who is signed in, the job's line on top, the ways about. */
export function Shell() {
  const { me, expired, look } = useSession()
  const ground = useGround()
  useEffect(() => { look().catch(() => undefined) }, [look])
  return (
    <View style={{ flex: 1, backgroundColor: ground.paper, height: '100%' }}>
      {me === null ? <Waiting /> : me.state === 'new' ? <FirstUse /> : me.state === 'out' ? <SignIn /> : <Inside covered={expired} />}
    </View>
  )
}

function Waiting() {
  return <View role="main" style={{ padding: 24, gap: 12 }}><T level={1} face="strong" size={28}>Rauta</T><T tone="quiet" role="status">Asks the server …</T></View>
}

function Inside({ covered }: { covered: boolean }) {
  const wide = useWide()
  const ground = useGround()
  const join = useJob((s) => s.join)
  const ready = useJob((s) => s.ready)
  useEffect(() => join(), [join])
  return (
    <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
      {wide ? <Rail /> : null}
      <View style={{ flex: 1, minWidth: 0 }}>
        <TopLine />
        <Refused />
        {/* Covered, not taken away: what was being typed stays as it is. */}
        <View style={{ flex: 1, display: covered ? 'none' : 'flex' }}>{ready ? <Slot /> : <Shape />}</View>
        {covered ? <View style={{ flex: 1, backgroundColor: ground.paper }}><SignIn again /></View> : null}
        {wide ? null : <Tabs />}
      </View>
      {wide ? <Keys /> : null}
    </View>
  )
}

/** The shape of what is coming. */
function Shape() {
  const ground = useGround()
  return <View role="status" aria-label="Loading the job" style={{ padding: 16, gap: 12 }}>{[0, 1, 2, 3, 4, 5].map((i) => <View key={i} style={{ height: 52, backgroundColor: ground.sheet, borderWidth: 1, borderColor: ground.line }} />)}</View>
}

function Refused() {
  const refused = useJob((s) => s.refused)
  const clear = useJob((s) => s.clearRefused)
  if (!refused) return null
  return <View style={{ paddingRight: 16 }}><Notice tone="madder">A record that waited was refused: {refused}</Notice><View style={{ paddingHorizontal: 16 }}><Action kind="plain" label="Understood" onPress={clear} /></View></View>
}
