import { busDeviceOf, busPlans, sheetOf, silentDevice, switchesFor, type BusDevice, type Claim } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Looking } from '../../parts/Looking'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { SwitchBank } from '../../signs/SwitchBank'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { Missing } from '../shell/Missing'
import { deviceOfAddress } from './deviceAddress'
import { busStandingOf, noticeTone, whoAnswers } from './standing'
import { WhichOne } from './WhichOne'
import { StepAction } from './StepAction'
import { StepList, type StepWords } from './StepList'

const stepWord: StepWords = {
  identity: 'Find it and read who it is',
  network: 'Address and speed',
  secret: 'A key of its own',
  joined: 'Encrypted to its controller',
  firmware: 'Firmware',
  ready: 'In service',
}

/** Taking a reader on a bus into service. @param address of the page: door and part */
export function BusReaderPage({ id: address }: { id: string }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const id = deviceOfAddress(address)
  const device = busDeviceOf(facts, sheetsFor(facts), id)
  if (!device) return <Missing what="reader on a bus" which={id} />
  const claim = facts.claim[id]
  const reach = facts.reach[id]
  const controller = facts.controller[device.controller]
  const standing = busStandingOf(facts, device)
  const failure = silentDevice(facts, id)
  // Where hands have to set its switches, how they stand comes first.
  const atSwitches = claim?.steps.some((s) => s.name === 'network' && s.state === 'waits') ?? false
  const known = !!claim?.onBus || !!reach
  const lamps = sheetOf(sheetsFor(facts), device.part.sheet).lamps ?? []
  return (
    <Screen
      mono={device.ref}
      title={device.sheet.name}
      under={`${controller?.ref ?? ''} ${device.port || 'on no bus yet'} · ${device.address === null ? 'no address yet' : `address ${device.address}`}${reach ? ` · ${reach.serial}` : ''}`}
      bar={canFit(me) ? <BusReaderBar device={device} claim={claim} /> : null}
    >
      <Notice tone={noticeTone(standing)}>{standing.says}</Notice>
      {failure ? <Looking facts={facts} failure={failure} /> : null}
      {claim && !atSwitches ? null : <BeforePower device={device} />}
      {claim ? <StepList claim={claim} words={stepWord} /> : null}
      {reach ? (
        <Sheet title="As it answers">
          <T face="mono">{reach.address}</T>
          <T>{whoAnswers(reach)}</T>
          <T tone={reach.onBus?.state === 'secured' ? 'ink' : 'madder'}>
            {reach.onBus?.state === 'secured'
              ? 'Encrypted under a key of its own, which this job keeps sealed.'
              : 'Not encrypted now.'}
          </T>
        </Sheet>
      ) : null}
      {claim && !atSwitches ? <BeforePower device={device} /> : null}
      {lamps.length ? (
        <Sheet title="Lamps and sounds">
          {lamps.map((l) => (
            <T key={l.lamp}>{`${l.lamp}: ${l.means}`}</T>
          ))}
        </Sheet>
      ) : null}
      {canFit(me) ? (
        <WhichOne
          device={id}
          says={
            known
              ? 'It flashes amber and beeps for five seconds.'
              : 'Once it is found it can be made to flash and beep.'
          }
          label={known ? 'Let it flash and beep' : ''}
        />
      ) : null}
    </Screen>
  )
}

/** How its switches and its terminator have to stand; looked at before it has power. */
function BeforePower({ device }: { device: BusDevice }) {
  const facts = useFacts()
  const { coding } = device.sheet
  const set = coding && device.address !== null ? switchesFor(coding, device.address) : null
  const end = busPlans(facts, sheetsFor(facts))
    .flatMap((p) => p.lines)
    .find((l) => l.door === device.door.id && l.part === device.part.id)?.terminator
  return (
    <Sheet title="Switches and terminator">
      {coding && set?.ok ? (
        <>
          <T face="mid">{`For address ${device.address}`}</T>
          <SwitchBank coding={coding} switches={set.switches} />
          <T>{set.words}</T>
        </>
      ) : (
        <T>
          {coding
            ? 'It has no address yet. Give it one under Addresses.'
            : 'It has no switches: its address is set from here.'}
        </T>
      )}
      {end ? (
        <T>{`Terminator, jumper ${end.jumper}: ${end.position}${end.position === end.factory ? ', as it comes' : `; it comes ${end.factory}`}.`}</T>
      ) : null}
    </Sheet>
  )
}

function BusReaderBar({ device, claim }: { device: BusDevice; claim: Claim | undefined }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const named = { door: device.door.id, part: device.part.id }
  const take = () =>
    send('busDevice.take', named)
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  const accept = () => send('busDevice.acceptFirmware', named).catch((e: unknown) => setWrong(saysOf(e)))
  const at = claim?.steps.find((s) => s.state !== 'done')
  const controller = facts.controller[device.controller]
  const bar = () => {
    if (controller && !facts.reach[controller.id]?.owned)
      return (
        <Action
          label={`Reach ${controller.ref} first`}
          aside="it speaks through it"
          onPress={() => router.push(`/reach/${controller.id}`)}
        />
      )
    if (device.address === null) return <Action label="Give it an address" onPress={() => router.push('/addresses')} />
    if (!claim) return <Action label="Take into service" onPress={take} />
    if (!at)
      return busStandingOf(facts, device).link === 'joined' ? (
        <Action
          label="Go to its door"
          aside={device.door.ref}
          onPress={() => router.push(`/doors/${device.door.id}`)}
        />
      ) : (
        <Action label="Take it into service again" onPress={take} />
      )
    return (
      <StepAction
        at={at}
        words={stepWord}
        firmware={facts.reach[device.id]?.firmware ?? ''}
        onAccept={accept}
        onGoOn={take}
      />
    )
  }
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {bar()}
    </>
  )
}
