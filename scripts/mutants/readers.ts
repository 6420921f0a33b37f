import type { Mutant } from './list'

const core = 'packages/core/src'

/** How readers send: orders, formats by fields, and what the detective is certain of. */
export const readerMutants: readonly Mutant[] = [
  {
    name: 'readers: certain with others left',
    file: `${core}/cards/detection.ts`,
    find: 'others.length > 0 ||',
    put: '',
    tests: 'core/test/detection',
  },
  {
    name: 'readers: certain of a facility that nobody told',
    file: `${core}/cards/detection.ts`,
    find: 'if (!shown.some((s) => tellsAll(s, first)))',
    put: 'if (false)',
    tests: 'core/test/detection',
  },
  {
    name: 'readers: certain of a part of a longer format',
    file: `${core}/cards/detection.ts`,
    find: "by === 'cut' ||",
    put: '',
    tests: 'core/test/detection',
  },
  {
    name: 'readers: parity is not looked at',
    file: `${core}/cards/detection.ts`,
    find: 'if (!read?.parity) return []',
    put: 'if (!read) return []',
    tests: 'core/test/detection',
  },
  {
    name: 'readers: bytes keep their order',
    file: `${core}/cards/orders.ts`,
    find: 'bytes.reverse().flat()',
    put: 'bytes.flat()',
    tests: 'core/test/detection',
  },
  {
    name: 'readers: a number too wide for what it is kept as is cut',
    file: `${core}/cards/sending.ts`,
    find: 'number >= 1n << BigInt(kept.number.length)',
    put: 'number < 0n',
    tests: 'core/test/detection|contracts/test/formats',
  },
  {
    name: 'readers: a facility too wide for what it is kept as is let in',
    file: `${core}/cards/sending.ts`,
    find: 'if (kept.facility && (facility ?? 0) >= 2 ** kept.facility.length) return null',
    put: '',
    tests: 'core/test/detection|contracts/test/formats',
  },
  {
    name: 'readers: a read with wrong parity is a card',
    file: `${core}/cards/sending.ts`,
    find: 'return read?.parity ? storedOf(format, read) : null',
    put: 'return read ? storedOf(format, read) : null',
    tests: 'core/test/detection|contracts/test/formats|standins/test',
  },
  {
    name: 'readers: the order is not told',
    file: `${core}/config/parts/terminals.ts`,
    find: '...(p.order === undefined ? {} : { order: p.order }),',
    put: '',
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: an order that the controller lacks is let through',
    file: `${core}/wiring/points.ts`,
    find: 'if (order && !bitOrders.includes(order))',
    put: 'if (false)',
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: a format that the controller can’t be told is let through',
    file: `${core}/wiring/points.ts`,
    find: 'if (sends.keeps !== undefined && !ownFormats)',
    put: 'if (false)',
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: a changed format leaves its proofs as they are',
    file: `${core}/proving/script.ts`,
    find: 'return sends === undefined ? value : { value, sends }',
    put: 'return value',
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: more formats than a controller holds',
    file: `${core}/config/formatLimits.ts`,
    find: 'return has > most',
    put: 'return has > most + 1',
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: a format goes while a reader is set to it',
    file: 'packages/contracts/src/commands/readers.ts',
    find: 'if (readers.length)',
    put: 'if (readers.length > 99)',
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: cards that somebody carries are kept anew',
    file: `${core}/access/readsAt.ts`,
    find: "holdingOf(facts, stored).of !== 'nobody'",
    put: "holdingOf(facts, stored).of === 'test'",
    tests: 'contracts/test/formats',
  },
  {
    name: 'readers: a device forgets that a reader is set to a format',
    file: 'packages/standins/src/device/services.ts',
    find: 'if (token && used.includes(token))',
    put: 'if (false)',
    tests: 'standins/test/limits',
  },
]
