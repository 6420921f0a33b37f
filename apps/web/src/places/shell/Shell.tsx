import { Link, Slot } from 'expo-router'
import { lazy, Suspense, useEffect } from 'react'
import { View } from 'react-native'
import { Skeleton } from '../../parts/controls'
import { T } from '../../parts/Text'
import { Notice } from '../../parts/Screen'
import { Action } from '../../parts/Action'
import { workAhead } from '../../state/ahead'
import { useCosts } from '../../state/costs'
import { useJob } from '../../state/job'
import { useOffline } from '../../state/offline'
import { useSession } from '../../state/session'
import { useGround, useWide } from '../../theme'
// The home screen comes with the shell: one round trip less before the first door is seen.
import '../doors/Board'
import { FirstUse } from '../lazyForms'
import { SignIn } from '../start/SignIn'
import { Rail } from './Rail'
import { SkipLink } from './SkipLink'
import { Tabs } from './Tabs'
import { StandingDoors, TopLine } from './TopLine'

const Keys = lazy(() => import('./over').then((m) => ({ default: m.Keys })))
const Costs = lazy(() => import('./over').then((m) => ({ default: m.Costs })))

/** What stands around every place: who is signed in, the job's line on top, the ways about. */
export function Shell() {
  const { me, expired, unknown, look } = useSession()
  const begin = useOffline((s) => s.begin)
  const ground = useGround()
  useEffect(() => {
    look().catch(() => undefined)
  }, [look])
  useEffect(() => {
    begin()
  }, [begin])
  return (
    <View style={{ flex: 1, backgroundColor: ground.paper, height: '100%' }}>
      {me === null ? (
        <Waiting away={unknown} onAgain={look} />
      ) : me.state === 'new' ? (
        <Suspense fallback={<Shape />}>
          <FirstUse />
        </Suspense>
      ) : me.state === 'out' ? (
        <SignIn />
      ) : (
        <Inside covered={expired} />
      )}
    </View>
  )
}

function Waiting({ away, onAgain }: { away: boolean; onAgain: () => Promise<void> }) {
  const ground = useGround()
  return (
    <View role="main" style={{ padding: 24, gap: 12, backgroundColor: ground.paper }}>
      <T level={1} face="strong" size={28}>
        Rauta
      </T>
      {away ? (
        <>
          <Notice tone="ochre">
            The server is out of reach, and nobody has signed in on this phone yet. Go where there is signal, sign in
            once, and the job is here without it.
          </Notice>
          <Action label="Ask again" onPress={onAgain} />
        </>
      ) : (
        <T tone="quiet" role="status">
          Asks the server …
        </T>
      )}
    </View>
  )
}

function Inside({ covered }: { covered: boolean }) {
  const wide = useWide()
  const ground = useGround()
  const join = useJob((s) => s.join)
  const ready = useJob((s) => s.ready)
  const flush = useJob((s) => s.flush)
  const asked = useCosts((s) => s.asking !== null)
  useEffect(() => join(), [join])
  useEffect(() => workAhead(), [])
  // Signed in again: what waited goes now.
  useEffect(() => {
    if (!covered) void flush()
  }, [covered, flush])
  return (
    <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
      {wide ? <SkipLink /> : null}
      {wide ? <Rail /> : null}
      <View style={{ flex: 1, minWidth: 0 }}>
        <TopLine />
        <StandingDoors />
        <StoreNotices />
        <Refused />
        {/* Covered, not taken away: what was being typed stays as it is. */}
        <View style={{ flex: 1, display: covered ? 'none' : 'flex' }}>
          <Suspense fallback={<Shape />}>{ready ? <Slot /> : <Shape />}</Suspense>
        </View>
        <Suspense fallback={null}>{asked && !covered ? <Costs /> : null}</Suspense>
        {covered ? (
          <View style={{ flex: 1, backgroundColor: ground.paper }}>
            <SignIn again />
          </View>
        ) : null}
        {wide ? null : <Tabs />}
      </View>
      <Suspense fallback={null}>{wide ? <Keys /> : null}</Suspense>
    </View>
  )
}

/** The shape of what is coming. */
function Shape() {
  const ground = useGround()
  return (
    <View role="status" aria-label="Loading the job" style={{ padding: 16, gap: 12 }}>
      {[0, 1, 2, 3, 4, 5].map((i) => (
        <Skeleton
          key={i}
          animation="none"
          height={52}
          style={{ backgroundColor: ground.sheet, borderWidth: 1, borderColor: ground.line, borderRadius: 0 }}
        />
      ))}
    </View>
  )
}

/** Words of the store that are shown at once. */
const fewNotices = 3

/** What is wrong with the server's store: named, since somebody will miss what is lost. */
function StoreNotices() {
  const aside = useJob((s) => s.aside)
  const full = useJob((s) => s.full)
  const lines = [...(full === null ? [] : [full]), ...aside.slice(0, fewNotices).map((a) => a.says)]
  if (lines.length === 0) return null
  const more = aside.length - fewNotices
  return <Notice tone="madder">{[...lines, ...(more > 0 ? [`And ${more} more.`] : [])].join(' ')}</Notice>
}

/** Records that the server would not take: they stay on this phone until somebody says what shall become of them. */
function Refused() {
  const refused = useJob((s) => s.outbox.filter((w) => w.refused !== undefined).length)
  if (refused === 0) return null
  return (
    <Link href={'/waiting'}>
      <Notice tone="madder">
        {refused === 1
          ? 'A record that waited was refused: see why.'
          : `${refused} records that waited were refused: see why.`}
      </Notice>
    </Link>
  )
}
