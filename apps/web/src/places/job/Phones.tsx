import { useEffect, useState } from 'react'
import { Image } from 'react-native'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get } from '../../state/api'

interface Lan {
  origin: string
  trust: string
  fingerprint: string
  addresses: string[]
}

/** How the next phone comes in: a code that opens the page by which it trusts this job. */
export function Phones() {
  const [lan, setLan] = useState<Lan | null | undefined>(undefined)
  useEffect(() => {
    get<{ lan: Lan | null }>('/lan')
      .then((a) => setLan(a.lan))
      .catch(() => undefined)
  }, [])
  if (lan === undefined) return null
  if (lan === null)
    return (
      <Sheet title="Phones">
        <T>
          This laptop serves itself only. Start Rauta with <T face="mono">--lan</T>, and phones on the same network can
          open it and work without signal.
        </T>
      </Sheet>
    )
  return (
    <Sheet title="Phones">
      <T>Point the phone’s camera here, and follow the page that opens.</T>
      <Image
        source={{ uri: '/api/v1/lan/code.svg' }}
        style={{ width: 200, height: 200, backgroundColor: '#fff' }}
        accessibilityLabel={`Code that opens ${lan.trust}`}
      />
      <T face="mono" size={13}>
        {lan.trust}
      </T>
      <T>
        Then open <T face="mono">{lan.origin}</T>
      </T>
      <T tone="quiet" size={13}>
        The authority’s fingerprint, to compare with the phone:
      </T>
      <T face="mono" size={13}>
        {lan.fingerprint.replaceAll(':', ' ')}
      </T>
    </Sheet>
  )
}
