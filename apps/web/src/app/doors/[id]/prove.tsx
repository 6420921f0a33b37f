import { useLocalSearchParams } from 'expo-router'
import { Beside } from '../../../parts/Beside'
import { ProveList } from '../../../places/prove/ProveList'
import { ProvePage } from '../../../places/prove/ProvePage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return (
    <Beside list={<ProveList chosen={id} />}>
      <ProvePage key={id} id={id} />
    </Beside>
  )
}
