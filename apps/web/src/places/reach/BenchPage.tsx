import {
  all,
  busDevicesOn,
  radioDevicesOn,
  foundConflicts,
  outOfReachWords,
  saidType,
  sheetOf,
  type Controller,
  type DeviceSheet,
  type Facts,
  type Found,
  type RadioLock,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState, type ReactNode } from 'react'
import { View } from 'react-native'
import Svg, { Line as SvgLine, Rect } from 'react-native-svg'
import { Action } from '../../parts/Action'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { post, saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { controllersInOrder } from '../../state/worked'
import { useGround } from '../../theme'
import { ByHand } from './ByHand'
import { ByLabel } from './ByLabel'
import { addressOfDevice } from './deviceAddress'
import { busStandingOf, radioStandingOf, standingOf, type Standing } from './standing'

/** What was found beside what is expected, and how far each has come. @param chosen the device that stands beside the list */
export function BenchPage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const [says, setSays] = useState('')
  const [wrong, setWrong] = useState('')
  const planned = controllersInOrder(facts)
  const loose = all(facts, 'found')
    .filter((f) => !f.controller)
    .sort((a, b) => b.seenAt - a.seenAt)
  const ask = async (body: object) => {
    setWrong('')
    try {
      setSays((await post<{ says: string }>('/search', body)).says)
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <Screen
      title="Devices found"
      under={`${all(facts, 'found').length} found · ${planned.length} expected`}
      bar={<Action label="Search the segment" aside="about 3 s" onPress={() => ask({})} />}
    >
      {says ? <Notice tone="slate">{says}</Notice> : null}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {foundConflicts(all(facts, 'found')).map((c) => (
        <Notice key={`${c.kind} ${c.shared}`} tone="madder">
          {c.says}
        </Notice>
      ))}
      {planned.length === 0 ? (
        <T style={{ padding: 16 }}>No controller is planned yet. What is found waits here until one is.</T>
      ) : null}
      {planned.map((c) => (
        <View key={c.id}>
          <Pair controller={c} chosen={c.id === chosen} />
          <Behind controller={c.id} chosen={chosen} />
        </View>
      ))}
      {loose.length ? (
        <Sheet flush title="Found, not planned">
          {loose.map((f) => (
            <Loose key={f.id} found={f} />
          ))}
        </Sheet>
      ) : null}
      <ByHand />
      {planned.length && canFit(me) ? <ByLabel /> : null}
    </Screen>
  )
}

function Pair({ controller, chosen }: { controller: Controller; chosen: boolean }) {
  const facts = useFacts()
  const ground = useGround()
  const found = all(facts, 'found').find((f) => f.controller === controller.id)
  const standing = standingOf(facts, controller)
  return (
    <View style={{ marginTop: 12, borderTopWidth: 1, borderColor: ground.line }}>
      <Line
        label={`${controller.ref}: ${standing.says}`}
        chosen={chosen}
        onPress={() => router.push(`/reach/${controller.id}`)}
      >
        <Joined
          link={standing.link}
          planned={
            <>
              <T size={13} tone="quiet">
                planned
              </T>
              <T face="strong">{controller.ref}</T>
              <T size={13}>{sheetOf(sheetsFor(facts), controller.sheet).name}</T>
              <T face="mono" size={13}>
                {controller.address}
              </T>
            </>
          }
          linkAt={26}
        >
          <T size={13} tone="quiet">
            found
          </T>
          {found ? (
            <>
              <T face="mono" size={13}>
                {found.mac}
              </T>
              <T face="mono" size={13}>
                {found.address}
              </T>
            </>
          ) : null}
          <T size={13} tone={standing.tone}>
            {standing.says}
          </T>
        </Joined>
      </Line>
    </View>
  )
}

interface BehindIt {
  device: { id: string; ref: string; sheet: DeviceSheet }
  where: string
  standing: Standing
}

/** What hangs on the buses of a controller, and what its hubs join. */
function behind(facts: Facts, controller: string): BehindIt[] {
  const sheets = sheetsFor(facts)
  const onBuses = busDevicesOn(facts, sheets, controller).map((device) => ({
    device,
    where: device.address === null ? 'no address yet' : `${device.port || 'no bus'}, address ${device.address}`,
    standing: busStandingOf(facts, device),
  }))
  const byRadio = radioDevicesOn(facts, sheets, controller).map((device) => ({
    device,
    where: device.kind === 'hub' ? `address ${device.address}` : hubWords(device),
    standing: radioStandingOf(facts, device),
  }))
  return [...onBuses, ...byRadio]
}
const hubWords = ({ hub, place }: RadioLock): string => (hub ? `${hub.ref}, place ${place}` : 'no hub yet')

/** Readers on the buses of a controller, its hubs and their locks, under it: they are reached through it. */
function Behind({ controller, chosen }: { controller: string; chosen: string | undefined }) {
  const facts = useFacts()
  return behind(facts, controller).map(({ device, where, standing }) => {
    const address = addressOfDevice(device.id)
    return (
      <Line
        key={device.id}
        label={`${device.ref}: ${standing.says}`}
        chosen={address === chosen}
        onPress={() => router.push(`/reach/${address}`)}
      >
        <View style={{ paddingLeft: 20 }}>
          <Joined
            link={standing.link}
            planned={
              <>
                <T face="strong">{device.ref}</T>
                <T size={13}>{device.sheet.name}</T>
                <T face="mono" size={13}>
                  {where}
                </T>
              </>
            }
            linkAt={10}
          >
            <T size={13} tone={standing.tone}>
              {standing.says}
            </T>
          </Joined>
        </View>
      </Line>
    )
  })
}

/** What is planned, whether it is joined, and what was found. @param linkAt how far down the sign stands, px */
function Joined({
  planned,
  link,
  linkAt,
  children,
}: {
  planned: ReactNode
  link: Standing['link']
  linkAt: number
  children: ReactNode
}) {
  return (
    <View style={{ flexDirection: 'row', gap: 8 }}>
      <View style={{ flex: 1 }}>{planned}</View>
      <View style={{ width: 48, paddingTop: linkAt }}>
        <LinkSign link={link} />
      </View>
      <View style={{ flex: 1.1 }}>{children}</View>
    </View>
  )
}

/** Whether the two sides are joined: a line, a dashed line, a break with a block in it, two ends apart. */
function LinkSign({ link }: { link: Standing['link'] }) {
  const ground = useGround()
  const colour = { joined: ground.verdigris, working: ground.slate, fault: ground.madder, apart: ground.quiet }[link]
  return (
    <Svg width={48} height={24}>
      {link === 'joined' ? <SvgLine x1={0} y1={12} x2={48} y2={12} stroke={colour} strokeWidth={3} /> : null}
      {link === 'working' ? (
        <SvgLine x1={0} y1={12} x2={48} y2={12} stroke={colour} strokeWidth={3} strokeDasharray="6 4" />
      ) : null}
      {link === 'fault' ? (
        <>
          <SvgLine x1={0} y1={12} x2={13} y2={12} stroke={colour} strokeWidth={3} />
          <Rect x={13} y={2} width={22} height={20} fill="none" stroke={colour} strokeWidth={3} />
          <SvgLine x1={35} y1={12} x2={48} y2={12} stroke={colour} strokeWidth={3} />
          <SvgLine x1={24} y1={6} x2={24} y2={13} stroke={colour} strokeWidth={3} />
          <SvgLine x1={24} y1={16} x2={24} y2={18} stroke={colour} strokeWidth={3} />
        </>
      ) : null}
      {link === 'apart' ? (
        <>
          <SvgLine x1={0} y1={12} x2={14} y2={12} stroke={colour} strokeWidth={3} />
          <SvgLine x1={14} y1={5} x2={14} y2={19} stroke={colour} strokeWidth={3} />
          <SvgLine x1={34} y1={5} x2={34} y2={19} stroke={colour} strokeWidth={3} />
        </>
      ) : null}
    </Svg>
  )
}

function Loose({ found }: { found: Found }) {
  const facts = useFacts()
  const twin = controllersInOrder(facts).find((c) => c.serial !== '' && c.serial === found.serial)
  const fitting = controllersInOrder(facts).filter(
    (c) => !facts.reach[c.id]?.owned && (!found.model || c.sheet === found.model),
  )
  return (
    <View style={{ padding: 16, gap: 6 }}>
      <T face="mono">{`${found.serial || 'no serial'} · ${found.mac}`}</T>
      {twin ? (
        <Notice tone="madder">
          {`It says it is ${found.serial}, and so does ${twin.ref} at ${facts.reach[twin.id]?.address ?? twin.address}. One of the two is not. Compare both with their labels before you match.`}
        </Notice>
      ) : null}
      <T tone="quiet">{`${saidType(found.model, sheetsFor(facts)) || 'Unknown type'} at ${found.address}`}</T>
      {found.routable ? null : <T>{outOfReachWords(facts, found.address)}</T>}
      {fitting.map((c) => (
        <MatchAction key={c.id} found={found} controller={c} />
      ))}
      {fitting.length === 0 ? (
        <Action kind="plain" label="Plan a controller for it" onPress={() => router.push('/controllers/new')} />
      ) : null}
    </View>
  )
}

function MatchAction({ found, controller }: { found: Found; controller: Controller }) {
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Action
        kind="plain"
        label={`This is ${controller.ref}`}
        aside={controller.cabinet}
        onPress={() =>
          send('found.match', { found: found.id, controller: controller.id }).catch((e: unknown) => setWrong(saysOf(e)))
        }
      />
    </>
  )
}
