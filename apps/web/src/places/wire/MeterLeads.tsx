import { jobOf, wallClock } from '@rauta/core'
import { useState } from 'react'
import { FieldToEnter, numberIn } from '../../parts/Field'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { useSession } from '../../state/session'

/** The meter's own leads, measured once a day and taken off every reading of ohms. */
export function MeterLeads() {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const send = useJob((s) => s.send)
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState('')
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const zero = facts.meter[me?.name ?? '']
  const today = zero && wallClock(zero.at, zone).date === wallClock(Date.now(), zone).date
  const keep = async () => {
    const ohm = numberIn(text)
    if (ohm === null) {
      setWrong('Join the tips of the meter and write the ohms, for example 0,2.')
      return
    }
    try {
      await send('meter.zero', { ohm })
      setText('')
      setWrong('')
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <Sheet title="Your meter">
      <T tone={today ? 'quiet' : 'ochre'}>
        {today
          ? `Its leads: ${zero.ohm.toFixed(2)} Ω, measured today and taken off your readings of ohms.`
          : 'Its leads are not measured today: readings of ohms get 0.3 Ω of room for them.'}
      </T>
      <FieldToEnter
        label="Tips joined, Ω"
        value={text}
        onChange={setText}
        keyboard="decimal"
        mono
        error={wrong || undefined}
        action="Save"
        onEnter={keep}
      />
    </Sheet>
  )
}
