import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  MeasuringStrategy,
  PointerSensor,
  pointerWithin,
  type CollisionDetection,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core'
import {
  all,
  boardOf,
  effectOf,
  leadsToController,
  terminalWords,
  wantsOf,
  withLeadAt,
  type Door,
  type Effect,
  type Terminal,
  type Want,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState, type ReactNode } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { Strip } from '../../signs/Strip'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { useGround, useWide } from '../../theme'
import { DropCell } from './DropCell'

/** The screw under the pointer; with the keyboard, the one that is nearest. */
const underPointer: CollisionDetection = (args) => {
  const hit = pointerWithin(args)
  return hit.length || args.pointerCoordinates ? hit : closestCenter(args)
}

/**
 * The strip with what is on it. A lead is moved by tapping it and then its new terminal, or by dragging it there on a wide
 * screen; what that would do to the findings is told before it is let go.
 */
export function Placed({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const wide = useWide()
  const [lead, setLead] = useState<string | null>(null)
  const [over, setOver] = useState<Terminal | null>(null)
  const [wrong, setWrong] = useState('')
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  )
  const placement = door.placement
  const controller = facts.controller[placement?.controller ?? '']
  if (!placement || !controller) return null
  const sheets = sheetsFor(facts)
  const wants = wantsOf(door, sheets)
  const want = wants.find((w) => `${w.part}.${w.lead}` === lead)
  const terminals = boardOf(sheets, controller).terminals
  const look = (terminal: Terminal | null, from: string | null) => {
    const moving = wants.find((w) => `${w.part}.${w.lead}` === from)
    setWrong(
      terminal && moving && terminal.kind !== moving.kind
        ? `${moving.part} ${moving.lead} does not go on ${terminal.id} ${terminal.label}: it wants ${terminalWords[moving.kind]}.`
        : '',
    )
    setOver(terminal && moving && terminal.kind === moving.kind ? terminal : null)
  }
  const put = async (terminal: Terminal, from: string) => {
    await send('door.place', {
      id: door.id,
      placement: { ...placement, terminals: { ...placement.terminals, [from]: terminal.id } },
    }).catch((error: unknown) => setWrong(saysOf(error)))
    setLead(null)
    setOver(null)
  }
  const tap = (terminal: Terminal) => {
    if (lead) look(terminal, lead)
    else setWrong('Tap a lead below first, then the terminal it shall go to.')
  }
  const onOver = (event: DragOverEvent) =>
    look(terminals.find((t) => t.id === event.over?.id) ?? null, String(event.active.id))
  const onEnd = (event: DragEndEvent) => {
    const t = terminals.find((x) => x.id === event.over?.id)
    const moving = wants.find((w) => `${w.part}.${w.lead}` === event.active.id)
    if (t && moving && t.kind === moving.kind) void put(t, String(event.active.id))
    else {
      setLead(null)
      setOver(null)
    }
  }
  const effect =
    over && lead
      ? effectOf(door, withLeadAt(door, lead, over.id), facts.controller, sheets, all(facts, 'door'), facts.powerPlan)
      : null
  const strip = (
    <Sheet flush title={`On ${controller.ref} in ${controller.cabinet}`}>
      {wants.length ? (
        <Strip
          controller={controller}
          group={placement.portGroup}
          chosen={over?.id ?? (lead ? (placement.terminals[lead] ?? null) : null)}
          onTerminal={tap}
          fits={(t) => !!want && t.kind === want.kind}
          {...(wide ? { CellAs: DropCell } : {})}
        />
      ) : (
        <T style={{ padding: 16 }}>It stands behind the controller by radio or network: no lead goes to a terminal.</T>
      )}
      {/* Under the strip: nothing that a lead is carried to may move away. */}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {lead && !over ? (
        <Notice tone="slate">{`${wide ? 'Drag it to' : 'Tap'} the terminal for ${lead.replace('.', ' ')}. Those it fits are underlined.`}</Notice>
      ) : null}
      {over && lead && effect ? (
        <Consequence effect={effect} title={`${lead.replace('.', ' ')} on ${over.id} ${over.label}`} />
      ) : null}
      {over && lead ? (
        <View style={{ padding: 16, paddingTop: 0 }}>
          <Action label={`Put it on ${over.id}`} onPress={() => put(over, lead)} />
        </View>
      ) : null}
      <View style={{ padding: 16 }}>
        <Action
          kind="plain"
          label={`Take off ${controller.ref}`}
          onPress={() => send('door.place', { id: door.id, placement: null })}
        />
      </View>
    </Sheet>
  )
  const leads = wants.length ? (
    <Sheet flush title="Leads">
      {wants.map((w) => {
        const key = `${w.part}.${w.lead}`
        return (
          <LeadLine
            key={key}
            door={door}
            want={w}
            on={lead === key}
            drags={wide}
            onPress={() => {
              setLead(lead === key ? null : key)
              setOver(null)
              setWrong('')
            }}
          />
        )
      })}
    </Sheet>
  ) : null
  // On a wide screen the leads stand beside the strip that they are dragged to.
  const inside = wide ? (
    <View style={{ flexDirection: 'row', alignItems: 'flex-start', gap: 12 }}>
      <View style={{ flex: 1 }}>{strip}</View>
      <View style={{ width: 300 }}>{leads}</View>
    </View>
  ) : (
    <>
      {strip}
      {leads}
    </>
  )
  return wide ? (
    <DndContext
      sensors={sensors}
      collisionDetection={underPointer}
      measuring={{ droppable: { strategy: MeasuringStrategy.Always } }}
      onDragStart={(e) => {
        setLead(String(e.active.id))
        setOver(null)
      }}
      onDragOver={onOver}
      onDragEnd={onEnd}
      onDragCancel={() => {
        setLead(null)
        setOver(null)
      }}
    >
      {inside}
    </DndContext>
  ) : (
    inside
  )
}

