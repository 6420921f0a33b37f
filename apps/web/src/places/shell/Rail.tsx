import { Link, usePathname } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { T } from '../../parts/Text'
import { useGround } from '../../theme'
import { inPlace, places, type Place } from './places'

export function Rail() {
  const path = usePathname()
  const ground = useGround()
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={{ width: railWidth, borderRightWidth: edge, borderColor: ground.ink, backgroundColor: ground.paper }}
    >
      {/* On a lower screen the last places are scrolled to. */}
      <ScrollView contentContainerStyle={{ paddingTop: 6 }}>
        <T face="strong" size={22} style={{ paddingHorizontal: 14, paddingBottom: 2 }}>
          Rauta
        </T>
        {places.map((part) => (
          <View key={part.head}>
            <T face="mid" size={13} tone="quiet" style={{ paddingHorizontal: 14, paddingTop: 6 }}>
              {part.head}
            </T>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
              {part.items.map((item) => (
                <RailLink key={item.href} place={item} on={inPlace(path, item.href)} />
              ))}
            </View>
          </View>
        ))}
      </ScrollView>
    </View>
  )
}

const railWidth = 150
const edge = 2

function RailLink({ place, on }: { place: Place; on: boolean }) {
  const ground = useGround()
  const width = (railWidth - edge) / (place.half ? 2 : 1)
  return (
    <Link href={place.href} aria-current={on ? 'page' : undefined} style={{ textDecorationLine: 'none' }}>
      <View
        style={{
          minHeight: 44,
          width,
          justifyContent: 'center',
          paddingLeft: 10,
          borderLeftWidth: 4,
          borderLeftColor: on ? ground.oxide : 'transparent',
        }}
      >
        <T face={on ? 'strong' : 'mid'} numberOfLines={1}>
          {place.label}
        </T>
      </View>
    </Link>
  )
}
