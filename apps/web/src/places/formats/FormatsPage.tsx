import {
  all,
  bitRoles,
  formatId,
  formatName,
  keptFormats,
  ownFormatFault,
  readersSetTo,
  sentAs,
  type BitRun,
  type CardFormat,
  type Facts,
  type OwnFormat,
} from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { PunchedTape } from '../../signs/PunchedTape'
import { saysOf } from '../../state/api'
import { useCommandForm } from '../../state/commandForm'
import { useFacts, useJob } from '../../state/job'

/** Bits as people count them: the first that is sent is 1; empty where there is none. */
interface Span {
  first: string
  last: string
}
interface FormatForm {
  id: string
  name: string
  bits: string
  facility: Span
  number: Span
  parity: { at: string; kind: 'even' | 'odd'; over: Span }[]
  keeps: string
}

const spanOf = (run: BitRun | undefined): Span =>
  run ? { first: String(run.from + 1), last: String(run.from + run.length) } : { first: '', last: '' }
const runOf = ({ first, last }: Span): BitRun => {
  const [from, to] = [numberIn(first), numberIn(last)]
  return { from: (from ?? NaN) - 1, length: (to ?? NaN) - (from ?? NaN) + 1 }
}
const nothing = (): FormatForm => ({
  id: '',
  name: '',
  bits: '37',
  facility: { first: '2', last: '17' },
  number: { first: '18', last: '36' },
  parity: [],
  keeps: 'wide',
})
const formOf = (f: OwnFormat): FormatForm => ({
  id: f.id,
  name: f.name,
  bits: String(f.bits),
  facility: spanOf(f.facility),
  number: spanOf(f.number),
  parity: f.parity.map((p) => ({ at: String(p.at + 1), kind: p.kind, over: spanOf(p.over) })),
  keeps: f.keeps,
})
const formatIn = (facts: Facts, f: FormatForm): OwnFormat => ({
  id: f.id || formatId(facts, f.name),
  name: f.name.trim(),
  bits: numberIn(f.bits) ?? NaN,
  ...(f.facility.first || f.facility.last ? { facility: runOf(f.facility) } : {}),
  number: runOf(f.number),
  parity: f.parity.map((p) => ({ at: (numberIn(p.at) ?? NaN) - 1, kind: p.kind, over: runOf(p.over) })),
  keeps: f.keeps,
})

/** Ways in which readers of this job send that do not ship with Rauta: by bits, fields and parity. */
export function FormatsPage() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [gone, setGone] = useState('')
  const form = useCommandForm<'cardFormat.put', FormatForm>({
    command: 'cardFormat.put',
    draft: 'card-format',
    first: nothing(),
    payload: (f) => formatIn(facts, f),
    onSent: () => form.again(nothing()),
  })
  const { value, put, set, error } = form
  const deep = (field: string) => error(field) ?? error(`${field}.from`) ?? error(`${field}.length`)
  const formats = all(facts, 'cardFormat').sort((a, b) => a.name.localeCompare(b.name))
  const edited = facts.cardFormat[value.id]
  const remove = () =>
    send('cardFormat.remove', { id: value.id })
      .then(() => {
        setGone('')
        form.again(nothing())
      })
      .catch((e: unknown) => setGone(saysOf(e)))
  return (
    <Screen
      title="Card formats"
      under="How readers of this job send, beside what ships"
      columns
      bar={<Action label={edited ? 'Save the format' : 'Add the format'} onPress={form.submit} />}
    >
      <Sheet title="Of this job" flush>
        {formats.map((f) => (
          <Line key={f.id} label={f.name} chosen={f.id === value.id} onPress={() => form.again(formOf(f))}>
            <T face="strong">{f.name}</T>
            <T size={13} tone="quiet">{`kept as ${formatName(f.keeps)} · ${
              readersSetTo(facts, f.id)
                .map(({ door, part }) => `${door.ref} ${part.id}`)
                .join(', ') || 'no reader sends so'
            }`}</T>
          </Line>
        ))}
        {formats.length === 0 ? (
          <T style={{ padding: 16 }}>None yet. A door’s page finds one out from cards: What its readers send.</T>
        ) : null}
      </Sheet>
      <Sheet title={edited ? edited.name : 'A new one'}>
        {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
        <Field label="Name" value={value.name} onChange={set('name')} error={error('name')} />
        <Field label="Bits in all" value={value.bits} onChange={set('bits')} mono error={error('bits')} />
        <SpanFields
          label="Facility"
          value={value.facility}
          onChange={(facility) => put({ facility })}
          error={deep('facility')}
          hint="empty if none"
        />
        <SpanFields label="Number" value={value.number} onChange={(number) => put({ number })} error={deep('number')} />
        <Pick
          label="Its cards are kept as"
          value={value.keeps}
          options={keptFormats.map((k) => ({ value: k, label: formatName(k) }))}
          onChange={set('keeps')}
          error={error('keeps')}
        />
        <ParityFields
          parity={value.parity}
          onChange={(parity) => put({ parity })}
          error={deep('parity') ?? parityError(value, error)}
        />
      </Sheet>
      <Example format={formatIn(facts, value)} />
      {edited ? (
        <Sheet>
          {gone ? <Notice tone="madder">{gone}</Notice> : null}
          <Action kind="plain" label="Close without changing it" onPress={() => form.again(nothing())} />
          <Action kind="danger" label={`Take ${edited.name} out`} onPress={remove} />
        </Sheet>
      ) : null}
    </Screen>
  )
}

