import {
  boardOf,
  cableName,
  jobOf,
  newestOf,
  readingsBesides,
  readingsFor,
  sheetOf,
  switchesFor,
  type Cable,
  type Controller,
  type Door,
  type Hint,
  type ReadingKind,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Tick } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { SwitchBank } from '../../signs/SwitchBank'
import { saysOf } from '../../state/api'
import { useFacts, useJob, useWaitingAt } from '../../state/job'
import { dayTime } from '../../state/time'
import { AsBuilt } from './AsBuilt'
import { ReadingLine } from './ReadingLine'

const ticks = ['pulled', 'ended', 'tested'] as const
const tickWord = { pulled: 'pulled', ended: 'terminated', tested: 'tested' } as const

/** One cable in hand: what it is, how far it has come, what to watch at its ends, and its readings. @param elsewhere a reading that is being entered on the drawing */
export function CableCard({
  door,
  cable,
  controller,
  hints,
  elsewhere,
}: {
  door: Door
  cable: Cable
  controller: Controller
  hints: readonly Hint[]
  elsewhere: ReadingKind | null
}) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const [more, setMore] = useState(false)
  const sheets = sheetsFor(facts)
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const tick = facts.tick[`${door.id}/${cable.id}`]
  const waiting = useWaitingAt(door.id)
  const waits = (what: string) =>
    waiting.some((w) => {
      const p = w.payload as { cable?: string; what?: string }
      return p.cable === cable.id && p.what === what
    })
  const part = door.parts.find((p) => p.id === cable.part)
  const sheet = sheetOf(sheets, part?.sheet ?? '')
  const { name } = sheet
  const set = sheet.coding && part?.address !== undefined ? switchesFor(sheet.coding, part.address) : null
  /** Who and when, as short as it goes. */
  const dones = ticks.flatMap((what) => {
    const done = tick?.[what]
    return done ? [{ what, by: `${done.by}, ${dayTime(done.at, zone)}` }] : []
  })
  const told = [...new Set(dones.map((d) => d.by))].map(
    (by) =>
      `${dones
        .filter((d) => d.by === by)
        .map((d) => tickWord[d.what])
        .join(', ')}: ${by}`,
  )
  const asked = readingsFor(door, cable.id, sheets, boardOf(sheets, controller))
  const there = newestOf(facts, door.id, cable.id).map((r) => r.kind)
  const besides = readingsBesides(door, cable.id, sheets).filter((k) => !asked.includes(k))
  const shown: ReadingKind[] = [...asked, ...besides.filter((k) => more || there.includes(k))]
  return (
    <Sheet>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <T face="strong" size={17}>{`${cable.id} ${name} ${cable.part}`}</T>
          <T tone="quiet">{cableName(cable.type)}</T>
          <T tone="quiet">
            {cable.lengthM
              ? `${cable.lengthM} m${cable.planned ? ` as built, ${cable.planned.lengthM} m planned` : ''}`
              : 'No length yet: nothing to judge a reading by'}
          </T>
        </View>
        {ticks.map((what) => (
          <Tick
            key={what}
            under
            label={waits(what) ? 'waits' : tickWord[what]}
            name={waits(what) ? `${tickWord[what]}, waits for the server` : tickWord[what]}
            on={!!tick?.[what]}
            onPress={() =>
              send('tick.set', { door: door.id, cable: cable.id, what, done: !tick?.[what] }).catch((e: unknown) =>
                setWrong(saysOf(e)),
              )
            }
          />
        ))}
      </View>
      {told.length ? (
        <T size={13} tone="quiet">
          {told.join(' · ')}
        </T>
      ) : null}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {hints.map((h) => (
        <T key={h.says} size={15}>
          {h.says}
        </T>
      ))}
      {sheet.coding && set?.ok ? <SwitchBank coding={sheet.coding} switches={set.switches} /> : null}
      {shown
        .filter((kind) => kind !== elsewhere)
        .map((kind) => (
          <ReadingLine key={kind} door={door} cable={cable} kind={kind} />
        ))}
      {!more && besides.some((k) => !there.includes(k)) ? (
        <Action kind="plain" label="More readings" onPress={() => setMore(true)} />
      ) : null}
      <AsBuilt key={`${cable.id}-${cable.lengthM}`} door={door} cable={cable} />
    </Sheet>
  )
}
