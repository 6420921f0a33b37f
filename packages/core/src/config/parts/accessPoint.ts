import { accessPlaces, accessPointToken } from '../../doors/accesspoints'
import type { Json } from '../records'
import { asObject, fieldName, plainWords, shape, type PartKind } from './kind'

const text = { type: 'string' }
const names: Readonly<Record<string, string>> = { door: 'Door', name: 'Name', from: 'Leads from', to: 'Leads to' }
/** The door that an access point passes, by its value. */
export const doorNamed = (value: Json | undefined): string => plainWords(asObject(value)['door'])
const readerOf = (token: string) => token.split('.').at(-1) ?? ''

/** A place at which somebody asks to pass, and from where to where it leads. */
export const accessPointKind: PartKind = {
  name: 'accessPoint',
  schema: shape({ door: text, name: text, from: text, to: text }),
  want: ({ doors, sheets }) =>
    Object.fromEntries(
      doors.flatMap((door) =>
        accessPlaces(door, sheets).map(({ part, leaving }) => {
          const [from, to] = leaving ? [door.to, door.from] : [door.from, door.to]
          return [accessPointToken(door, part.id), { door: door.id, name: `${door.ref} ${part.id}`, from, to }]
        }),
      ),
    ),
  doorOf: (token) => token.slice(0, Math.max(0, token.lastIndexOf('.'))) || null,
  /** Whatever it is called, it passes the door that it names. */
  touches:
    (door) =>
    ({ held, wanted }) =>
      doorNamed(held) === door || doorNamed(wanted) === door,
  group: 'Doors',
  title: ({ token }) => `Reader ${readerOf(token)}`,
  summary: (value) => plainWords(asObject(value)['name']),
  field: (field, value, _other, facts) => ({
    name: fieldName(names, field),
    says:
      field === 'from' || field === 'to'
        ? (facts.area[plainWords(value)]?.name ?? plainWords(value))
        : plainWords(value),
  }),
}
