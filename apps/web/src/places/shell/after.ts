import { router } from 'expo-router'
import { useWide } from '../../theme'

/** Where one goes when something of a list was saved: back to the list on a phone; on a wide screen it stands beside it, and stays. */
export function useAfter(place: '/people' | '/time' | '/access'): (id: string) => void {
  const wide = useWide()
  return (id) => router.push(wide ? `${place}/${id}` : place)
}
