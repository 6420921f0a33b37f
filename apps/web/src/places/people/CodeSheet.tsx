import { codeFault, newCode } from '@rauta/core'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'

interface Codes {
  code: string
  duress: string
}

/** Digits of a code that is drawn for somebody. */
const drawnDigits = 5

/** A whole number below another, by the browser's own source of randomness. */
function drawn(below: number): number {
  const [word = 0] = crypto.getRandomValues(new Uint32Array(1))
  return word % below
}

/** What is wrong with codes before they are sent. */
export const codeFaults = (p: { code?: string; duress?: string }): { path: keyof Codes; says: string }[] =>
  (['code', 'duress'] as const).flatMap((path) => {
    const fault = p[path] === undefined ? null : codeFault(p[path])
    return fault ? [{ path, says: fault }] : []
  })

/** What somebody enters at a keypad; covered until it is asked for, since others look on. */
export function CodeSheet({
  value,
  put,
  error,
}: {
  value: Codes
  put: (codes: Partial<Codes>) => void
  error: (path: string) => string | undefined
}) {
  const facts = useFacts()
  const [open, setOpen] = useState(false)
  const shown = open || !!error('code') || !!error('duress')
  const draw = () => {
    put({ code: newCode(facts, drawnDigits, drawn) })
    setOpen(true)
  }
  return (
    <Sheet title="Code at a keypad">
      {shown ? (
        <>
          <Field
            label="Code, 4 to 8 digits"
            value={value.code}
            onChange={(code) => put({ code })}
            error={error('code')}
            keyboard="numeric"
            mono
          />
          <Field
            label="Code under duress: it opens, and tells in silence"
            value={value.duress}
            onChange={(duress) => put({ duress })}
            error={error('duress')}
            keyboard="numeric"
            mono
          />
        </>
      ) : (
        <T tone="quiet">{value.code ? `A code of ${value.code.length} digits is set.` : 'No code.'}</T>
      )}
      {shown ? null : (
        <Action kind="plain" label={value.code ? 'Show the code' : 'Enter a code'} onPress={() => setOpen(true)} />
      )}
      {value.code ? null : <Action kind="plain" label="Draw a code" onPress={draw} />}
    </Sheet>
  )
}
