import type { Scene } from './scene'

/** How a leaf is opened without a release. Pushing never opens a powered magnetic lock; a strike gives way to its handle or key. */
export function forceInstruction(scene: Scene): string {
  if (scene.magnetic)
    return 'A powered magnet does not give way to a push. Pull the lock’s feed at its terminal, push the leaf open, then put the feed back.'
  return scene.door.handle
    ? 'Open the leaf with the handle, without card or button.'
    : 'Open the leaf with the mechanical key, without card or button.'
}
