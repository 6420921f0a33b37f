import { complaintField, complaintWords } from '@rauta/contracts'
import { useState } from 'react'
import { useForm, type FieldErrors, type FieldValues, type Path, type Resolver } from 'react-hook-form'
import { fieldOf, saysOf } from './api'
import type { Check } from './checks.generated'
import { draftOf, type Draft } from './draft'
import { showFirstWrong } from './firstWrong'

/** Something that a form has against itself, by the path of the field in what is sent. */
interface Fault {
  path: string
  says: string
}
export interface CheckedOptions<P, F extends FieldValues> {
  /** What is sent, as its schema wants it. */
  check: Check
  /** Under which what is typed is kept until it is sent; null for what must not be kept. */
  draft: string | null
  first: F
  /** What is sent. Throws nothing: what cannot be sent as it is goes as it is, and the check says what is wrong. */
  payload: (form: F) => P
  /** What no schema can say, such as parts that contradict each other. */
  also?: (payload: P) => readonly Fault[]
  /** Fields of the form by the payload's paths, where they are called otherwise; for example `{ 'network.gateway': 'gateway' }`. */
  fields?: Readonly<Record<string, Path<F>>>
  send: (payload: P) => Promise<unknown>
  onSent: (payload: P, answer: unknown) => void
}

export interface CheckedForm<F extends FieldValues> {
  value: F
  set: <K extends Path<F>>(key: K) => (value: F[K]) => void
  put: (part: Partial<F>) => void
  /** What is wrong with a field, in words, as one types once it was left; by its path where it lies deeper, for example `cards.0.number`. */
  error: (field: string) => string | undefined
  /** What is wrong with none of the fields that are shown. */
  wrong: string
  submit: () => Promise<void>
  /** Begins again, with nothing said against it. */
  again: (first: F) => void
}

/** A form whose payload a compiled schema checks as one types; whoever takes it has the last word, and either stands at its field. */
export function useCheckedForm<P, F extends FieldValues>(options: CheckedOptions<P, F>): CheckedForm<F> {
  const { check, draft, first, payload, also, fields = {}, send, onSent } = options
  const kept = draft === null ? nothingKept(first) : draftOf<F>(draft, first)
  const [wrong, setWrong] = useState('')
  const nameOf = (path: string): Path<F> => {
    const bare = path.replace(/^fields\./, '')
    return (Object.hasOwn(fields, bare) ? fields[bare] : bare) as Path<F>
  }
  const resolver: Resolver<F> = (values) => {
    const errors: Record<string, Complaint> = {}
    const sent = payload(values)
    const found = complaints(check, sent)
    for (const { path, says } of found.length ? found : (also?.(sent) ?? [])) {
      const { field, name } = placeOf(nameOf(path))
      const before = errors[name] ?? { type: 'schema', message: says, paths: {} }
      errors[name] = { ...before, paths: { ...before.paths, [field]: says } }
    }
    return Object.keys(errors).length
      ? { values: {}, errors: errors as unknown as FieldErrors<F> }
      : { values, errors: {} }
  }
  const form = useForm<F>({ defaultValues: kept.value as never, resolver, mode: 'onTouched', shouldFocusError: false })
  const value = form.watch()
  const put = (part: Partial<F>) => {
    for (const [key, v] of Object.entries(part))
      form.setValue(key as Path<F>, v as never, { shouldTouch: true, shouldValidate: true, shouldDirty: true })
    kept.keep({ ...form.getValues() })
  }
  const refused = (error: unknown) => {
    const field = fieldOf(error)
    const place = field === undefined ? null : placeOf(nameOf(field))
    if (place && Object.hasOwn(form.getValues(), place.name)) {
      const complaint: Complaint = { type: 'server', message: saysOf(error), paths: { [place.field]: saysOf(error) } }
      form.setError(place.name as Path<F>, complaint)
    } else setWrong(saysOf(error))
    showFirstWrong()
  }
  const submit = form.handleSubmit(
    async (values) => {
      setWrong('')
      try {
        const sent = payload(values)
        const answer = await send(sent)
        kept.forget()
        onSent(sent, answer)
      } catch (error) {
        refused(error)
      }
    },
    (errors) => {
      const shown = Object.keys(form.getValues())
      const hidden = Object.entries(errors).find(([name]) => !shown.includes(name))
      setWrong(hidden ? `${hidden[0]} ${String(hidden[1]?.message ?? '')}` : '')
      showFirstWrong()
    },
  )
  return {
    value,
    set: (key) => (v) => put({ [key]: v } as unknown as Partial<F>),
    put,
    error: (field) => {
      const found = form.formState.errors[placeOf(field).name] as Complaint | undefined
      return found?.paths[field]
    },
    wrong,
    submit: () => submit(),
    again: (next) => {
      kept.forget()
      form.reset(next)
    },
  }
}

/** What is wrong with a field of the form, and with what lies deeper in it, by its path. */
interface Complaint {
  type: string
  message: string
  paths: Record<string, string>
}
const placeOf = (field: string) => ({ field, name: field.split('.')[0] ?? field })

/** What a schema has against what is sent, by field: the first of each. */
function complaints(check: Check, payload: unknown): Fault[] {
  if (check(payload)) return []
  const found = new Map<string, string>()
  for (const e of check.errors ?? []) {
    const path = complaintField(e)
    if (!found.has(path)) found.set(path, e.keyword === 'required' ? 'This is needed.' : `This ${complaintWords(e)}.`)
  }
  return [...found].map(([path, says]) => ({ path, says }))
}

const nothingKept = <F>(first: F): Draft<F> => ({ value: first, keep: () => undefined, forget: () => undefined })
