import { router } from 'expo-router'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useSession } from '../../state/session'
import { places } from './places'

const about: Record<string, string> = {
  '/job': 'Client, site, areas, network, test cards, display',
  '/sheets': 'What each type of device needs and bears',
  '/schedule': 'The list of doors, in and out',
  '/siting': 'All doors on controllers at once',
  '/controllers': 'Strips and cabinets',
  '/supplies': 'Volts, amps, watts, hours; what opens when',
  '/addresses': 'Network, buses, switches',
  '/radio': 'Hubs and wireless locks, the standby credential',
  '/at-hand': 'What must be ordered or brought',
  '/papers': 'Wire sheets, lists, labels',
  '/people': 'Who has which card',
  '/time': 'Schedules and special days',
  '/access': 'Who passes where and when, and why',
  '/live': 'What the doors say, as it happens',
  '/waiting': 'What waits on this phone for the server',
  '/team': 'Accounts, signing out',
}

export function MorePage() {
  const rig = useSession((s) => s.me?.rigPage)
  return (
    <Screen title="More">
      {places
        .flatMap((p) => [...p.items])
        .filter((i) => about[i.href])
        .map((i) => (
          <Line key={i.href} label={i.label} onPress={() => router.push(i.href)}>
            <T face="strong" size={17}>
              {i.label}
            </T>
            <T tone="quiet">{about[i.href]}</T>
          </Line>
        ))}
      {rig ? (
        <Line
          label="The rig"
          onPress={() => {
            window.open(rig, '_blank')
          }}
        >
          <T face="strong" size={17}>
            The rig
          </T>
          <T tone="quiet">The simulated site, where you play the hands</T>
        </Line>
      ) : null}
    </Screen>
  )
}
