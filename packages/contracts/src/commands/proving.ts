import {
  isEarned,
  all,
  answersLook,
  chainHead,
  drop,
  failureNamed,
  lookedId,
  marksOf,
  modeWords,
  needsReady,
  openSnags,
  put,
  signBasis,
  standings,
  testCardsHeld,
  testCardsOpen,
  testDigest,
  toldDuring,
  touching,
  workedConfigs,
  type Change,
  type Door,
  type Facts,
  type Proof,
  type ProofVerdict,
  type Sheets,
  type Signature,
  type Snag,
} from '@rauta/core'
import {
  defineCommand,
  everyFitter,
  existing,
  flag,
  id,
  name,
  object,
  Refusal,
  text,
  type CommandContext,
} from './command'

function testOf(facts: Facts, door: Door, sheets: Sheets, test: string) {
  const worked = workedConfigs(facts, sheets)(door.placement?.controller ?? '')
  const standing = existing(
    standings(facts, door, sheets, worked.wanted, worked.held).find((s) => s.test.id === test),
    'test',
    test,
  )
  return { ...standing, worked }
}

/** The records that a result makes: the proof, the end of the trial, and the snag that a failure opens or a pass closes. */
export function proofChanges(
  facts: Facts,
  door: Door,
  test: string,
  result: { verdict: ProofVerdict; says: string; evidence: unknown[] },
  context: CommandContext,
): Change[] {
  const { test: what, worked } = testOf(facts, door, context.sheets, test)
  const proof: Proof = {
    id: context.id,
    door: door.id,
    test,
    ...result,
    digest: testDigest(facts, door, what, worked.held),
    by: context.by,
    at: context.at,
  }
  return [
    put(facts, 'proof', proof),
    ...drop(facts, 'trial', door.id),
    ...snagChanges(facts, door, test, what.title, proof),
  ]
}

function snagChanges(facts: Facts, door: Door, test: string, title: string, proof: Proof): Change[] {
  const open = openSnags(facts, door.id).filter((s) => s.test === test)
  if (proof.verdict === 'passed') return open.map((s) => put(facts, 'snag', { ...s, closedAt: proof.at }))
  if (proof.verdict !== 'failed' || open.length) return []
  return [
    put(facts, 'snag', {
      id: `${proof.id}-s`,
      door: door.id,
      test,
      says: `${title}: ${proof.says}`,
      owner: proof.by,
      openedAt: proof.at,
      closedAt: null,
    }),
  ]
}

export const trialStart = defineCommand<{ door: string; test: string }>()({
  name: 'trial.start',
  live: true,
  roles: everyFitter,
  schema: object({ door: id, test: id }),
  apply(facts, p, { by, at, sheets }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    const controller = facts.controller[door.placement?.controller ?? '']
    const reach = facts.reach[controller?.id ?? '']
    if (!controller || !reach) throw new Refusal(`${door.ref} cannot be tested yet: its controller is not in service.`)
    if (reach.silentMs > 0)
      throw new Refusal(`${controller.ref} does not answer, so nothing at this door would be seen. ${reach.says}`)
    const running = facts.trial[door.id]
    if (running && running.by !== by) throw new Refusal(`${running.by} is testing ${door.ref} now.`)
    const standing = facts.doorMode[door.id]
    if (standing)
      throw new Refusal(`${door.ref} stands ${modeWords[standing.mode]}: bring it back to its settings, then test.`)
    const { test, worked } = testOf(facts, door, sheets, p.test)
    if (test.notApplicable) throw new Refusal(`Not applicable: ${test.notApplicable}`)
    const needsLoad = test.judge.kind !== 'beforeLoad'
    if (needsLoad && touching(worked.differences(), door.id, worked.held, worked.wanted).length)
      throw new Refusal(`${controller.ref} does not hold what the job wants of this door. Load it, then test.`)
    if (test.cards.length && door.testCardsOff)
      throw new Refusal('The test cards were taken off this door. Put them on again and load.')
    if (test.cards.length && needsLoad && !testCardsHeld(worked.held, worked.wanted))
      throw new Refusal(`${controller.ref} does not hold the test cards yet. Load it, then test.`)
    const waits = needsReady(test) ? { waits: true as const } : {}
    return [put(facts, 'trial', { id: door.id, test: p.test, startedAt: at, by, boot: reach.boot, ...waits })]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? ''}: began ${p.test}`,
})

export const trialAnswer = defineCommand<{
  door: string
  test: string
  answer: 'passed' | 'failed' | 'skipped' | 'stop'
  says: string
}>()({
  name: 'trial.answer',
  live: true,
  roles: everyFitter,
  schema: object({ door: id, test: id, answer: { enum: ['passed', 'failed', 'skipped', 'stop'] }, says: text }),
  apply(facts, p, context) {
    const door = existing(facts.door[p.door], 'door', p.door)
    const trial = facts.trial[door.id]
    if (!trial || trial.test !== p.test) throw new Refusal('This test is not running any more.')
    if (trial.by !== context.by && !(p.answer === 'stop' && context.role === 'lead'))
      throw new Refusal(`${trial.by} runs this test. Only ${trial.by} answers it; a lead may stop it.`)
    if (p.answer === 'stop') return drop(facts, 'trial', door.id)
    const { test } = testOf(facts, door, context.sheets, p.test)
    if (p.answer === 'passed' && !test.ask)
      throw new Refusal('This verdict comes from the device’s events, not from a person.')
    if (p.answer !== 'passed' && !p.says.trim()) throw new Refusal('Say in a few words what happened.', 'says')
    return proofChanges(
      facts,
      door,
      p.test,
      {
        verdict: p.answer,
        says: p.says || 'Seen by the engineer.',
        evidence: [
          { answered: p.answer, by: context.by, at: context.at },
          ...(p.answer === 'failed' ? toldDuring(facts, trial) : []),
        ],
      },
      context,
    )
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? ''} ${p.test}: ${p.answer}`,
})

