import LinearProgress from '@rneui/themed/dist/LinearProgress'
import { useGround } from '../theme'

/** How far something long is, 0 to 1. */
export function Progress({ label, share }: { label: string; share: number }) {
  const ground = useGround()
  return (
    <LinearProgress
      {...({
        role: 'progressbar',
        accessibilityRole: undefined,
        accessibilityValue: undefined,
        'aria-label': label,
        'aria-valuemin': 0,
        'aria-valuemax': 100,
        'aria-valuenow': Math.round(share * 100),
      } as object)}
      value={share}
      variant="determinate"
      animation={false}
      color={ground.slate}
      trackColor={ground.line}
      style={{ height: 10 }}
    />
  )
}
