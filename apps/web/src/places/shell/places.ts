/** Every place, in the order of the work. */
export const places = [
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
      { href: '/at-hand', label: 'At hand' },
      { href: '/papers', label: 'On paper' },
    ],
  },
  {
    head: 'On site',
    items: [
      { href: '/reach', label: 'Reach' },
      { href: '/people', label: 'People' },
      { href: '/time', label: 'Time' },
      { href: '/access', label: 'Access' },
      { href: '/load', label: 'Load' },
    ],
  },
  {
    head: 'To the end',
    items: [
      { href: '/prove', label: 'Prove' },
      { href: '/live', label: 'Live' },
      { href: '/waiting', label: 'Waiting records' },
      { href: '/team', label: 'Team' },
    ],
  },
] as const

/** Whether a path belongs to a place. */
export const inPlace = (path: string, href: string): boolean => path === href || path.startsWith(`${href}/`)