/** What would come and what would go. */
export function Consequence({ effect, title }: { effect: Effect; title: string }) {
  const tone = { stop: 'madder', warn: 'ochre', note: 'quiet' } as const
  return (
    <View role="status" style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 4 }}>
      <T face="strong">{title}</T>
      {effect.comes.map((f) => (
        <T key={f.says} tone={tone[f.grade]}>{`Would come: ${f.says}`}</T>
      ))}
      {effect.goes.map((f) => (
        <T key={f.says} tone="verdigris">{`Would go: ${f.says}`}</T>
      ))}
      {effect.comes.length + effect.goes.length === 0 ? <T tone="quiet">Nothing else changes.</T> : null}
    </View>
  )
}

function LeadLine({
  door,
  want,
  on,
  drags,
  onPress,
}: {
  door: Door
  want: Want
  on: boolean
  drags: boolean
  onPress: () => void
}) {
  const facts = useFacts()
  const key = `${want.part}.${want.lead}`
  const part = door.parts.find((p) => p.id === want.part)
  const about = part && leadsToController(part, sheetsFor(facts)).find((l) => l.id === want.lead)
  const inside = (
    <View style={{ flexDirection: 'row' }}>
      <T face="mono" style={{ width: 44 }}>
        {want.part}
      </T>
      <T face={on ? 'strong' : 'text'} style={{ flex: 1 }}>{`${about?.name ?? ''}, ${about?.colour || 'no colour'}`}</T>
      <T face="mono">{door.placement?.terminals[key] ?? 'none'}</T>
    </View>
  )
  const label = `Move ${want.part} ${about?.name ?? want.lead}`
  return drags ? (
    <Dragged id={key} label={label} onPress={onPress}>
      {inside}
    </Dragged>
  ) : (
    <Tapped label={label} onPress={onPress}>
      {inside}
    </Tapped>
  )
}

const lineStyle = (line: string, sheet: string) => ({
  paddingHorizontal: 16,
  paddingVertical: 10,
  minHeight: 48,
  borderBottomWidth: 1,
  borderColor: line,
  justifyContent: 'center' as const,
  backgroundColor: sheet,
  cursor: 'pointer' as const,
})

function Tapped({ label, onPress, children }: { label: string; onPress: () => void; children: ReactNode }) {
  const ground = useGround()
  return (
    <View
      {...({
        role: 'button',
        tabIndex: 0,
        'aria-label': label,
        onClick: onPress,
        onKeyDown: (e: { key: string }) => {
          if (e.key === 'Enter') onPress()
        },
      } as object)}
      style={lineStyle(ground.line, ground.sheet)}
    >
      {children}
    </View>
  )
}

function Dragged({
  id,
  label,
  onPress,
  children,
}: {
  id: string
  label: string
  onPress: () => void
  children: ReactNode
}) {
  const ground = useGround()
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id })
  const moved = transform
    ? { transform: [{ translateX: transform.x }, { translateY: transform.y }], zIndex: 10, opacity: 0.6 }
    : {}
  return (
    <View
      ref={setNodeRef as never}
      {...({
        ...attributes,
        ...listeners,
        'aria-label': label,
        onClick: () => {
          if (!isDragging) onPress()
        },
      } as object)}
      style={[lineStyle(ground.line, ground.sheet), { touchAction: 'none', cursor: 'grab' } as object, moved]}
    >
      {children}
    </View>
  )
}
