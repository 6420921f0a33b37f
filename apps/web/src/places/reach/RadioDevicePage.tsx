import { radioDeviceOf, radioDeviceStanding, type Claim, type RadioDevice } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { Missing } from '../shell/Missing'
import { addressOfDevice, deviceOfAddress } from './deviceAddress'
import { noticeTone, radioStandingOf, whoAnswers } from './standing'
import { WhichOne } from './WhichOne'
import { StepAction } from './StepAction'
import { StepList, type StepWords } from './StepList'

const stepWord: StepWords = {
  identity: 'Find it behind its controller',
  secret: 'The radio key of this job',
  paired: 'Set-up card at the lock',
  joined: 'Heard by its hub',
  firmware: 'Firmware',
  ready: 'In service',
}

const whereWords = (device: RadioDevice): string => {
  if (device.kind === 'hub')
    return device.controller ? `behind ${device.controller.ref}, address ${device.address}` : 'on no controller yet'
  return device.hub ? `${device.hub.ref}, place ${device.place}` : 'at no hub yet'
}

/** Taking a hub or a wireless lock into service. @param address of the page: door and part, or `unit` and hub */
export function RadioDevicePage({ id: address }: { id: string }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const id = deviceOfAddress(address)
  const device = radioDeviceOf(facts, sheetsFor(facts), id)
  if (!device) return <Missing what="hub or wireless lock" which={id} />
  const claim = facts.claim[id]
  const reach = facts.reach[id]
  const standing = radioStandingOf(facts, device)
  const seen = reach?.byRadio
  const { lamps = [] } = device.sheet
  return (
    <Screen
      mono={device.ref}
      title={device.sheet.name}
      under={`${whereWords(device)}${reach ? ` · ${reach.serial}` : ''}`}
      bar={canFit(me) ? <RadioBar device={device} claim={claim} /> : null}
    >
      <Notice tone={noticeTone(standing)}>{standing.says}</Notice>
      {claim ? <StepList claim={claim} words={stepWord} /> : <Before device={device} />}
      {reach ? (
        <Sheet title="As it answers">
          <T face="mono">{reach.address}</T>
          <T>{whoAnswers(reach)}</T>
          {seen?.signal === undefined ? null : (
            <T>{`${seen.signal} dBm at its hub, battery ${seen.batteryLow ? 'low' : 'good'}`}</T>
          )}
        </Sheet>
      ) : null}
      {lamps.length ? (
        <Sheet title="Lamps and sounds">
          {lamps.map((l) => (
            <T key={l.lamp}>{`${l.lamp}: ${l.means}`}</T>
          ))}
        </Sheet>
      ) : null}
      {device.kind === 'hub' && device.controller && canFit(me) ? (
        <WhichOne device={device.id} says="Its lamp flashes." label="Let it flash" />
      ) : null}
    </Screen>
  )
}

function Before({ device }: { device: RadioDevice }) {
  return (
    <Sheet title="Before you begin">
      <T>
        {device.kind === 'hub'
          ? 'It has its power and its bus, and its switches stand for its address. It is given the radio key of this job, which nobody sees.'
          : 'The lock is on its leaf and has its cells. Have the set-up card in hand: its hub waits three minutes for it.'}
      </T>
    </Sheet>
  )
}

function RadioBar({ device, claim }: { device: RadioDevice; claim: Claim | undefined }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const tell = (sent: Promise<unknown>) => sent.then(() => setWrong('')).catch((e: unknown) => setWrong(saysOf(e)))
  const take = () => tell(send('radioDevice.take', { device: device.id }))
  const at = claim?.steps.find((s) => s.state !== 'done')
  const { controller } = device
  const hub = device.kind === 'lock' ? device.hub : null
  const bar = () => {
    if (!controller || (device.kind === 'lock' && !hub))
      return <Action label="Plan its hub" onPress={() => router.push('/radio')} />
    if (!facts.reach[controller.id]?.owned)
      return (
        <Action
          label={`Reach ${controller.ref} first`}
          aside="it speaks through it"
          onPress={() => router.push(`/reach/${controller.id}`)}
        />
      )
    if (hub && !facts.reach[hub.id]?.owned)
      return (
        <Action
          label={`Reach ${hub.ref} first`}
          aside="it speaks through it"
          onPress={() => router.push(`/reach/${addressOfDevice(hub.id)}`)}
        />
      )
    if (!claim)
      return <Action label={device.kind === 'lock' ? 'Wait for its set-up card' : 'Take into service'} onPress={take} />
    if (!at) {
      if (radioDeviceStanding(facts, device, sheetsFor(facts)).sign === 'stale')
        return <Action label="Take it into service again" onPress={take} />
      return device.kind === 'lock' ? (
        <Action
          label="Go to its door"
          aside={device.door.ref}
          onPress={() => router.push(`/doors/${device.door.id}`)}
        />
      ) : (
        <Action label="Hubs and locks" onPress={() => router.push('/radio')} />
      )
    }
    return (
      <StepAction
        at={at}
        words={stepWord}
        firmware={facts.reach[device.id]?.firmware ?? ''}
        onAccept={() => tell(send('radioDevice.acceptFirmware', { device: device.id }))}
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
