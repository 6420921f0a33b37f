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
import { leadsToController, type Door, type Effect, type Placement, type Want } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import type { ComponentProps, ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { Strip } from '../../signs/Strip'
import { useFacts, useJob } from '../../state/job'
import { useGround, useWide } from '../../theme'
import { DropCell } from './DropCell'
import type { Moving } from './moving'

/** The screw under the pointer; with the keyboard, the one that is nearest. */
const underPointer: CollisionDetection = (args) => {
  const hit = pointerWithin(args)
  return hit.length || args.pointerCoordinates ? hit : closestCenter(args)
}

/**
 * The strip with what is on it. A lead is moved by tapping it and then its new terminal, or by dragging it there on a wide
 * screen; what that would do to the findings is told before it is let go. On a phone the strip comes to the thumb while a lead is in hand.
 */
export function Placed({ door, moving }: { door: Door; moving: Moving }) {
  const send = useJob((s) => s.send)
  const wide = useWide()
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  )
  const { controller, wants, lead, look, put, take } = moving
  const { placement } = door
  if (!placement || !controller) return null
  const terminalOf = (id: unknown) => moving.terminals.find((t) => t.id === id)
  const onOver = (event: DragOverEvent) => look(terminalOf(event.over?.id) ?? null, String(event.active.id))
  const onEnd = (event: DragEndEvent) => {
    const t = terminalOf(event.over?.id)
    const carried = wants.find((w) => `${w.part}.${w.lead}` === event.active.id)
    if (t && carried && t.kind === carried.kind) void put(t, String(event.active.id))
    else take(null)
  }
  const strip = (
    <Sheet flush title={`On ${controller.ref} in ${controller.cabinet}`}>
      {wants.length ? (
        // While a lead is in hand on a phone, the strip at the thumb is the one to tap.
        <View {...(!wide && lead ? { 'aria-hidden': true, style: { opacity: 0.4, pointerEvents: 'none' } } : {})}>
          <MovingStrip moving={moving} placement={placement} {...(wide ? { CellAs: DropCell } : {})} />
        </View>
      ) : (
        <T style={{ padding: 16 }}>It stands behind the controller by radio or network: no lead goes to a terminal.</T>
      )}
      {/* Under the strip: nothing that a lead is carried to may move away. */}
      {wide || !lead ? (
        <>
          <InHand moving={moving} />
          <View style={{ paddingHorizontal: 16 }}>
            <PutIt moving={moving} />
          </View>
        </>
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
            onPress={() => take(lead === key ? null : key)}
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
      onDragStart={(e) => take(String(e.active.id))}
      onDragOver={onOver}
      onDragEnd={onEnd}
      onDragCancel={() => take(null)}
    >
      {inside}
    </DndContext>
  ) : (
    inside
  )
}

function MovingStrip({
  moving,
  placement,
  CellAs,
}: {
  moving: Moving
  placement: Placement
  CellAs?: ComponentProps<typeof Strip>['CellAs']
}) {
  const { controller, lead, want, over } = moving
  if (!controller) return null
  return (
    <Strip
      controller={controller}
      group={placement.portGroup}
      chosen={over?.id ?? (lead ? (placement.terminals[lead] ?? null) : null)}
      onTerminal={moving.tap}
      fits={(t) => !!want && t.kind === want.kind}
      {...(CellAs ? { CellAs } : {})}
    />
  )
}

/** What to do with the lead in hand, and what that would bring. */
function InHand({ moving }: { moving: Moving }) {
  const wide = useWide()
  const { lead, leadName, over, effect, wrong } = moving
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {lead && !over ? (
        <Notice tone="slate">{`${wide ? 'Drag it to' : 'Tap'} the terminal for ${leadName}. Those it fits are underlined.`}</Notice>
      ) : null}
      {over && lead && effect ? (
        <Consequence effect={effect} title={`${leadName} on ${over.id} ${over.label}`} />
      ) : null}
    </>
  )
}

/** A lead that would bring a stop is put there all the same only by a plain button. */
function PutIt({ moving: { over, lead, harms, put } }: { moving: Moving }) {
  if (!over || !lead) return null
  return (
    <Action
      {...(harms ? { kind: 'plain' as const } : {})}
      label={harms ? `Put it on ${over.id} all the same` : `Put it on ${over.id}`}
      onPress={() => put(over, lead)}
    />
  )
}

/** On a phone, while a lead is in hand: instruction, strip and buttons together where the thumb is; a long strip is scrolled between the two. */
export function StripAtThumb({ moving, placement }: { moving: Moving; placement: Placement }) {
  return (
    <View role="group" aria-label="Lead in hand" style={{ gap: 4 }}>
      <ScrollView style={{ maxHeight: 130, flexGrow: 0 }}>
        <InHand moving={moving} />
      </ScrollView>
      <ScrollView style={{ maxHeight: 330, flexGrow: 0 }}>
        <MovingStrip moving={moving} placement={placement} />
      </ScrollView>
      <PutIt moving={moving} />
      <Action kind="plain" label="Leave it where it is" onPress={() => moving.take(null)} />
    </View>
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
