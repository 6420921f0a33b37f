import { all, areaTree, isInside } from '@rauta/core'
import { View } from 'react-native'
import { Tick } from '../../parts/Action'
import { counted } from '../../parts/count'
import { useFacts } from '../../state/job'
import { doorsInOrder } from '../../state/worked'

interface TicksProps {
  chosen: readonly string[]
  onChange: (doors: string[]) => void
  /** A door that is not to be chosen. */ except?: string
}

/** Which doors: one by one, or all into an area in one tap. */
export function DoorTicks({ chosen, onChange, except }: TicksProps) {
  const doors = doorsInOrder(useFacts()).filter((d) => d.id !== except)
  const toggle = (id: string) => onChange(chosen.includes(id) ? chosen.filter((x) => x !== id) : [...chosen, id])
  return (
    <>
      <AreaTicks chosen={chosen} onChange={onChange} {...(except === undefined ? {} : { except })} />
      {doors.map((d) => (
        <Tick key={d.id} label={`${d.ref} ${d.name}`} on={chosen.includes(d.id)} onPress={() => toggle(d.id)} />
      ))}
    </>
  )
}

/** All doors into an area, and into those inside it, in one tap; tapped again they are off. */
function AreaTicks({ chosen, onChange, except }: TicksProps) {
  const facts = useFacts()
  const doors = doorsInOrder(facts).filter((d) => d.id !== except)
  const areas = areaTree(all(facts, 'area'))
    .map(({ area }) => ({ area, ids: doors.filter((d) => isInside(facts, d.to, area.id)).map((d) => d.id) }))
    .filter(({ ids }) => ids.length > 0)
  return (
    <View
      role="group"
      aria-label="All doors into an area"
      style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}
    >
      {areas.map(({ area, ids }) => {
        const on = ids.every((id) => chosen.includes(id))
        const without = chosen.filter((id) => !ids.includes(id))
        return (
          <Tick
            key={area.id}
            label={`${area.name}, ${counted(ids.length, 'door')}`}
            on={on}
            onPress={() => onChange(on ? without : [...without, ...ids])}
          />
        )
      })}
    </View>
  )
}
