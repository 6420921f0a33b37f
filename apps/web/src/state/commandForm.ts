import { complaintWords, type CommandName, type CommandPayloads } from '@rauta/contracts'
import { useState } from 'react'
import { useForm, type FieldErrors, type FieldValues, type Path, type Resolver } from 'react-hook-form'
import { fieldOf, saysOf } from './api'
import * as checks from './checks.generated'
import { draftOf } from './draft'
import { showFirstWrong } from './firstWrong'
import { useJob } from './job'

const compiled = {
  'controller.put': checks.controller_put,
  'unit.put': checks.unit_put,
  'job.edit': checks.job_edit,
  'area.put': checks.area_put,
  'doors.edit': checks.doors_edit,
  'person.put': checks.person_put,
  'group.put': checks.group_put,
  'rule.put': checks.rule_put,
  'schedule.put': checks.schedule_put,
  'specialDay.put': checks.specialDay_put,
} as const
type Formed = keyof typeof compiled & CommandName

/** What is wrong with a form as a whole: of a field that it does not show, or of no field. */
interface Options<N extends Formed, F extends FieldValues> {
  command: N
  /** Under which what is typed is kept until it is sent. */
  draft: string
  first: F
  /** What is sent. Throws nothing: what cannot be sent as it is goes as it is, and the check says what is wrong. */
  payload: (form: F) => CommandPayloads[N]
  /** Fields of the form by the payload's paths, where they are called otherwise; for example `{ 'network.gateway': 'gateway' }`. */
  fields?: Readonly<Record<string, Path<F>>>
  onSent: (payload: CommandPayloads[N]) => void
}

export interface CommandForm<F extends FieldValues> {
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

/** A form that is a command's payload: the command's own schema checks each field as one types, the server has the last word, and either stands at its field. */
export function useCommandForm<N extends Formed, F extends FieldValues>(options: Options<N, F>): CommandForm<F> {
  const { command, draft, first, payload, fields = {}, onSent } = options
  const send = useJob((s) => s.send)
  const kept = draftOf<F>(draft, first)
  const [wrong, setWrong] = useState('')
  const nameOf = (path: string): Path<F> => {
    const bare = path.replace(/^fields\./, '')
    return (Object.hasOwn(fields, bare) ? fields[bare] : bare) as Path<F>
  }
  const resolver: Resolver<F> = (values) => {
    const errors: Record<string, Complaint> = {}
    for (const { path, says } of complaints(command, payload(values))) {
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
        await send(command, sent)
        kept.forget()
        onSent(sent)
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

/** What a command's schema has against a payload, by field: the first of each. */
export function complaints(command: Formed, payload: unknown): { path: string; says: string }[] {
  const check = compiled[command]
  if (check(payload)) return []
  const found = new Map<string, string>()
  for (const e of check.errors ?? []) {
    const missing = e.keyword === 'required' ? `/${String(e.params['missingProperty'])}` : ''
    const path = `${e.instancePath}${missing}`.slice(1).replaceAll('/', '.')
    if (!found.has(path)) found.set(path, missing ? 'This is needed.' : `This ${complaintWords(e)}.`)
  }
  return [...found].map(([path, says]) => ({ path, says }))
}
