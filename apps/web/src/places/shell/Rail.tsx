import { Link, usePathname } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { T } from '../../parts/Text'
import { useGround } from '../../theme'
import { inPlace, places } from './places'

export function Rail() {
  const path = usePathname()
  const ground = useGround()
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={{ width: 148, borderRightWidth: 2, borderColor: ground.ink, backgroundColor: ground.paper }}
    >
      {/* On a low screen the last places are scrolled to; none is made too small to hit. */}
      <ScrollView contentContainerStyle={{ paddingTop: 8 }}>
        <T face="strong" size={22} style={{ paddingHorizontal: 14, paddingBottom: 6 }}>
          Rauta
        </T>
        {places.map((part) => (
          <View key={part.head} style={{ marginBottom: 4 }}>
            <T face="mid" size={13} tone="quiet" style={{ paddingHorizontal: 14, paddingVertical: 4 }}>
              {part.head}
            </T>
            {part.items.map((item) => {
              const on = inPlace(path, item.href)
              return (
                <Link
                  key={item.href}
                  href={item.href}
                  aria-current={on ? 'page' : undefined}
                  style={{ textDecorationLine: 'none' }}
                >
                  <View
                    style={{
                      minHeight: 44,
                      width: 146,
                      justifyContent: 'center',
                      paddingHorizontal: 12,
                      borderLeftWidth: 4,
                      borderLeftColor: on ? ground.oxide : 'transparent',
                    }}
                  >
                    <T face={on ? 'strong' : 'mid'}>{item.label}</T>
                  </View>
                </Link>
              )
            })}
          </View>
        ))}
      </ScrollView>
    </View>
  )
}
