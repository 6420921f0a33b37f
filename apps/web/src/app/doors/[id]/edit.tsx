import { router, useLocalSearchParams } from 'expo-router'
import { DoorForm } from '../../../places/lazyForms'
import { Missing } from '../../../places/shell/Missing'
import { useFacts } from '../../../state/job'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  const door = useFacts().door[id]
  return door ? (
    <DoorForm key={id} door={door} onDone={(d) => router.push(`/doors/${d}/plan`)} />
  ) : (
    <Missing what="door" which={id} />
  )
}
