import { all, sheetOf, type Controller } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { controllersInOrder } from '../../state/worked'

/** Controllers under the cabinets that they hang in. @param chosen the controller or cabinet that stands beside the list */
export function ControllersPage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const controllers = controllersInOrder(facts)
  const cabinets = [...new Set([...controllers, ...all(facts, 'unit')].map((c) => c.cabinet))].sort()
  return (
    <Screen
      title="Controllers"
      bar={<Action label="Plan a controller" onPress={() => router.push('/controllers/new')} />}
    >
      {controllers.length === 0 ? (
        <T style={{ padding: 16 }}>No controller is planned yet. Doors are placed on controllers.</T>
      ) : null}
      {cabinets.map((name) => (
        <View key={name} style={{ marginTop: 12 }}>
          <Line
            label={`Inside of ${name}`}
            chosen={chosen === name}
            onPress={() => router.push(`/cabinets/${encodeURIComponent(name)}`)}
          >
            <View style={{ flexDirection: 'row', alignItems: 'baseline' }}>
              <T level={2} face="strong" size={17} style={{ flex: 1 }}>
                {name}
              </T>
              <T tone="oxide">look inside</T>
            </View>
          </Line>
          {controllers
            .filter((c) => c.cabinet === name)
            .map((c) => (
              <ControllerLine
                key={c.id}
                controller={c}
                name={sheetOf(sheetsFor(facts), c.sheet).name}
                chosen={chosen === c.id}
              />
            ))}
        </View>
      ))}
    </Screen>
  )
}

function ControllerLine({ controller: c, name, chosen }: { controller: Controller; name: string; chosen: boolean }) {
  return (
    <Line label={`${c.ref} ${name}`} chosen={chosen} onPress={() => router.push(`/controllers/${c.id}`)}>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <T face="mono">{c.ref}</T>
        <View style={{ flex: 1 }}>
          <T face="strong">{name}</T>
          <T tone="quiet">{c.serial || 'no serial yet'}</T>
        </View>
        <T face="mono" size={13}>
          {c.address}
        </T>
      </View>
    </Line>
  )
}
