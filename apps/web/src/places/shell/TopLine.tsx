import { all, jobOf, modeWords } from '@rauta/core'
import { Link } from 'expo-router'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import Svg, { Path, Rect } from 'react-native-svg'
import { counted } from '../../parts/count'
import { T } from '../../parts/Text'
import { useJob } from '../../state/job'
import { unsent } from '../../state/worked'
import { useGround } from '../../theme'

/** On top of every screen: the job, the connection, and how many devices have unsent change. */
export function TopLine() {
  const ground = useGround()
  const facts = useJob((s) => s.facts)
  const connection = useJob((s) => s.connection)
  const waiting = useJob((s) => s.outbox.length)
  const count = unsent(facts).length
  const away = connection === 'away'
  const saved = useSaved()
  return (
    <View
      role="banner"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 14,
        paddingHorizontal: 16,
        minHeight: 44,
        backgroundColor: ground.paper,
      }}
    >
      <T face="mid" size={13} numberOfLines={1} style={{ flex: 1 }}>
        {jobOf(facts)?.name ?? ''}
      </T>
      <Link href={'/waiting'} style={{ minHeight: 44, justifyContent: 'center', display: 'flex' }}>
        <View role="status" style={{ flexDirection: 'row', alignItems: 'center', gap: 6, minHeight: 44 }}>
          <Svg width={9} height={9}>
            <Rect
              x={1}
              y={1}
              width={7}
              height={7}
              fill={away ? 'none' : ground.verdigris}
              stroke={away ? ground.madder : ground.verdigris}
              strokeWidth={2}
            />
          </Svg>
          <T face="mid" size={13} tone={away ? 'madder' : 'quiet'}>
            {connectionWords(away, waiting, saved)}
          </T>
        </View>
      </Link>
      {count ? (
        <Link href="/load" style={{ minHeight: 44, justifyContent: 'center', display: 'flex' }}>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 5, minHeight: 44 }}>
            <Svg width={12} height={11}>
              <Path d="M6 1.2 L11 10 H1 Z" fill="none" stroke={ground.ochre} strokeWidth={1.6} />
            </Svg>
            <T face="mid" size={13} tone="ochre">
              {`${counted(count, 'device')} not loaded`}
            </T>
          </View>
        </Link>
      ) : null}
    </View>
  )
}

/** How long it is said that something was saved, ms. */
const savedForMs = 2500

/** Whether something was saved a moment ago. */
function useSaved(): boolean {
  const savedAt = useJob((s) => s.savedAt)
  const [over, setOver] = useState(0)
  useEffect(() => {
    if (!savedAt) return undefined
    const timer = setTimeout(() => setOver(savedAt), savedForMs)
    return () => clearTimeout(timer)
  }, [savedAt])
  return savedAt > over
}

function connectionWords(away: boolean, waiting: number, saved: boolean): string {
  if (away) return waiting ? `No server, ${waiting} wait` : 'No server'
  if (waiting) return `${waiting} wait`
  return saved ? 'Saved' : 'Server'
}

/** Doors that stand open or locked because somebody told them to: on every screen until they are back. */
export function StandingDoors() {
  const ground = useGround()
  const facts = useJob((s) => s.facts)
  const standing = all(facts, 'doorMode').sort((a, b) => a.at - b.at)
  const first = standing[0]
  if (!first) return null
  const ref = facts.door[first.id]?.ref ?? first.id
  const more = standing.length > 1 ? `, and ${standing.length - 1} more` : ''
  return (
    <Link href={`/doors/${first.id}`} style={{ display: 'flex', minHeight: 44, backgroundColor: ground.madder }}>
      <View
        role="status"
        style={{ flex: 1, minHeight: 44, justifyContent: 'center', paddingHorizontal: 16, paddingVertical: 6 }}
      >
        <T face="strong" size={15} style={{ color: ground.paper }}>
          {`${ref} stands ${modeWords[first.mode]}${first.reason ? `: ${first.reason}` : ''}${more}`}
        </T>
      </View>
    </Link>
  )
}
