import type { Mutant } from './list'

const core = 'packages/core/src'
const codes = 'contracts/test/codes'
const firmware = 'standins/test/firmware'

/** Codes at a keypad: who has which, what a device is told, what is proved; and when nothing was missed. */
export const codeMutants: readonly Mutant[] = [
  {
    name: 'codes: runs over nought are codes',
    file: `${core}/access/codes.ts`,
    find: '(Number(d) - Number(code[i]) + 10) % 10',
    put: 'Number(d) - Number(code[i])',
    tests: codes,
  },
  {
    name: 'codes: a code under duress may stand twice',
    file: `${core}/access/codes.ts`,
    find: '...of(p.duress, p.id, `${p.number} ${p.name}`, true),',
    put: '',
    tests: codes,
  },
  {
    name: 'codes: one person’s two codes may be the same',
    file: 'packages/contracts/src/commands/codes.ts',
    find: "[...others, { code, person: id, name: 'the same person', duress: false }]",
    put: 'others',
    tests: codes,
  },
  {
    name: 'codes: a device is told codes that none of its doors asks for',
    file: `${core}/config/parts/credential.ts`,
    find: "withCards: asked.includes('with')",
    put: 'withCards: true',
    tests: codes,
  },
  {
    name: 'codes: a code alone is told to nobody',
    file: `${core}/config/parts/credential.ts`,
    find: "asked.includes('instead') || asked.includes('alone')",
    put: "asked.includes('instead')",
    tests: codes,
  },
  {
    name: 'codes: whoever has no code passes with the card',
    file: `${core}/access/decide.ts`,
    find: "if (open && door.behaviour.code === 'with' && person.code === undefined) return noCode(person, door)",
    put: '',
    tests: codes,
  },
  {
    name: 'codes: keys that nothing asks for stop no door',
    file: `${core}/doors/contradictions.ts`,
    find: '.filter((p) => p.keys && !p.cards)\n      .map(',
    put: '.filter((p) => p.keys && p.cards)\n      .map(',
    tests: codes,
  },
  {
    name: 'codes: a reader without keys stops no door that asks for both',
    file: `${core}/doors/contradictions.ts`,
    find: "code === 'with' && p.keys && !p.cards",
    put: "code === 'alone' && p.keys && p.cards",
    tests: codes,
  },
  {
    name: 'codes: a keypad that lets out counts as proved',
    file: `${core}/doors/accesspoints.ts`,
    find: 'cards || (keys && !leaving)',
    put: 'cards || keys',
    tests: 'contracts/test/functions',
  },
  {
    name: 'codes: what was proved with no code counts with one',
    file: `${core}/proving/tests.ts`,
    find: "...test.depends, 'behaviour.code'",
    put: '...test.depends',
    tests: codes,
  },
  {
    name: 'codes: duress passes untold',
    file: `${core}/proving/behaviourRules.ts`,
    find: "if (!told) return waiting('Let in. Waiting for the controller to tell of the duress.', [granted])",
    put: "if (!told) return passed('', [granted])",
    tests: codes,
  },
  {
    name: 'codes: a loud alarm is no fault under duress',
    file: `${core}/proving/behaviourRules.ts`,
    find: "const loud = find(own, 'alarm', 'forced') ?? find(own, 'alarm', 'heldOpen')",
    put: 'const loud = undefined',
    tests: codes,
  },
  {
    name: 'codes: the firmware takes any code with a card',
    file: 'packages/standins/src/device/doors.ts',
    find: 'typed !== credential.code && typed !== credential.duress',
    put: "typed === ''",
    tests: firmware,
  },
  {
    name: 'codes: a second reader without keys is overlooked',
    file: `${core}/doors/contradictions.ts`,
    find: "code === 'with' && p.cards && !p.keys",
    put: 'p.cards && p.leaving',
    tests: codes,
  },
  {
    name: 'codes: a preview shows them',
    file: `${core}/config/parts/credential.ts`,
    find: "if (field === 'code' || field === 'duress') return",
    put: "if (field === '') return",
    tests: codes,
  },
  {
    name: 'proving: what was heard before a test began is its evidence',
    file: `${core}/proving/judge.ts`,
    find: 'event.received >= startedAt && ',
    put: '',
    tests: codes,
  },
  {
    name: 'gaps: a number that is still awaited shows nothing',
    file: 'apps/server/src/live/gap.ts',
    find: '&& known && this.awaited.size === 0',
    put: '&& known',
    tests: 'server/test/tally',
    wire: true,
  },
  {
    name: 'gaps: another start of the device goes on',
    file: 'apps/server/src/live/gap.ts',
    find: "boot !== '' && boot === this.boot",
    put: "boot !== ''",
    tests: 'server/test/tally',
    wire: true,
  },
  {
    name: 'patience: time in which this computer stood still counts whole',
    file: 'packages/drivers/src/patience.ts',
    find: 'stoodStill ? pieceMs / 4 : piece',
    put: 'performance.now() - from',
    tests: 'drivers/test/patience',
  },
]
