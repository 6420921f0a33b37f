import type { Mutant } from './list'

const core = 'packages/core/src'
const rights = 'contracts/test/rights'

/** Whom a rule lets pass, where, and until when: in the job, in a device, and at its door. */
export const rightMutants: readonly Mutant[] = [
  {
    name: 'rights: somebody’s own right lets everybody pass',
    file: `${core}/access/rights.ts`,
    find: 'const ofPerson = (id: string): string => `person ${id}`',
    put: "const ofPerson = (_id: string): string => 'person'",
    tests: rights,
  },
  {
    name: 'rights: a rule forgets its sets of doors',
    file: `${core}/access/rights.ts`,
    find: '...rule.sets.flatMap((set) => facts.doorSet[set]?.doors ?? [])',
    put: '',
    tests: rights,
  },
  {
    name: 'rights: one that ended still counts',
    file: `${core}/access/decide.ts`,
    find: "everyRule.filter((rule) => ruleValidAt(facts, rule, atMs) === 'valid')",
    put: "everyRule.filter((rule) => ruleValidAt(facts, rule, atMs) !== 'notYet')",
    tests: rights,
  },
  {
    name: 'rights: one that is to come counts already',
    file: `${core}/access/decide.ts`,
    find: "everyRule.filter((rule) => ruleValidAt(facts, rule, atMs) === 'valid')",
    put: "everyRule.filter((rule) => ruleValidAt(facts, rule, atMs) !== 'expired')",
    tests: rights,
  },
  {
    name: 'rights: one that ends stands with the group for good',
    file: `${core}/access/rights.ts`,
    find: 'rule.group !== undefined && !isLimited(rule) ?',
    put: 'rule.group !== undefined ?',
    tests: rights,
  },
  {
    name: 'rights: the device is not told of the end',
    file: `${core}/config/parts/credential.ts`,
    find: '...limits(ruleValidity(facts, r))',
    put: '',
    tests: rights,
  },
  {
    name: 'rights: a device that can’t end a right is told of it',
    file: `${core}/config/parts/rules.ts`,
    find: '(!isLimited(rule) || board.controller?.limitedRights === true)',
    put: 'true',
    tests: rights,
  },
  {
    name: 'rights: a door whose device can’t end a right is not stopped',
    file: `${core}/config/rightLimits.ts`,
    find: 'board.controller?.limitedRights',
    put: 'true',
    tests: rights,
  },
  {
    name: 'rights: what ends is not proved at its door',
    file: `${core}/proving/script.ts`,
    find: 'board.controller?.limitedRights && hasLimitedRights(facts, door)',
    put: 'false',
    tests: rights,
  },
  {
    name: 'rights: a stranger’s right with an end is not seen',
    file: `${core}/config/parts/credential.ts`,
    find: "...limitedIn(limited).map((l) => plainWords(l['profile'])),",
    put: '',
    tests: 'contracts/test/(rights|foreign)',
  },
  {
    name: 'rights: they stay when the person goes',
    file: 'packages/contracts/src/commands/people.ts',
    find: '...withRules(facts, (r) => r.person === p.id), ',
    put: '',
    tests: 'contracts/test/(rights|removal)',
  },
  {
    name: 'rights: a group may bear the name of one',
    file: 'packages/contracts/src/commands/rights.ts',
    find: 'group.startsWith(ownProfile) ?',
    put: 'group === ownProfile ?',
    tests: rights,
  },
  {
    name: 'rights: a set goes while a rule names it',
    file: 'packages/contracts/src/commands/rights.ts',
    find: 'if (first) throw new Refusal(`${set.name} stays',
    put: 'if (!set) throw new Refusal(`${set} stays',
    tests: rights,
  },
  {
    name: 'rights: a cell takes a door that a set passes',
    file: 'packages/contracts/src/commands/accessCell.ts',
    find: 'if (bySet) {',
    put: 'if (bySet && p.group === p.door) {',
    tests: rights,
  },
  {
    name: 'rights: a device obeys no end',
    file: 'packages/standins/src/device/doors.ts',
    find: '(!p.validTo || now < Date.parse(p.validTo))',
    put: 'true',
    tests: 'standins/test/firmware',
  },
  {
    name: 'rights: what a device holds of somebody’s own right becomes a group of the list',
    file: `${core}/peoplelist/held.ts`,
    find: ' && !token.startsWith(ownProfile)',
    put: '',
    tests: 'contracts/test/rights',
  },
]
