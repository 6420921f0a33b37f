import { all, boardOf, load, type Controller, type Terminal } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { Pressable, View } from 'react-native'
import { T } from '../parts/Text'
import { useFacts } from '../state/job'
import { useGround } from '../theme'

/** A controller as its terminal strip: each screw a numbered cell with what is on it; free ones are open. */
export function Strip({ controller, group, chosen, onTerminal, fits }: { controller: Controller; group?: string; chosen?: string | null; onTerminal?: (terminal: Terminal) => void; fits?: (terminal: Terminal) => boolean }) {
  const facts = useFacts()
  const ground = useGround()
  const sheet = boardOf(sheetsFor(facts), controller)
  const doors = all(facts, 'door').filter((d) => d.placement?.controller === controller.id)
  const count = load(controller.id, doors)
  const users = (id: string) => doors.flatMap((d) => Object.entries(d.placement?.terminals ?? {}).filter(([, t]) => t === id).map(([key]) => `${d.ref} ${key.split('.')[0]}`))
  const groups = sheet.controller?.portGroups.filter((g) => !group || g.id === group) ?? []
  return (
    <View style={{ gap: 12 }}>
      {groups.map((g) => (
        <View key={g.id} style={{ gap: 4 }}>
          <T face="mid" style={{ paddingHorizontal: 16 }}>{g.name}{doors.find((d) => d.placement?.portGroup === g.id) ? ` · ${doors.find((d) => d.placement?.portGroup === g.id)?.ref}` : ' · free'}</T>
          <View style={{ flexDirection: sheet.controller?.terminalOneAt === 'right' ? 'row-reverse' : 'row', flexWrap: 'wrap', paddingHorizontal: 16 }}>
            {sheet.terminals.filter((t) => t.group === g.id).map((t) => {
              const on = users(t.id)
              const over = (count.get(t.id) ?? 0) > t.maxConductors
              const open = fits?.(t) ?? false
              const words = `Terminal ${t.id} ${t.label}: ${on.length ? on.join(', ') : 'free'}${over ? ', too many conductors' : ''}`
              return (
                <Pressable key={t.id} {...(onTerminal ? { role: 'button' as const, onPress: () => onTerminal(t) } : { role: 'img' as const })} aria-label={words}
                  style={{ width: 56, minHeight: 72, borderWidth: 1, marginRight: -1, marginBottom: -1, borderColor: over ? ground.madder : ground.ink, backgroundColor: chosen === t.id ? ground.oxide : ground.sheet, alignItems: 'center', paddingTop: 4, ...(open ? { borderBottomWidth: 5, borderBottomColor: ground.oxide } : {}) }}>
                  <View style={{ width: 12, height: 12, borderRadius: 6, borderWidth: 1.5, borderColor: ground.ink, backgroundColor: on.length ? ground.ink : 'transparent' }} />
                  <T face="mono" size={15} tone={chosen === t.id ? 'onOxide' : 'ink'}>{t.id}</T>
                  <T face="mid" size={11} tone={chosen === t.id ? 'onOxide' : 'quiet'}>{t.label}</T>
                  <T face="mono" size={11} tone={chosen === t.id ? 'onOxide' : over ? 'madder' : 'ink'} numberOfLines={1}>{on.map((u) => u.split(' ')[1]).join(' ')}</T>
                </Pressable>
              )
            })}
          </View>
        </View>
      ))}
    </View>
  )
}
