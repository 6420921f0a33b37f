import { createContext, useContext, type ReactNode } from 'react'
import { View } from 'react-native'
import { useGround, useWide } from '../theme'

type Side = 'alone' | 'list' | 'detail'
const SideContext = createContext<Side>('alone')
/** Where a place stands: of a list and its detail, the detail is what the page is about. */
export const useSide = (): Side => useContext(SideContext)

/** On a wide screen a list with what is chosen of it beside; on a phone what is chosen alone. @param share width of the list to that of the detail */
export function Beside({ list, children, share = 1 }: { list: ReactNode; children: ReactNode; share?: number }) {
  const ground = useGround()
  if (!useWide()) return children
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ flex: share, minWidth: 0 }}>
        <SideContext.Provider value="list">{list}</SideContext.Provider>
      </View>
      <View style={{ flex: 1, minWidth: 0, borderLeftWidth: 1, borderColor: ground.line }}>
        <SideContext.Provider value="detail">{children}</SideContext.Provider>
      </View>
    </View>
  )
}
