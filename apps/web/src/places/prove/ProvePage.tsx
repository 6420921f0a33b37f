import {
  all,
  cardData,
  cardName,
  jobOf,
  judge,
  standings,
  type Door,
  type Facts,
  type Judgement,
  type Standing,
  type Test,
  type Trial,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T, type Tone } from '../../parts/Text'
import { Tape } from '../../signs/Tape'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { configsOf, marksFor } from '../../state/worked'
import { useGround } from '../../theme'
import { tellDoor } from '../door/Orders'
import { Missing } from '../shell/Missing'
import { Dial } from './Dial'
import { Why } from './Why'

const tones: Record<Standing['state'], Tone> = {
  todo: 'quiet',
  passed: 'verdigris',
  failed: 'madder',
  stale: 'ochre',
  'not applicable': 'quiet',
}

/** The script of a door: one big instruction at a time, the tape below, the verdict large, then the next. */
export function ProvePage({ id }: { id: string }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const [picked, setPicked] = useState<string | null>(null)
  const door = facts.door[id]
  if (!door) return <Missing what="door" which={id} />
  const { wanted, held } = configsOf(facts)(door.placement?.controller ?? '')
  const list = standings(facts, door, sheetsFor(facts), wanted, held)
  const trial = facts.trial[id]
  const open = list.find((s) => s.state !== 'passed' && s.state !== 'not applicable')
  const now = list.find((s) => s.test.id === (trial?.test ?? picked)) ?? open ?? list[0]
  const at = now ? list.indexOf(now) : 0
  if (!now)
    return (
      <Screen
        mono={door.ref}
        title="Prove"
        bar={<Action label="Plan this door" onPress={() => router.push(`/doors/${id}/plan`)} />}
      >
        <Notice tone="slate">No test is called for until the door is placed.</Notice>
      </Screen>
    )
  const left = (s: Standing) => s !== now && s.state !== 'passed' && s.state !== 'not applicable'
  const following = list.slice(at + 1).find(left) ?? list.find(left)
  const silent = silence(facts, door)
  return (
    <Screen
      mono={door.ref}
      title={door.name}
      top={now.test.id}
      aside={<T face="mono" size={17}>{`${at + 1} / ${list.length}`}</T>}
      head={<Progress list={list} now={now.test.id} />}
      bar={
        canFit(me) ? (
          <ProveBar
            door={door}
            now={now}
            running={trial ?? null}
            silent={silent}
            next={following?.test ?? null}
            onNext={setPicked}
          />
        ) : null
      }
    >
      <View style={{ padding: 16, gap: 10 }}>
        <T level={2} face="strong" size={28}>
          {now.test.title}
        </T>
        <T size={22}>{now.test.instruction}</T>
        <CardsNamed test={now.test} />
        <T size={17} tone="quiet">
          {now.test.expect}
        </T>
      </View>
      {silent ? <Notice tone="madder">{silent}</Notice> : null}
      {trial ? <Running door={door} test={now.test} /> : <Verdict door={id} standing={now} />}
      {!trial && now.state === 'failed' && now.proof ? <Why facts={facts} door={door} proof={now.proof} /> : null}
      <Sheet flush title="Tape">
        <Tape controller={door.placement?.controller ?? ''} doors={[door.id]} limit={8} />
      </Sheet>
      <Sheet flush title="All tests of this door">
        {list.map((s) => (
          <Line key={s.test.id} label={`${s.test.title}: ${s.state}`} onPress={() => setPicked(s.test.id)}>
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <T style={{ flex: 1 }}>{s.test.title}</T>
              <T tone={tones[s.state]}>{s.state === 'todo' ? 'to do' : s.state}</T>
            </View>
          </Line>
        ))}
      </Sheet>
    </Screen>
  )
}

/** Why nothing that happens at the door would be seen now, in words; empty where it would. */
function silence(facts: Facts, door: Door): string {
  const controller = facts.controller[door.placement?.controller ?? '']
  const reach = facts.reach[controller?.id ?? '']
  return controller && reach && reach.silentMs > 0
    ? `${controller.ref} does not answer: nothing that happens at this door is seen. ${reach.says}`
    : ''
}

