import type { Mutant } from './list'

const core = 'packages/core/src'
const tests = 'contracts/test/radio'

/** Wireless locks: where they are, what they are told, what proves them, what is believed of them. */
export const radioMutants: readonly Mutant[] = [
  {
    name: 'radio: a lock at no hub stops nothing',
    file: `${core}/marks/marks.ts`,
    find: "'no-bus-address', 'no-hub'])\n\n/** A part that is wired",
    put: "'no-bus-address'])\n\n/** A part that is wired",
    tests,
  },
  {
    name: 'radio: two locks in one place are taken for one',
    file: `${core}/radio/findings.ts`,
    find: 'radio?.hub === hub.unit.id && radio.place === place',
    put: 'radio?.hub === hub.unit.id && radio.place !== place',
    tests,
  },
  {
    name: 'radio: a lock may stand open for lack of radio',
    file: `${core}/radio/findings.ts`,
    find: "door.decides?.then === 'opens'",
    put: "door.decides?.then === 'never'",
    tests,
  },
  {
    name: 'radio: the standby credential is kept where nobody shall come in',
    file: `${core}/config/parts/radio.ts`,
    find: "!= null && door.decides?.then !== 'staysShut'",
    put: '!= null',
    tests,
  },
  {
    name: 'radio: what was sent before counts as what is wanted now',
    file: `${core}/config/parts/radio.ts`,
    find: 'sent !== undefined && sameJson(',
    put: 'sent !== undefined || sameJson(',
    tests,
  },
  {
    name: 'radio: a lock in another place is the same',
    file: `${core}/marks/radioReach.ts`,
    find: '(seen.place ?? null) !== (planned.place ?? null)',
    put: 'false',
    tests,
  },
  {
    name: 'radio: another lock in its place is the same',
    file: `${core}/marks/radioReach.ts`,
    find: 'if (seen.serial !== reach.serial)',
    put: 'if (seen.serial === undefined)',
    tests,
  },
  {
    name: 'radio: a hub with another key is reached',
    file: `${core}/marks/radioReach.ts`,
    find: "seen.state === 'otherKey'",
    put: "seen.state === 'silent'",
    tests,
  },
  {
    name: 'radio: a weak signal is good enough',
    file: `${core}/marks/radioReach.ts`,
    find: 'seen.signal < least',
    put: 'seen.signal > least + 200',
    tests,
  },
  {
    name: 'radio: somebody signs behind a hub with another key',
    file: `${core}/marks/reach.ts`,
    find: "new Set(['joined', 'silent'])",
    put: "new Set(['joined', 'silent', 'otherKey', 'noKey'])",
    tests,
  },
  {
    name: 'radio: without radio the card may open',
    file: `${core}/proving/radioRules.ts`,
    find: "e.state === 'standby' && e.card !== kind.standby",
    put: "e.state === 'standby' && e.card === 'nothing'",
    tests,
  },
  {
    name: 'radio: a test with the hub on passes',
    file: `${core}/proving/radioRules.ts`,
    find: 'if (online)',
    put: 'if (!online && own.length < 0)',
    tests,
  },
  {
    name: 'radio: the standby credential alone passes',
    file: `${core}/proving/radioRules.ts`,
    find: 'if (opened && refused)',
    put: 'if (opened)',
    tests,
  },
  {
    name: 'radio: a full hub takes another',
    file: `${core}/radio/spread.ts`,
    find: 'room(hub) > 0',
    put: 'room(hub) >= 0',
    tests,
  },
  {
    name: 'radio: two hubs at one address',
    file: 'packages/contracts/src/commands/devices.ts',
    find: 'h.unit === unit || h.address === address',
    put: 'h.unit === unit',
    tests,
  },
  {
    name: 'radio: a person may have the standby credential',
    file: `${core}/radio/records.ts`,
    find: '!!standby && sameCard(standby, card)',
    put: '!!standby && !sameCard(standby, card) && false',
    tests,
  },
  {
    name: 'radio: whoever lives without radio is let in',
    file: `${core}/supplies/release.ts`,
    find: "door.decides?.then === 'staysShut' ? 'nobody gets in'",
    put: "door.decides?.then === 'opens' ? 'nobody gets in'",
    tests,
  },
  {
    name: 'radio: what waits at doors was never loaded',
    file: `${core}/config/loads.ts`,
    find: "load?.state === 'held' || load?.state === 'atDoors'",
    put: "load?.state === 'held'",
    tests,
  },
]
