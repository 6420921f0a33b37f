import { When } from './When'

interface FromUntilProps {
  /** What it does between the two days: `Valid`, `Counts`. */
  verb: string
  value: { validFrom: string; validUntil: string }
  set: (field: 'validFrom' | 'validUntil') => (day: string) => void
  error: (field: string) => string | undefined
}

/** The first and the last day of something; either may be left open. */
export function FromUntil({ verb, value, set, error }: FromUntilProps) {
  return (
    <>
      <When
        kind="date"
        label={`${verb} from, empty for at once`}
        value={value.validFrom}
        onChange={set('validFrom')}
        error={error('validFrom')}
      />
      <When
        kind="date"
        label={`${verb} until the end of, empty for no end`}
        value={value.validUntil}
        onChange={set('validUntil')}
        error={error('validUntil')}
      />
    </>
  )
}
