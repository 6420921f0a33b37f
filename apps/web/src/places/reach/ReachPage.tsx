import { BusReaderPage } from './BusReaderPage'
import { ClaimPage } from './ClaimPage'
import { deviceOfAddress, isPartAddress } from './deviceAddress'
import { RadioDevicePage } from './RadioDevicePage'
import { radioDeviceOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useFacts } from '../../state/job'

/** One device on its way into service: a controller, a reader on a bus, a hub or a wireless lock. */
export function ReachPage({ id }: { id: string }) {
  const facts = useFacts()
  if (!isPartAddress(id)) return <ClaimPage id={id} />
  return radioDeviceOf(facts, sheetsFor(facts), deviceOfAddress(id)) ? (
    <RadioDevicePage id={id} />
  ) : (
    <BusReaderPage id={id} />
  )
}
