import Overlay from '@rneui/themed/dist/Overlay'
import type { ReactNode } from 'react'
import { View } from 'react-native'
import { useGround, useWide } from '../theme'

interface CoverProps {
  name: string
  onLeave: () => void
  children: ReactNode
}

/** What stands over the screen until it is answered or put away; the keyboard stays inside, Escape leaves. At the thumb on a phone. */
export function Cover({ name, onLeave, children }: CoverProps) {
  const ground = useGround()
  const wide = useWide()
  return (
    <Overlay
      isVisible
      onBackdropPress={onLeave}
      // Escape and the buttons leave too: nothing to come to with the keyboard.
      pressableProps={{ tabIndex: -1, 'aria-hidden': true } as object}
      {...({ 'aria-label': name } as object)}
      backdropStyle={{ backgroundColor: 'rgba(0, 0, 0, 0.55)' }}
      overlayStyle={{
        padding: 0,
        backgroundColor: ground.paper,
        borderWidth: 2,
        borderColor: ground.ink,
        maxHeight: '94%',
        ...(wide ? { width: 720 } : { width: '100%', position: 'absolute', bottom: 0 }),
      }}
    >
      <View style={{ flexShrink: 1 }}>{children}</View>
    </Overlay>
  )
}
