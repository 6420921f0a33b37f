import { kindWords, sheetLines, switchesFor, terminalWords, leadWords, type DeviceSheet } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState, type ReactNode } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { SwitchBank } from '../../signs/SwitchBank'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { Missing } from '../shell/Missing'

function Lines({ lines }: { lines: [string, ReactNode][] }) {
  return (
    <View style={{ gap: 6 }}>
      {lines.map(([name, value]) => (
        <View key={name} style={{ flexDirection: 'row', gap: 12 }}>
          <T tone="quiet" style={{ width: 116 }}>
            {name}
          </T>
          <View style={{ flex: 1 }}>{typeof value === 'string' ? <T>{value}</T> : value}</View>
        </View>
      ))}
    </View>
  )
}

/** One device type: what it draws, where its conductors go, how it is set, what must be at hand. */
export function SheetPage({ id }: { id: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [wrong, setWrong] = useState('')
  const sheet = sheetsFor(facts)[id]
  if (!sheet) return <Missing what="device sheet" which={id} />
  const own = !!facts.sheet[id]
  return (
    <Screen
      columns
      title={sheet.name}
      under={[kindWords[sheet.kind][0], ...(sheet.also ?? []).map((k) => kindWords[k][0].toLowerCase())].join(' and ')}
      bar={
        canFit(me) ? (
          <Action
            kind={own ? 'main' : 'plain'}
            label={own ? 'Change this sheet' : 'Make one like it'}
            onPress={() => router.push(own ? `/sheets/${id}/edit` : `/sheets/new?like=${id}`)}
          />
        ) : null
      }
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Sheet>
        <T size={17}>{sheet.says}</T>
        <Lines lines={sheetLines(sheet)} />
      </Sheet>
      <Leads sheet={sheet} />
      <Terminals sheet={sheet} />
      {sheet.coding ? (
        <Sheet title="Switches, as they leave the factory">
          <SwitchBank coding={sheet.coding} switches={sheet.coding.factory} />
          {sheet.coding.says ? <T tone="quiet">{sheet.coding.says}</T> : null}
          {firstAddress(sheet)}
        </Sheet>
      ) : null}
      {sheet.jumpers?.length ? (
        <Sheet title="Jumpers">
          <Lines
            lines={sheet.jumpers.map((j): [string, string] => [
              j.id,
              `${j.says}: ${j.positions.join(' or ')}. From the factory: ${j.factory}.`,
            ])}
          />
        </Sheet>
      ) : null}
      <Signs sheet={sheet} />
      <Lists sheet={sheet} />
      {own && me?.role === 'lead' ? (
        <Sheet>
          <Action
            kind="danger"
            label="Remove this sheet"
            onPress={() =>
              send('sheet.remove', { id })
                .then(() => router.replace('/sheets'))
                .catch((e: unknown) => setWrong(saysOf(e)))
            }
          />
        </Sheet>
      ) : null}
    </Screen>
  )
}

function firstAddress(sheet: DeviceSheet): ReactNode {
  const coding = sheet.coding
  const set = coding && switchesFor(coding, coding.offset + 1)
  return set?.ok ? <T tone="quiet">{`Address ${(coding?.offset ?? 0) + 1}: ${set.words}`}</T> : null
}

function Leads({ sheet }: { sheet: DeviceSheet }) {
  if (sheet.leads.length === 0) return null
  return (
    <Sheet title="Leads">
      <Lines
        lines={sheet.leads.map((l): [string, string] => [
          l.colour || 'no colour',
          `${l.name}, goes to ${leadWords[l.kind]}${l.colour ? '' : '; find plus and minus with a meter first'}`,
        ])}
      />
    </Sheet>
  )
}

function Terminals({ sheet }: { sheet: DeviceSheet }) {
  if (sheet.terminals.length === 0) return null
  const groups = [...new Set(sheet.terminals.map((t) => t.group))]
  return (
    <Sheet
      title={`${sheet.terminals.length} terminals${sheet.controller ? `, number 1 at the ${sheet.controller.terminalOneAt}` : ''}`}
    >
      {groups.map((g) => (
        <View key={g} style={{ gap: 2 }}>
          <T face="mid">{g === '*' ? 'For any door port' : `Door port ${g}`}</T>
          {sheet.terminals
            .filter((t) => t.group === g)
            .map((t) => (
              <View key={t.id} style={{ flexDirection: 'row', gap: 8 }}>
                <T face="mono" size={13} style={{ width: 36 }}>
                  {t.id}
                </T>
                <T face="mono" size={13} style={{ width: 40 }}>
                  {t.label}
                </T>
                <T size={13} style={{ flex: 1 }}>
                  {terminalWords[t.kind]}
                </T>
                <T size={13} tone="quiet">{`${t.maxConductors} × ${t.mostMm2 ? `${t.mostMm2} mm²` : 'core'}`}</T>
              </View>
            ))}
        </View>
      ))}
    </Sheet>
  )
}

function Signs({ sheet }: { sheet: DeviceSheet }) {
  const lamps = [...(sheet.controller?.lamps ?? []), ...(sheet.lamps ?? [])].map((l): [string, string] => [
    l.lamp,
    l.means,
  ])
  const sounds = (sheet.sounds ?? []).map((s): [string, string] => [s.sound, s.means])
  return lamps.length + sounds.length ? (
    <Sheet title="Lamps and sounds">
      <Lines lines={[...lamps, ...sounds]} />
    </Sheet>
  ) : null
}

function Lists({ sheet }: { sheet: DeviceSheet }) {
  const needs = (sheet.setUp ?? []).map(
    (n) =>
      `${n.what}${n.runsOn ? `; runs on ${n.runsOn}` : ''}, ${n.one === 'job' ? 'one for the whole job' : `one for each ${n.one}`}`,
  )
  const lists = [
    ['Needed to set it up', needs],
    ['Must be at hand', sheet.atHand],
    ['In the box', sheet.box ?? []],
    ['Mounting', sheet.mounting ?? []],
    ['Reset by hand', sheet.controller?.reset.map((r, i) => `${i + 1}. ${r.says} (${r.seconds} s)`) ?? []],
  ] as const
  return (
    <>
      {lists
        .filter(([, l]) => l.length)
        .map(([title, l]) => (
          <Sheet key={title} title={title}>
            {l.map((x) => (
              <T key={x}>{x}</T>
            ))}
          </Sheet>
        ))}
    </>
  )
}