export const snagSet = defineCommand<{ id: string; door: string; says: string; owner: string; closed: boolean }>()({
  name: 'snag.set',
  roles: everyFitter,
  schema: object({ id, door: id, says: name, owner: text, closed: flag }),
  apply(facts, p, { at }) {
    existing(facts.door[p.door], 'door', p.door)
    const before = facts.snag[p.id]
    const snag: Snag = {
      id: p.id,
      door: p.door,
      test: before?.test ?? '',
      says: p.says,
      owner: p.owner,
      openedAt: before?.openedAt ?? at,
      closedAt: p.closed ? (before?.closedAt ?? at) : null,
    }
    return [put(facts, 'snag', snag)]
  },
  words: (f, p) => `Snag at ${f.door[p.door]?.ref ?? ''}: ${p.says}`,
})

/** What somebody saw who looked into a failure: an answer to one of its looks, or none any more. */
export const lookAnswer = defineCommand<{ failure: string; look: string; answer: string }>()({
  name: 'look.answer',
  roles: everyFitter,
  schema: object({ failure: name, look: id, answer: { type: 'string', maxLength: 40 } }),
  apply(facts, p, { by, at, sheets }) {
    const failure = failureNamed(facts, p.failure, sheets)
    const kept = lookedId(p.failure, p.look)
    if (p.answer === '') return drop(facts, 'looked', kept)
    if (!failure) throw new Refusal('This failure is over: there is nothing to look at any more.', 'failure')
    if (!answersLook(failure.subject, p.look, p.answer))
      throw new Refusal(
        'This is no answer to what is looked at for this failure. Open it again and choose one of its answers.',
        'answer',
      )
    return [put(facts, 'looked', { id: kept, failure: failure.id, look: p.look, answer: p.answer, by, at })]
  },
  words: () => 'Looked into a failure',
})

export const sign = defineCommand<{
  id: string
  door: string
  as: 'engineer' | 'witness'
  name: string
  stroke: string
  head: string
}>()({
  name: 'sign',
  roles: ['lead', 'engineer', 'witness'],
  schema: object({
    id,
    door: id,
    as: { enum: ['engineer', 'witness'] },
    name,
    stroke: { type: 'string', minLength: 20, maxLength: 60000, pattern: '^[MLCQ0-9 .,-]+$' },
    head: { type: 'string', pattern: '^[0-9a-f]{64}$' },
  }),
  apply(facts, p, { at, sheets, role }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    if (p.as === 'engineer' && role === 'witness') throw new Refusal('A witness signs as the witness.')
    const configs = workedConfigs(facts, sheets)
    const marks = marksOf(facts, door, sheets, configs)
    if (marks.plan.sign === 'stopped') throw new Refusal(`${door.ref} cannot be signed: ${marks.plan.says}`)
    if (!isEarned(marks.wire) || marks.prove.sign !== 'given')
      throw new Refusal(`${door.ref} cannot be signed: ${isEarned(marks.wire) ? marks.prove.says : marks.wire.says}`)
    const { wanted, held } = configs(door.placement?.controller ?? '')
    const standing = facts.doorMode[door.id]
    if (standing)
      throw new Refusal(`${door.ref} stands ${modeWords[standing.mode]}: bring it back to its settings, then sign.`)
    if (testCardsOpen(held, door)) {
      throw new Refusal('The test cards still open this door. Take them off, then sign.')
    }
    const tests = standings(facts, door, sheets, wanted, held)
    const basis = signBasis(facts, door, tests)
    const engineer = all(facts, 'signature')
      .filter((s) => s.door === door.id && s.role === 'engineer' && s.basis === basis)
      .at(-1)
    if (p.as === 'witness' && !engineer) throw new Refusal('The engineer signs first.')
    const head = chainHead(facts, door.id)
    if (p.head !== head) throw new Refusal('The record has grown since it was shown. Look at it again, then sign.')
    const signature: Signature = {
      id: p.id,
      door: door.id,
      role: p.as,
      name: p.name,
      stroke: p.stroke,
      head,
      basis,
      snags: openSnags(facts, door.id).map((s) => s.says),
      at,
    }
    return [put(facts, 'signature', signature)]
  },
  words: (f, p) => `${p.name} signed ${f.door[p.door]?.ref ?? ''} as ${p.as}`,
})
