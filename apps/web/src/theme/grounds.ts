/** The two grounds. Every pair that carries text or a sign is checked for contrast in theme.test.ts. */
export interface Ground {
  name: 'daylight' | 'plant'
  paper: string
  sheet: string
  ink: string
  quiet: string
  line: string
  oxide: string
  onOxide: string
  verdigris: string
  ochre: string
  madder: string
  slate: string
}

export const daylight: Ground = {
  name: 'daylight',
  paper: '#F3EFE6',
  sheet: '#FBF9F4',
  ink: '#1F2527',
  quiet: '#5A6265',
  line: '#D8D1C2',
  oxide: '#A5421A',
  onOxide: '#FFFFFF',
  verdigris: '#1F6F5F',
  ochre: '#875C05',
  madder: '#9B1F3A',
  slate: '#3C5870',
}
export const plant: Ground = {
  name: 'plant',
  paper: '#16191A',
  sheet: '#202526',
  ink: '#ECE8DE',
  quiet: '#A3A9A6',
  line: '#363D3E',
  oxide: '#E58A5C',
  onOxide: '#16191A',
  verdigris: '#6FBFAA',
  ochre: '#D9A847',
  madder: '#E7778D',
  slate: '#8FB0CC',
}

const channel = (hex: string, at: number) => {
  const c = parseInt(hex.slice(at, at + 2), 16) / 255
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
}
const luminance = (hex: string) => 0.2126 * channel(hex, 1) + 0.7152 * channel(hex, 3) + 0.0722 * channel(hex, 5)

/** Contrast ratio of two colours, WCAG 2.2. */
export function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y)
  return ((high ?? 0) + 0.05) / ((low ?? 0) + 0.05)
}
