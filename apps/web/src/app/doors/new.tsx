import { router, useLocalSearchParams } from 'expo-router'
import { DoorForm } from '../../places/lazyForms'
import { useFacts } from '../../state/job'

export default function Route() {
  const { like } = useLocalSearchParams<{ like?: string }>()
  const other = useFacts().door[like ?? '']
  return (
    <DoorForm
      key={other?.id ?? ''}
      {...(other ? { like: other } : {})}
      onDone={(d) => router.push(`/doors/${d}/plan`)}
    />
  )
}
