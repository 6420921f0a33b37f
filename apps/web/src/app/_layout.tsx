import BarlowText from '@expo-google-fonts/barlow/400Regular/Barlow_400Regular.ttf'
import BarlowMid from '@expo-google-fonts/barlow-semi-condensed/500Medium/BarlowSemiCondensed_500Medium.ttf'
import BarlowStrong from '@expo-google-fonts/barlow-semi-condensed/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf'
import Mono from '@expo-google-fonts/ibm-plex-mono/400Regular/IBMPlexMono_400Regular.ttf'
import { useFonts } from 'expo-font'
import { SafeAreaProvider } from 'react-native-safe-area-context'
import { Shell } from '../places/shell/Shell'
import { ThemeProvider } from '../theme'

export default function Layout() {
  useFonts({ Barlow: BarlowText, BarlowMid, BarlowStrong, Mono })
  return (
    <SafeAreaProvider>
      <ThemeProvider>
        <Shell />
      </ThemeProvider>
    </SafeAreaProvider>
  )
}
