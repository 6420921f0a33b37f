import { useLocalSearchParams } from 'expo-router'
import { Beside } from '../../../parts/Beside'
import { ProveList, ProvePage } from '../../../places/lazyPages'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return (
    <Beside list={<ProveList chosen={id} />}>
      <ProvePage key={id} id={id} />
    </Beside>
  )
}
