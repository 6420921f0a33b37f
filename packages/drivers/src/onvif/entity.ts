import { el, elements, textOf, type EntityCodec } from '@rauta/protocols'
import { FaultError, type OnvifSession } from './session'

/** Every record of a kind that a device keeps, page by page. */
export async function list<T extends { token: string }>(
  session: OnvifSession,
  codec: EntityCodec<T>,
  element = codec.name,
): Promise<T[]> {
  const found: T[] = []
  let start = ''
  do {
    const body = await session.call(
      codec.service,
      el(`${codec.service}:${codec.list}`, start ? el(`${codec.service}:StartReference`, start) : null),
    )
    found.push(...elements(body, element).map(codec.read))
    start = textOf(body, 'NextStartReference')
  } while (start)
  return found
}

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
