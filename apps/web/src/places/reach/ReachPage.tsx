import { BusReaderPage } from './BusReaderPage'
import { ClaimPage } from './ClaimPage'
import { isPartAddress } from './deviceAddress'

/** One device on its way into service: a controller, or a reader on a bus. */
export const ReachPage = ({ id }: { id: string }) =>
  isPartAddress(id) ? <BusReaderPage id={id} /> : <ClaimPage id={id} />
