import { useLocalSearchParams } from 'expo-router'
import { CabinetPage } from '../../places/controllers/CabinetPage'

export default function Route() {
  const { name } = useLocalSearchParams<{ name: string }>()
  return <CabinetPage key={name} name={name} />
}
