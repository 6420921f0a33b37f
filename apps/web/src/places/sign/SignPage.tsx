import { all, chainHead, isEarned, jobOf, openSnags, testCardsOpen, type Door } from '@rauta/core'
import { useCallback, useState } from 'react'
import Svg, { Path } from 'react-native-svg'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { FileLinks } from '../../parts/FileLinks'
import { Field } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { SignaturePad } from '../../signs/SignaturePad'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { useSession } from '../../state/session'
import { dayTime } from '../../state/time'
import { configsOf, marksFor } from '../../state/worked'
import { useGround } from '../../theme'
import { Missing } from '../shell/Missing'
import { Records } from './Records'

/** The door's record, shown before anybody signs it, and the two signatures under it. */
export function SignPage({ id }: { id: string }) {
  const facts = useFacts()
  const ground = useGround()
  const door = facts.door[id]
  const [signing, setSigning] = useState(false)
  if (!door) return <Missing what="door" which={id} />
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const marks = marksFor(facts, door)
  const signatures = all(facts, 'signature')
    .filter((s) => s.door === id)
    .sort((a, b) => b.at - a.at)
  const ready = isEarned(marks.wire) && marks.prove.sign === 'given'
  const onDevice = testCardsOpen(configsOf(facts)(door.placement?.controller ?? '').held, door)
  return (
    <Screen
      columns
      mono={door.ref}
      title="Record"
      under={door.name}
      bar={
        ready && marks.sign.sign !== 'given' && !signing ? (
          onDevice ? (
            <TakeCardsOff door={door} />
          ) : (
            <Action label="Sign" onPress={() => setSigning(true)} />
          )
        ) : null
      }
    >
      <Notice tone={marks.sign.sign === 'given' ? 'verdigris' : marks.sign.sign === 'stale' ? 'ochre' : 'slate'}>
        {ready || marks.sign.sign === 'stale'
          ? marks.sign.says
          : `Not ready to be signed: ${isEarned(marks.wire) ? marks.prove.says : marks.wire.says}`}
      </Notice>
      {ready && onDevice ? (
        <Notice tone="ochre">
          The test cards still open this door. They come off before it is signed; its proofs stay.
        </Notice>
      ) : null}
      {signing ? <SignForm door={door} onDone={() => setSigning(false)} /> : null}
      {signatures.length ? (
        <Sheet flush title="Signatures">
          {signatures.map((s) => (
            <Line key={s.id}>
              <Svg width={160} height={56} viewBox="0 0 390 150" role="img" aria-label={`Signature of ${s.name}`}>
                <Path d={s.stroke} stroke={ground.ink} strokeWidth={4} fill="none" />
              </Svg>
              <T face="strong">{`${s.name}, ${s.role}`}</T>
              <T
                size={13}
                tone="quiet"
              >{`${dayTime(s.at, zone)}${s.snags.length ? `, accepted with ${s.snags.length} open snags` : ''}, under fingerprint ${s.head.slice(0, 12)}`}</T>
            </Line>
          ))}
        </Sheet>
      ) : null}
      <Sheet title="Take it with you">
        <FileLinks path={`/doors/${id}/record`} name="Record" kinds={['pdf', 'json']} />
        <T size={13} tone="quiet">
          PDF for people, JSON to be checked by anybody.
        </T>
        <T size={13} tone="quiet">{`Fingerprint of the record, ${facts.head[id]?.n ?? 0} entries:`}</T>
        <T face="mono" size={13} selectable style={{ wordBreak: 'break-all' } as object}>
          {chainHead(facts, id)}
        </T>
      </Sheet>
      <Records door={id} />
    </Screen>
  )
}

function TakeCardsOff({ door }: { door: Door }) {
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const off = async () => {
    try {
      if (!door.testCardsOff) await send('door.testCardsOff', { door: door.id, off: true })
      await send('load.start', { id: v7(), controller: door.placement?.controller ?? '', only: 'testCards' })
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Action label="Take the test cards off" aside="and read back" onPress={off} />
    </>
  )
}

function SignForm({ door, onDone }: { door: Door; onDone: () => void }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [as, setAs] = useState<'engineer' | 'witness'>(
    me?.role === 'witness' ||
      all(facts, 'signature').some(
        (s) => s.door === door.id && s.role === 'engineer' && marksFor(facts, door).sign.sign === 'underWay',
      )
      ? 'witness'
      : 'engineer',
  )
  const [name, setName] = useState(as === 'engineer' ? (me?.name ?? '') : '')
  const [stroke, setStroke] = useState('')
  const [wrong, setWrong] = useState('')
  const took = useCallback((path: string) => setStroke(path), [])
  const snags = openSnags(facts, door.id)
  const submit = async () => {
    if (stroke.length < 20) {
      setWrong('Sign in the field with a finger.')
      return
    }
    try {
      await send('sign', { id: v7(), door: door.id, as, name: name.trim(), stroke, head: chainHead(facts, door.id) })
      onDone()
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <Sheet title={as === 'engineer' ? 'Signed by the engineer' : 'Signed by the witness'}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {snags.length ? (
        <T tone="ochre">{`Accepted with ${snags.length} open: ${snags.map((s) => s.says).join('; ')}`}</T>
      ) : null}
      {me?.role === 'witness' ? null : (
        <Action
          kind="plain"
          label={as === 'engineer' ? 'Let the witness sign instead' : 'The engineer signs instead'}
          onPress={() => {
            setAs(as === 'engineer' ? 'witness' : 'engineer')
            setName('')
          }}
        />
      )}
      <Field
        label={as === 'engineer' ? 'Name of the engineer' : 'Name of the witness'}
        value={name}
        onChange={setName}
      />
      <SignaturePad label="Field to sign in" onStroke={took} />
      <Action label="Sign the record" onPress={submit} />
    </Sheet>
  )
}
