import { Pick } from './Pick'

const zones = [...new Set(['UTC', ...Intl.supportedValuesOf('timeZone')])]

/** The time zone of a site; one that this browser does not list stays as it is. */
export function ZonePick({
  label,
  value,
  onChange,
  error,
}: {
  label: string
  value: string
  onChange: (zone: string) => void
  error?: string | undefined
}) {
  const options = [...(value === '' || zones.includes(value) ? [] : [value]), ...zones]
  return (
    <Pick
      label={label}
      value={value}
      onChange={onChange}
      error={error}
      options={options.map((zone) => ({ value: zone, label: zone.replaceAll('_', ' ') }))}
    />
  )
}
