import { Link, usePathname } from 'expo-router'
import { View } from 'react-native'
import { T } from '../../parts/Text'
import { TabSign, type TabName } from '../../signs/TabSign'
import { useGround } from '../../theme'
import { inPlace } from './places'

const tabs: { name: TabName; href: '/doors' | '/reach' | '/load' | '/prove' | '/more'; label: string }[] = [
  { name: 'doors', href: '/doors', label: 'Doors' },
  { name: 'reach', href: '/reach', label: 'Reach' },
  { name: 'load', href: '/load', label: 'Load' },
  { name: 'prove', href: '/prove', label: 'Prove' },
  { name: 'more', href: '/more', label: 'More' },
]

export function Tabs() {
  const path = usePathname()
  const ground = useGround()
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={{ flexDirection: 'row', backgroundColor: ground.sheet, borderTopWidth: 1, borderColor: ground.line }}
    >
      {tabs.map((tab) => {
        const on = path.endsWith('/prove') && path.startsWith('/doors') ? tab.name === 'prove' : inPlace(path, tab.href)
        return (
          <Link
            key={tab.href}
            href={tab.href}
            aria-current={on ? 'page' : undefined}
            style={{ flex: 1, textDecorationLine: 'none', display: 'flex' }}
          >
            <View
              style={{
                flex: 1,
                alignItems: 'center',
                minHeight: 56,
                paddingTop: 6,
                borderTopWidth: 4,
                borderTopColor: on ? ground.oxide : 'transparent',
              }}
            >
              <TabSign name={tab.name} on={on} />
              <T face="mid" size={13} tone={on ? 'ink' : 'quiet'}>
                {tab.label}
              </T>
            </View>
          </Link>
        )
      })}
    </View>
  )
}
