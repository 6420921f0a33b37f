import { el, elements, textOf, type Element, type EntityCodec } from '@rauta/protocols'
import { DeviceError } from '../errors'
import { FaultError, type OnvifSession } from './session'

/** A device that has more of one kind than this is not believed; nor is one that turns its pages without end. */
const most = { records: 100_000, pages: 5_000 }

/**
 * What a device lists, page by page.
 * @param records is shown each page, and says how many records it holds
 * @throws DeviceError `endless` where the pages do not come to an end
 */
export async function pages(
  session: OnvifSession,
  { service, list: name }: { service: EntityCodec<never>['service']; list: string },
  records: (page: Element) => number,
): Promise<void> {
  const turned = new Set<string>()
  let total = 0
  let start = ''
  do {
    const body = await session.call(
      service,
      el(`${service}:${name}`, start ? el(`${service}:StartReference`, start) : null),
    )
    const held = records(body)
    total += held
    start = textOf(body, 'NextStartReference')
    if (start && (held === 0 || turned.has(start) || total > most.records || turned.size >= most.pages))
      throw new DeviceError('endless', `Its list ${name.replace(/^Get|List$/g, '')} does not come to an end.`)
    turned.add(start)
  } while (start)
}

/** Every record of a kind that a device keeps. @throws DeviceError */
export async function list<T extends { token: string }>(
  session: OnvifSession,
  codec: EntityCodec<T>,
  element = codec.name,
): Promise<T[]> {
  const found: T[] = []
  await pages(session, codec, (page) => {
    const records = elements(page, element).map(codec.read)
    for (const record of records) found.push(record)
    return records.length
  })
  return found
}

/** A list of an extension; empty where the device does not know of such a thing. */
export const listIfKnown = <T>(listed: () => Promise<T[]>): Promise<T[]> =>
  listed().catch((error: unknown) => {
    if (error instanceof FaultError && error.subcode.endsWith('ActionNotSupported')) return []
    throw error
  })

export const set = <T extends { token: string }>(session: OnvifSession, codec: EntityCodec<T>, value: T) =>
  session.call(codec.service, el(`${codec.service}:Set${codec.name.replace(/Data$/, '')}`, codec.write(value)))

/** Removes a record; one that is not there is no error, since it may be a repeat. */
export async function remove(
  session: OnvifSession,
  codec: { service: EntityCodec<never>['service']; name: string },
  token: string,
): Promise<void> {
  const request = el(`${codec.service}:Delete${codec.name.replace(/Data$/, '')}`, el(`${codec.service}:Token`, token))
  await session.call(codec.service, request).catch((error: unknown) => {
    if (!(error instanceof FaultError) || !error.subcode.endsWith('NotFound')) throw error
  })
}
