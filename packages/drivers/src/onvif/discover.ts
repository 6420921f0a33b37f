import { randomUUID } from 'node:crypto'
import { probe, readDiscovery, scopeValue, type Announcement } from '@rauta/protocols'
import type { Dialer } from '../dialer'
import type { Heard } from '../driver'

function heard(dialer: Dialer, a: Announcement): Heard | null {
  const url = a.xaddrs[0]
  if (!url || !URL.canParse(url)) return null
  return {
    endpoint: a.endpoint.replace(/^urn:uuid:/, ''),
    ...dialer.siteOf(url),
    name: scopeValue(a.scopes, 'name'),
    model: scopeValue(a.scopes, 'hardware'),
    mac: scopeValue(a.scopes, 'MAC'),
    serial: scopeValue(a.scopes, 'serial'),
  }
}

function announcementIn(text: string): Announcement | null {
  try {
    const message = readDiscovery(text)
    return message.kind === 'match' || message.kind === 'hello' ? message.announcement : null
  } catch {
    return null // anybody may send anything to a multicast group
  }
}

/** Probes the segment twice (a datagram may be lost) and hands over each device once, until `signal` ends it. */
export async function searchSegment(
  dialer: Dialer,
  onDevice: (device: Heard) => void,
  signal: AbortSignal,
): Promise<void> {
  const seen = new Set<string>()
  const message = probe(`urn:uuid:${randomUUID()}`)
  const second = probe(`urn:uuid:${randomUUID()}`)
  await dialer.multicast(
    [message, second],
    (text) => {
      const announcement = announcementIn(text)
      const device = announcement && heard(dialer, announcement)
      if (!device || seen.has(device.endpoint)) return
      seen.add(device.endpoint)
      onDevice(device)
    },
    signal,
  )
}

/** Hands over devices that say hello by themselves. */
export async function listenForHello(
  dialer: Dialer,
  onDevice: (device: Heard) => void,
  signal: AbortSignal,
): Promise<void> {
  await dialer.listen((text) => {
    const announcement = announcementIn(text)
    const device = announcement && heard(dialer, announcement)
    if (device) onDevice(device)
  }, signal)
}
