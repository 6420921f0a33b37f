/** The insulation colours of device sheets as they look; names are the sheet's. */
export const wireColours: Readonly<Record<string, string>> = {
  red: '#C03028',
  black: '#17191A',
  green: '#2F7A3D',
  white: '#FFFFFF',
  grey: '#8C8F90',
  brown: '#7A4A22',
  blue: '#2B579A',
  yellow: '#D8B21C',
  violet: '#6B3FA0',
  orange: '#D96C1B',
  pink: '#DE8FA8',
}
/** Leads that would vanish on their ground get an edge. */
export const edged = (colour: string, dark: boolean): boolean =>
  dark ? ['black', 'brown', 'blue', 'violet'].includes(colour) : ['white', 'yellow', 'pink'].includes(colour)
