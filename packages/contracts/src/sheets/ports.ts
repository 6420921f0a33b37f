import { isKind, type DeviceSheet } from '@rauta/core'

type Ports = Pick<DeviceSheet, 'listens' | 'calls'>
const tcp = (port: number, protocol: string) => ({ transport: 'tcp' as const, port, protocol })
const udp = (port: number, protocol: string) => ({ transport: 'udp' as const, port, protocol })

const onvif = [tcp(80, 'ONVIF over HTTP'), tcp(443, 'ONVIF over HTTPS')]
/** Signalling, on its registered port. */
const sip = { ...udp(5060, 'SIP, RFC 3261'), whom: 'Call exchange' }

/** What the invented types listen on and whom they call. */
function portsOf(sheet: DeviceSheet): Ports {
  if (sheet.kind === 'controller') return { listens: onvif }
  if (sheet.kind === 'station') return { listens: [...onvif, udp(5060, 'SIP, RFC 3261')], calls: [sip] }
  if (sheet.controller) return { listens: onvif }
  if (sheet.kind === 'hub' || sheet.reading?.by === 'network') return { listens: [tcp(80, 'its own page over HTTP')] }
  return {}
}

/** A sheet with its ports on the network. A module has none: it is reached through its head unit. */
export const withPorts = (sheet: DeviceSheet): DeviceSheet =>
  isKind(sheet, 'module') ? sheet : { ...sheet, ...portsOf(sheet) }