/** What is wrong with the first parity bit that is not as it must be. */
const parityError = ({ parity }: FormatForm, error: (field: string) => string | undefined): string | undefined =>
  parity
    .flatMap((_, i) => ['at', 'over.from', 'over.length'].map((field) => error(`parity.${i}.${field}`)))
    .find((says) => says !== undefined)

function SpanFields({
  label,
  value,
  onChange,
  error,
  hint,
}: {
  label: string
  value: Span
  onChange: (span: Span) => void
  error?: string | undefined
  hint?: string
}) {
  return (
    <View>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field
            label={`${label}, first bit`}
            value={value.first}
            onChange={(first) => onChange({ ...value, first })}
            mono
            {...(hint ? { hint } : {})}
          />
        </View>
        <View style={{ flex: 1 }}>
          <Field
            label={`${label}, last bit`}
            value={value.last}
            onChange={(last) => onChange({ ...value, last })}
            mono
          />
        </View>
      </View>
      {error ? <T tone="madder">{error}</T> : null}
    </View>
  )
}

function ParityFields({
  parity,
  onChange,
  error,
}: {
  parity: FormatForm['parity']
  onChange: (parity: FormatForm['parity']) => void
  error: string | undefined
}) {
  const set = (i: number, part: Partial<FormatForm['parity'][number]>) =>
    onChange(parity.map((p, n) => (n === i ? { ...p, ...part } : p)))
  return (
    <View style={{ gap: 8 }}>
      {error ? <T tone="madder">{error}</T> : null}
      {parity.map((p, i) => (
        <View key={i} style={{ gap: 4 }}>
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <Field label={`Parity bit ${i + 1} is bit`} value={p.at} onChange={(at) => set(i, { at })} mono />
            </View>
            <View style={{ flex: 1 }}>
              <Pick
                label={`Parity ${i + 1}`}
                value={p.kind}
                options={[
                  { value: 'even', label: 'even' },
                  { value: 'odd', label: 'odd' },
                ]}
                onChange={(kind) => set(i, { kind: kind === 'odd' ? 'odd' : 'even' })}
              />
            </View>
          </View>
          <SpanFields label={`Counted over, ${i + 1}`} value={p.over} onChange={(over) => set(i, { over })} />
          <Action
            kind="plain"
            label={`Take parity bit ${i + 1} out`}
            onPress={() => onChange(parity.filter((_, n) => n !== i))}
          />
        </View>
      ))}
      {parity.length < 8 ? (
        <Action
          kind="plain"
          label="Check a parity bit"
          onPress={() => onChange([...parity, { at: '1', kind: 'even', over: { first: '', last: '' } }])}
        />
      ) : null}
    </View>
  )
}

/** Facility and number of the card that shows what a format looks like. */
const exampleCard = { facility: 61, number: 4417n }

/** One card as this format would send it, while it is being typed. */
function Example({ format }: { format: OwnFormat }) {
  const sound = Number.isInteger(format.bits) && ownFormatFault({ ...format, name: format.name || '·' }) === null
  const bits = sound ? sentOf(format) : null
  return (
    <Sheet title="Card 61 04417 would come as">
      {bits ? (
        <PunchedTape bits={bits} sending={{ format, order: 'asSent' }} />
      ) : (
        <T tone="quiet">Shown once the fields fit each other.</T>
      )}
      {bits ? (
        <T
          size={13}
          tone="quiet"
        >{`${bitRoles(format, 'asSent').filter((r) => r === 'other').length} bits are not read.`}</T>
      ) : null}
    </Sheet>
  )
}

function sentOf(format: CardFormat) {
  try {
    return sentAs(format, 'asSent', {
      facility: format.facility ? exampleCard.facility : null,
      number: exampleCard.number,
    })
  } catch {
    // Fields too narrow for this card still make a format.
    return null
  }
}
