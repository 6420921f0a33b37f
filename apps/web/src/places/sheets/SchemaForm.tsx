import { kindWords, leadWords, terminalWords, type DeviceKind, type LeadKind, type TerminalKind } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'

import { T } from '../../parts/Text'
import { useGround } from '../../theme'

/** As much of JSON Schema as device sheets use. */
export interface Schema {
  type?: string | string[]
  title?: string
  enum?: readonly string[]
  properties?: Record<string, Schema>
  required?: readonly string[]
  items?: Schema
  anyOf?: Schema[]
  minLength?: number
}
export type Value = string | number | boolean | null | Value[] | { [key: string]: Value | undefined }

const wordFor = (value: string): string =>
  terminalWords[value as TerminalKind] ??
  kindWords[value as DeviceKind]?.[0] ??
  leadWords[value as LeadKind] ??
  enumWords[value] ??
  value
const enumWords: Record<string, string> = {
  safe: 'lets go (fail-safe)',
  secure: 'stays shut (fail-secure)',
  leastFirst: 'switch 1 counts least',
  mostFirst: 'switch 1 counts most',
  binary: 'on or off',
  decade: 'turning, 0 to 9',
  wiegand: 'Wiegand',
  osdp: 'bus (OSDP)',
  network: 'network',
  radio: 'radio',
  indoor: 'indoors only',
  outdoor: 'outdoors',
  direct: 'direct current',
  alternating: 'alternating current',
  magnetic: 'magnet',
  strike: 'strike',
  motor: 'motor',
}

/** A field that is empty as its schema allows it. */
export function emptyOf(schema: Schema): Value {
  if (schema.enum) return schema.enum[0] ?? ''
  if (schema.properties)
    return Object.fromEntries((schema.required ?? []).map((key) => [key, emptyOf(schema.properties?.[key] ?? {})]))
  if (schema.type === 'array') return []
  if (schema.type === 'boolean') return false
  return schema.type === 'string' ? '' : schema.anyOf ? null : 0
}

interface Props {
  schema: Schema
  value: Value | undefined
  onChange: (value: Value | undefined) => void
  title: string
  path: string
  /** What is wrong at a path, in words. */
  error: (path: string) => string | undefined
}

/** A form made from a schema: every object a group, every list with its lines to add and take away, optional parts behind a button. */
export function SchemaForm({ schema, value, onChange, title, path, error }: Props) {
  const record = (value ?? {}) as Record<string, Value | undefined>
  const own = path ? error(path) : undefined
  if (schema.properties) {
    const needed = new Set(schema.required ?? [])
    return (
      <View style={{ gap: 4 }}>
        {own ? (
          <T tone="madder" role="alert">
            {own}
          </T>
        ) : null}
        {Object.entries(schema.properties).map(([key, inner]) => (
          <Optional
            key={key}
            schema={inner}
            needed={needed.has(key)}
            title={inner.title ?? key}
            value={record[key]}
            path={path ? `${path}.${key}` : key}
            error={error}
            onChange={(v) => {
              const next = { ...record, [key]: v }
              if (v === undefined) delete next[key]
              onChange(next)
            }}
          />
        ))}
      </View>
    )
  }
  if (schema.type === 'array')
    return (
      <ListField
        schema={schema}
        value={(value ?? []) as Value[]}
        onChange={onChange}
        title={title}
        path={path}
        error={error}
      />
    )
  if (schema.enum)
    return (
      <Pick
        label={title}
        value={String(value ?? schema.enum[0] ?? '')}
        options={schema.enum.map((v) => ({ value: v, label: wordFor(v) }))}
        onChange={onChange}
        error={own}
      />
    )
  if (schema.type === 'boolean')
    return <Tick label={title} on={value === true} onPress={() => onChange(value !== true)} />
  if (schema.type === 'string')
    return <Field label={title} value={String(value ?? '')} onChange={onChange} error={own} />
  return <NumberField title={title} value={value} onChange={onChange} error={own} />
}

/** A number while it is typed may be none yet; it is kept as text until it is one. */
function NumberField({
  title,
  value,
  onChange,
  error,
}: {
  title: string
  value: Value | undefined
  onChange: (value: Value | undefined) => void
  error: string | undefined
}) {
  const [text, setText] = useState(value === null || value === undefined ? '' : String(value))
  const known = numberIn(text)
  return (
    <Field
      label={title}
      value={text}
      keyboard="decimal"
      mono
      error={error ?? (text.trim() && known === null ? 'Write a number, for example 12 or 0.5.' : undefined)}
      onChange={(t) => {
        setText(t)
        const n = numberIn(t)
        onChange(t.trim() === '' ? null : (n ?? t))
      }}
    />
  )
}

function Optional({ schema, needed, title, value, path, error, onChange }: Props & { needed: boolean }) {
  const ground = useGround()
  if (!needed && value === undefined)
    return (
      <View style={{ marginBottom: 8 }}>
        <Action kind="plain" label={`Add: ${title}`} onPress={() => onChange(emptyOf(schema))} />
      </View>
    )
  const group = !!schema.properties || schema.type === 'array'
  const inner = <SchemaForm schema={schema} value={value} onChange={onChange} title={title} path={path} error={error} />
  if (!group)
    return needed ? (
      inner
    ) : (
      <View>
        {inner}
        <Action kind="plain" label={`Leave out: ${title}`} onPress={() => onChange(undefined)} />
      </View>
    )
  return (
    <View style={{ borderLeftWidth: 3, borderColor: ground.line, paddingLeft: 12, marginVertical: 8, gap: 8 }}>
      <T face="strong" size={17}>
        {title}
      </T>
      {inner}
      {needed ? null : <Action kind="plain" label={`Leave out: ${title}`} onPress={() => onChange(undefined)} />}
    </View>
  )
}

function ListField({ schema, value, onChange, title, path, error }: Props & { value: Value[] }) {
  const items = schema.items ?? {}
  const own = error(path)
  const one = items.properties ? 'line' : title.toLowerCase()
  return (
    <View style={{ gap: 8 }}>
      {own ? (
        <T tone="madder" role="alert">
          {own}
        </T>
      ) : null}
      {value.map((v, i) => (
        // A line has no name of its own; its place in the list is what tells it apart.
        <View key={`${value.length}-${i}`} style={{ gap: 4 }}>
          <SchemaForm
            schema={items}
            value={v}
            title={`${title} ${i + 1}`}
            path={`${path}.${i}`}
            error={error}
            onChange={(next) => onChange(value.map((x, n) => (n === i ? (next ?? null) : x)))}
          />
          <Action
            kind="plain"
            label={`Take ${title.toLowerCase()} ${i + 1} away`}
            onPress={() => onChange(value.filter((_, n) => n !== i))}
          />
        </View>
      ))}
      <Action
        kind="plain"
        label={`Add a ${one === 'line' ? `line to ${title.toLowerCase()}` : `line to ${one}`}`}
        onPress={() =>
          onChange([...value, items.properties && value.length ? (value.at(-1) as Value) : emptyOf(items)])
        }
      />
    </View>
  )
}
