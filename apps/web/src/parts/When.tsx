import { Field } from './Field'

export interface WhenProps {
  label: string
  /** `2027-01-04`, `07:30` or `2027-01-04T07:30`, by its kind; empty for none. */
  value: string
  onChange: (value: string) => void
  kind: 'date' | 'time' | 'datetime-local'
  error?: string | undefined
}

const hints = { date: '2027-01-04', time: '07:30', 'datetime-local': '2027-01-04T07:30' } as const

/** A day, a time or a moment, where there is no page whose browser has a control for it. */
export const When = ({ kind, ...field }: WhenProps) => <Field {...field} hint={hints[kind]} mono />
