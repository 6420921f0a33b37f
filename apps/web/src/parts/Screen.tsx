import Head from 'expo-router/head'
import { createContext, useContext, useEffect, useRef, type ReactNode, type RefObject } from 'react'
import { ScrollView, View } from 'react-native'
import { useGround, useWide } from '../theme'
import { useSide } from './Beside'
import { ListItem } from './controls'
import { Icon } from './Icon'
import { T } from './Text'

interface ScreenProps {
  title: string
  mono?: string
  under?: string
  aside?: ReactNode
  bar?: ReactNode
  children: ReactNode
  head?: ReactNode
  /** On a wide screen its sheets stand in two columns. */ columns?: boolean
  /** It lays a wide screen out by itself. */ full?: boolean
  /** What it is about now: where that changes, the page begins at its top again. */ top?: string
}

const PageScroll = createContext<RefObject<ScrollView | null>>({ current: null })
/** What scrolls the place that this stands in. */
export const usePageScroll = () => useContext(PageScroll)

/** One place: its title, what it holds, and the bar with the action that it exists for. */
export function Screen({ title, mono, under, aside, bar, children, head, columns, full, top }: ScreenProps) {
  const ground = useGround()
  const page = useRef<ScrollView>(null)
  useEffect(() => page.current?.scrollTo({ y: 0, animated: false }), [top])
  // On a wide screen a place keeps the width that can be read in one look.
  const wide = useWide()
  const side = useSide()
  const list = side === 'list'
  const inColumns = columns && wide && side === 'alone'
  const width = wide ? { width: '100%' as const, maxWidth: inColumns || full ? 1240 : 860 } : {}
  return (
    <View
      style={{ flex: 1, backgroundColor: ground.paper }}
      {...(list ? { role: 'region', 'aria-label': title } : { role: 'main' })}
    >
      {list ? null : (
        <Head>
          <title>{`${mono ? `${mono} ` : ''}${title} · Rauta`}</title>
        </Head>
      )}
      <ScrollView ref={page} tabIndex={0} style={{ flex: 1 }} contentContainerStyle={{ paddingBottom: 24, ...width }}>
        <View
          style={{
            paddingHorizontal: 16,
            paddingTop: 8,
            paddingBottom: 12,
            borderBottomWidth: 1,
            borderColor: ground.line,
            gap: 2,
          }}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 12 }}>
            <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 10, flex: 1, flexWrap: 'wrap' }}>
              {mono ? (
                <T face="mono" size={17}>
                  {mono}
                </T>
              ) : null}
              <T level={1} face="strong" size={22}>
                {title}
              </T>
            </View>
            {aside}
          </View>
          {under ? <T tone="quiet">{under}</T> : null}
          {head}
        </View>
        {inColumns ? (
          <View style={{ display: 'block', columnCount: 2, columnGap: 12, paddingHorizontal: 12 } as object}>
            {children}
          </View>
        ) : (
          <PageScroll.Provider value={page}>{children}</PageScroll.Provider>
        )}
      </ScrollView>
      {bar ? (
        <View
          style={{
            padding: 12,
            gap: 8,
            borderTopWidth: 1,
            borderColor: ground.line,
            backgroundColor: ground.paper,
            ...width,
          }}
        >
          {bar}
        </View>
      ) : null}
    </View>
  )
}

const inColumn = { breakInside: 'avoid' } as object
/** On a phone what lies below the screen is laid out when it is scrolled to. In columns it would jump from one to the other. */
const whenSeen = { contentVisibility: 'auto', containIntrinsicSize: 'auto 240px' } as object

/** A sheet on the paper. */
export function Sheet({ children, title, flush }: { children: ReactNode; title?: string; flush?: boolean }) {
  const ground = useGround()
  return (
    // Padding, since a margin is dropped at the head of a column.
    <View style={{ paddingTop: 12, ...(useWide() ? inColumn : whenSeen) }}>
      <View
        style={{
          backgroundColor: ground.sheet,
          borderTopWidth: 1,
          borderBottomWidth: 1,
          borderColor: ground.line,
          paddingVertical: flush ? 0 : 12,
          paddingHorizontal: flush ? 0 : 16,
          gap: 10,
        }}
      >
        {title ? (
          <T level={2} face="strong" size={17} style={flush ? { paddingHorizontal: 16, paddingTop: 12 } : undefined}>
            {title}
          </T>
        ) : null}
        {children}
      </View>
    </View>
  )
}

/** Something to read before going on: a stripe in the colour of what it is, with the word first. */
export function Notice({ tone, children }: { tone: 'madder' | 'ochre' | 'slate' | 'verdigris'; children: ReactNode }) {
  const ground = useGround()
  return (
    <View
      role={tone === 'madder' ? 'alert' : 'status'}
      style={{
        borderLeftWidth: 4,
        borderColor: ground[tone],
        paddingLeft: 12,
        paddingVertical: 4,
        marginHorizontal: 16,
        marginVertical: 8,
      }}
    >
      <T size={15}>{children}</T>
    </View>
  )
}

const grows = { flexGrow: 1 }
const linePadding = 10
/** Height of a line with a title of 15 px, two faces on one baseline, over so many lines of 13 px, px. */
export const lineHeight = (under: 1 | 2): number => 2 * linePadding + 22 + under * 17 + 1

interface LineProps {
  children: ReactNode
  onPress?: () => void
  label?: string
  /** It stands beside its list. */
  chosen?: boolean
  /** What a press does besides leading to a place: it unfolds here, or the row shows by itself where it leads. */
  sign?: 'unfolds' | 'none'
}

/** A row of a list; pressed, it leads on. */
export function Line({ children, onPress, label, chosen, sign }: LineProps) {
  const ground = useGround()
  const inList = useSide() === 'list'
  const shown = onPress && !inList && sign !== 'none' ? (sign ?? 'leadsOn') : null
  return (
    <ListItem
      style={grows}
      {...(onPress ? { onPress } : {})}
      {...((onPress
        ? { role: 'button', 'aria-label': label, 'aria-current': chosen ? 'true' : undefined }
        : {}) as object)}
      pad={8}
      containerStyle={{
        paddingRight: shown ? 10 : 16,
        paddingLeft: inList ? 12 : 16,
        paddingVertical: linePadding,
        minHeight: 48,
        // Where its place is higher it fills it.
        flexGrow: 1,
        borderLeftWidth: inList ? 4 : 0,
        borderLeftColor: chosen ? ground.oxide : 'transparent',
        borderBottomWidth: 1,
        borderColor: ground.line,
        backgroundColor: ground.sheet,
      }}
    >
      <View style={{ flex: 1, minWidth: 0, justifyContent: 'center' }}>{children}</View>
      {shown ? <Icon name={shown} tone="quiet" /> : null}
    </ListItem>
  )
}