const cardWords = {
  good: 'the good card',
  lost: 'the lost card',
  outOfHours: 'the card out of hours',
  unknown: 'the unknown card',
  expired: 'the expired card',
  ended: 'the card whose right has ended',
  longer: 'the card released for longer',
  second: 'the second good card',
} as const

/** Which of the test cards the numbers are, as they are written on them. */
function CardsNamed({ test }: { test: Test }) {
  const kit = useFacts().testCards['kit']
  if (!kit) return null
  const named = (Object.keys(cardWords) as (keyof typeof cardWords)[]).flatMap((k) => {
    const card = kit[k]
    return card && test.cards.includes(cardData(card)) ? [`${cardName(card)} is ${cardWords[k]}.`] : []
  })
  return named.length ? (
    <T size={17} face="mid">
      {named.join(' ')}
    </T>
  ) : null
}

function Progress({ list, now }: { list: readonly Standing[]; now: string }) {
  const ground = useGround()
  return (
    <View
      role="img"
      aria-label={`${list.filter((s) => s.state === 'passed').length} of ${list.length} tests passed`}
      style={{ flexDirection: 'row', gap: 3, marginTop: 8 }}
    >
      {list.map((s) => (
        <View
          key={s.test.id}
          style={{
            flex: 1,
            height: 10,
            borderWidth: 1.5,
            borderColor: s.test.id === now ? ground.oxide : s.state === 'todo' ? ground.quiet : ground[tones[s.state]],
            backgroundColor:
              s.test.id === now
                ? ground.oxide
                : s.state === 'todo' || s.state === 'not applicable'
                  ? 'transparent'
                  : ground[tones[s.state]],
          }}
        />
      ))}
    </View>
  )
}

function Verdict({ door, standing }: { door: string; standing: Standing }) {
  const facts = useFacts()
  const { proof, state, test } = standing
  const last = all(facts, 'proof')
    .filter((p) => p.test === test.id && p.door === door)
    .sort((a, b) => b.at - a.at)[0]
  const word: Record<Standing['state'], string> = {
    todo: '',
    passed: 'Passed',
    failed: 'Failed',
    stale: 'Stale',
    'not applicable': 'Not applicable',
  }
  if (state === 'todo') return <LastTry door={door} test={test} />
  return (
    <View role="status" style={{ paddingHorizontal: 16, gap: 4 }}>
      <T face="strong" size={34} tone={tones[state]}>
        {word[state]}
      </T>
      <T size={17}>
        {state === 'stale'
          ? 'What it proved has changed since. Do it again.'
          : state === 'not applicable'
            ? test.notApplicable
            : (proof?.says ?? '')}
      </T>
      {last && last.id !== proof?.id ? <T tone="quiet">{`Last try: ${last.verdict}. ${last.says}`}</T> : null}
    </View>
  )
}

/** A try that counted for nothing is still told. */
function LastTry({ door, test }: { door: string; test: Test }) {
  const facts = useFacts()
  const last = all(facts, 'proof')
    .filter((p) => p.door === door && p.test === test.id && (p.verdict === 'skipped' || p.verdict === 'not judged'))
    .sort((a, b) => b.at - a.at)[0]
  return last ? (
    <View role="status" style={{ paddingHorizontal: 16 }}>
      <T face="strong" size={28} tone="ochre">
        {last.verdict === 'skipped' ? 'Skipped' : 'Not judged'}
      </T>
      <T size={17}>{last.says}</T>
    </View>
  ) : null
}

/** The running test as the same core judges it here; the server's verdict is what is recorded. */
function Running({ door, test }: { door: Door; test: Test }) {
  const facts = useFacts()
  const trial = facts.trial[door.id]
  const job = jobOf(facts)
  if (!trial || !job) return null
  const state: Judgement = judge({
    test,
    trial,
    door: door.id,
    controller: door.placement?.controller ?? '',
    events: all(facts, 'event'),
    limits: job.limits,
    refOf: (d) => facts.door[d]?.ref ?? 'another door',
  })
  const strange = state.evidence.find((e) => e.kind === 'refused' && e.state === 'unknown' && e.bits && e.reader)
  return (
    <View role="status" style={{ paddingHorizontal: 16, gap: 8 }}>
      <T face="strong" size={22} tone="slate">
        {state.says}
      </T>
      {state.timing ? <Ticking timing={state.timing} /> : null}
      {strange ? (
        <Action
          kind="plain"
          label={`What does ${strange.reader} send?`}
          aside="from this card"
          onPress={() => router.push(`/doors/${door.id}/reads?part=${strange.reader}`)}
        />
      ) : null}
    </View>
  )
}

