import { plainWords, shape, type PartKind } from './kind'

/** A special day on a device that no schedule there uses: never wanted by itself, and taken away when it is loose. */
export const specialDaysKind: PartKind = {
  name: 'specialDays',
  schema: shape({ name: { type: 'string' } }),
  want: () => ({}),
  doorOf: () => null,
  group: 'Time',
  title: ({ token }) => `Special day ${token}`,
  summary: (value) => plainWords(value),
  field: (field, value) => ({ name: field, says: plainWords(value) }),
}
