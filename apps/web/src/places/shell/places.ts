import type { Href } from 'expo-router'

export interface Place {
  href: Extract<Href, string>
  label: string
  /** Two of them stand side by side in the rail, so that all are seen on a screen of 800 px without any being too small to hit. */
  half?: true
}

/** Every place, in the order of the work. */
export const places: readonly { head: string; items: readonly Place[] }[] = [
  {
    head: 'Before',
    items: [
      { href: '/job', label: 'Job' },
      { href: '/sheets', label: 'Device sheets' },
      { href: '/schedule', label: 'Door schedule' },
      { href: '/doors', label: 'Doors' },
      { href: '/siting', label: 'Place doors' },
      { href: '/controllers', label: 'Controllers' },
      { href: '/supplies', label: 'Supplies & cables' },
      { href: '/addresses', label: 'Addresses' },
      { href: '/at-hand', label: 'At hand', half: true },
      { href: '/papers', label: 'On paper', half: true },
    ],
  },
  {
    head: 'On site',
    items: [
      { href: '/reach', label: 'Reach', half: true },
      { href: '/radio', label: 'Radio', half: true },
      { href: '/people', label: 'People', half: true },
      { href: '/time', label: 'Time', half: true },
      { href: '/access', label: 'Access', half: true },
      { href: '/load', label: 'Load', half: true },
    ],
  },
  {
    head: 'To the end',
    items: [
      { href: '/prove', label: 'Prove', half: true },
      { href: '/live', label: 'Live', half: true },
      { href: '/waiting', label: 'Waiting records' },
      { href: '/team', label: 'Team' },
    ],
  },
]

/** Whether a path belongs to a place. */
export const inPlace = (path: string, href: string): boolean => path === href || path.startsWith(`${href}/`)