function Ticking({ timing }: { timing: NonNullable<Judgement['timing']> }) {
  const [now, setNow] = useState(timing.since)
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 100)
    return () => clearInterval(timer)
  }, [])
  return (
    <Dial label={timing.label} seconds={Math.max(0, (now - timing.since) / 1000)} from={timing.from} to={timing.to} />
  )
}

function ProveBar({
  door,
  now,
  running,
  silent,
  next,
  onNext,
}: {
  door: Door
  now: Standing
  running: Trial | null
  silent: string
  next: Test | null
  onNext: (test: string) => void
}) {
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [wrong, setWrong] = useState('')
  const [why, setWhy] = useState<{ answer: 'failed' | 'skipped'; says: string } | null>(null)
  const { test, state } = now
  const fail = (e: unknown) => {
    setWrong(saysOf(e))
  }
  const answer = (kind: 'passed' | 'failed' | 'skipped' | 'stop', says: string) =>
    send('trial.answer', { door: door.id, test: test.id, answer: kind, says })
      .then(() => {
        setWhy(null)
        setWrong('')
      })
      .catch(fail)
  // The test stays chosen when it ends, so that its verdict is seen before the next one.
  const start = (which: string) =>
    send('trial.start', { door: door.id, test: which })
      .then(() => {
        setWrong('')
        onNext(which)
      })
      .catch(fail)
  const signed = marksFor(useFacts(), door).sign.sign === 'given'
  if (why) {
    return (
      <>
        {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
        <Field
          label={why.answer === 'failed' ? 'What happened' : 'Why it is skipped'}
          value={why.says}
          onChange={(says) => setWhy({ ...why, says })}
        />
        <Action
          label={why.answer === 'failed' ? 'Record the failure' : 'Skip it'}
          onPress={() => answer(why.answer, why.says)}
        />
        <Action kind="plain" label="Back" onPress={() => setWhy(null)} />
      </>
    )
  }
  if (running && running.by !== me?.name)
    return (
      <>
        {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
        <T face="strong">{`${running.by} runs this test.`}</T>
        {me?.role === 'lead' ? (
          <Action kind="plain" label={`Stop the test of ${running.by}`} onPress={() => answer('stop', '')} />
        ) : null}
      </>
    )
  if (running) {
    return (
      <>
        {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
        {test.judge.kind === 'told' ? (
          <Action label="Release it now" onPress={() => tellDoor(door.id, 'release', '').catch(fail)} />
        ) : null}
        {test.ask ? <Action label={test.ask.yes} onPress={() => answer('passed', '')} /> : null}
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Action
              kind="plain"
              label={test.ask ? test.ask.no : 'It didn’t'}
              onPress={() => setWhy({ answer: 'failed', says: '' })}
            />
          </View>
          <View style={{ flex: 1 }}>
            <Action kind="plain" label="Skip, say why" onPress={() => setWhy({ answer: 'skipped', says: '' })} />
          </View>
        </View>
        <Action kind="plain" label="Stop without a verdict" onPress={() => answer('stop', '')} />
      </>
    )
  }
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {state === 'passed' || state === 'not applicable' ? (
        next ? (
          <Action label="Begin the next test" aside={next.title} disabled={!!silent} onPress={() => start(next.id)} />
        ) : (
          <Action
            label={signed ? 'See its signatures' : 'Sign this door'}
            onPress={() => router.push(`/doors/${door.id}/sign`)}
          />
        )
      ) : (
        <Action
          label={state === 'failed' || state === 'stale' ? 'Test it again' : 'Begin this test'}
          disabled={!!silent}
          onPress={() => start(test.id)}
        />
      )}
      {state === 'passed' ? (
        <Action kind="plain" label="Test it again" disabled={!!silent} onPress={() => start(test.id)} />
      ) : null}
    </>
  )
}
