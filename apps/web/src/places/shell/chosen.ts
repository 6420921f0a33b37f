import { usePathname } from 'expo-router'

/** What stands beside a list: the id in the address, or the first of the list where there is none. */
export function useChosen(first: string | undefined): string | undefined {
  const id = usePathname().split('/')[2]
  return id === undefined ? first : decodeURIComponent(id)
}
