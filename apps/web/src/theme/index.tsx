import { createTheme, ThemeProvider as Controls } from '../parts/controls'
import { createContext, useContext, useMemo, type ReactNode } from 'react'
import { useColorScheme, useWindowDimensions } from 'react-native'
import { useSettings } from '../state/settings'
import { daylight, plant, type Ground } from './grounds'

export const faces = { text: 'Barlow', strong: 'BarlowStrong', mid: 'BarlowMid', mono: 'Mono' } as const
export type Face = keyof typeof faces

const GroundContext = createContext<Ground>(daylight)
export const useGround = (): Ground => useContext(GroundContext)

/** From 900 px the parts are laid side by side. */
export const useWide = (): boolean => useWindowDimensions().width >= 900

export function ThemeProvider({ children }: { children: ReactNode }) {
  const device = useColorScheme()
  const chosen = useSettings((s) => s.ground)
  const ground = (chosen === 'device' ? device === 'dark' : chosen === 'plant') ? plant : daylight
  const controls = useMemo(
    () =>
      createTheme({
        mode: ground.name === 'plant' ? 'dark' : 'light',
        lightColors: { primary: ground.oxide, background: ground.paper, black: ground.ink, white: ground.sheet },
        darkColors: { primary: ground.oxide, background: ground.paper, black: ground.ink, white: ground.sheet },
        components: {
          Button: {
            titleStyle: { fontFamily: faces.strong, fontWeight: 'normal', fontSize: 17 },
            buttonStyle: { borderRadius: 3, minHeight: 48, paddingHorizontal: 16 },
          },
          Input: {
            containerStyle: { paddingHorizontal: 0 },
            inputContainerStyle: {
              borderWidth: 1,
              borderBottomWidth: 1,
              borderColor: ground.quiet,
              borderRadius: 3,
              backgroundColor: ground.sheet,
              minHeight: 48,
            },
            inputStyle: {
              fontFamily: faces.text,
              fontSize: 17,
              color: ground.ink,
              minHeight: 46,
              minWidth: 0,
              paddingHorizontal: 12,
            },
            labelStyle: {
              fontFamily: faces.mid,
              fontWeight: 'normal',
              fontSize: 15,
              color: ground.ink,
              marginBottom: 4,
            },
            errorStyle: { fontFamily: faces.text, fontSize: 15, color: ground.madder, marginHorizontal: 0 },
            placeholderTextColor: ground.quiet,
          },
        },
      }),
    [ground],
  )
  return (
    <GroundContext.Provider value={ground}>
      <Controls theme={controls}>{children}</Controls>
    </GroundContext.Provider>
  )
}
