import { all, boardOf, load, sheetOf, type Controller, type Terminal } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import type { ComponentType } from 'react'
import { Pressable, View } from 'react-native'
import { T } from '../parts/Text'
import { useFacts } from '../state/job'
import { useGround } from '../theme'

interface StripProps {
  controller: Controller
  group?: string
  chosen?: string | null
  onTerminal?: (terminal: Terminal) => void
  fits?: (terminal: Terminal) => boolean
  /** Another way to draw a cell: one that leads may be dropped on. */ CellAs?: ComponentType<CellProps>
}

/** A controller as its terminal strip: each screw a numbered cell with what is on it; free ones are open. */
export function Strip({ controller, group, chosen, onTerminal, fits, CellAs = Cell }: StripProps) {
  const facts = useFacts()
  const sheet = boardOf(sheetsFor(facts), controller)
  const doors = all(facts, 'door').filter((d) => d.placement?.controller === controller.id)
  const count = load(controller.id, doors)
  const users = (id: string) =>
    doors.flatMap((d) =>
      Object.entries(d.placement?.terminals ?? {})
        .filter(([, t]) => t === id)
        .map(([key]) => `${d.ref} ${key.split('.')[0]}`),
    )
  const served = (g: string) =>
    doors
      .filter((d) => d.placement?.portGroup === g)
      .map((d) => d.ref)
      .join(', ')
  const boards = [
    ...(sheet.controller?.portGroups
      .filter((g) => !group || g.id === group)
      .map((g) => ({
        id: g.id,
        title: `${g.name} · ${served(g.id) || 'free'}`,
        terminals: sheet.terminals.filter((t) => t.group === g.id),
      })) ?? []),
    ...(controller.expanders ?? []).map((e) => ({
      id: e.id,
      title: `Expander ${e.id}, ${sheetOf(sheetsFor(facts), e.sheet).name}`,
      terminals: sheet.terminals.filter((t) => t.id.startsWith(`${e.id}.`)),
    })),
  ]
  return (
    <View style={{ gap: 12 }}>
      {boards.map((board) => (
        <View key={board.id} style={{ gap: 4 }}>
          <T face="mid" style={{ paddingHorizontal: 16 }}>
            {board.title}
          </T>
          <View
            style={{
              flexDirection: sheet.controller?.terminalOneAt === 'right' ? 'row-reverse' : 'row',
              flexWrap: 'wrap',
              paddingHorizontal: 16,
            }}
          >
            {board.terminals.map((t) => {
              const cell = {
                terminal: t,
                on: users(t.id),
                over: (count.get(t.id) ?? 0) > t.maxConductors,
                open: fits?.(t) ?? false,
                chosen: chosen === t.id,
                onTerminal,
              }
              return <CellAs key={t.id} {...cell} />
            })}
          </View>
        </View>
      ))}
    </View>
  )
}

export interface CellProps {
  terminal: Terminal
  on: string[]
  over: boolean
  open: boolean
  chosen: boolean
  onTerminal: ((terminal: Terminal) => void) | undefined
  drop?: unknown
}

/** One screw: its number, what is printed beside it, and what is on it. */
export function Cell({ terminal: t, on, over, open, chosen, onTerminal, drop }: CellProps) {
  const ground = useGround()
  const words = `Terminal ${t.id} ${t.label}: ${on.length ? on.join(', ') : 'free'}${over ? ', too many conductors' : ''}`
  return (
    <Pressable
      ref={drop as never}
      {...(onTerminal ? { role: 'button' as const, onPress: () => onTerminal(t) } : { role: 'img' as const })}
      aria-label={words}
      style={{
        width: 56,
        minHeight: 72,
        borderWidth: 1,
        marginRight: -1,
        marginBottom: -1,
        borderColor: over ? ground.madder : ground.ink,
        backgroundColor: chosen ? ground.oxide : ground.sheet,
        alignItems: 'center',
        paddingTop: 4,
        ...(open ? { borderBottomWidth: 5, borderBottomColor: ground.oxide } : {}),
      }}
    >
      <View
        style={{
          width: 12,
          height: 12,
          borderRadius: 6,
          borderWidth: 1.5,
          borderColor: ground.ink,
          backgroundColor: on.length ? ground.ink : 'transparent',
        }}
      />
      <T face="mono" size={15} tone={chosen ? 'onOxide' : 'ink'}>
        {t.id}
      </T>
      <T face="mid" size={13} tone={chosen ? 'onOxide' : 'quiet'}>
        {t.label}
      </T>
      <T face="mono" size={13} tone={chosen ? 'onOxide' : over ? 'madder' : 'ink'} numberOfLines={1}>
        {on.map((u) => u.split(' ')[1]).join(' ')}
      </T>
    </Pressable>
  )
}
