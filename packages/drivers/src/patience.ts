/** Patience is counted in pieces, so that it shows when this computer itself stood still, ms. */
const pieceMs = 100

/**
 * Calls back after so much of time in which this computer was awake to hear an answer. While it stood still (asleep, or
 * busy with something else) the answer may lie there unread, which says nothing of the device: such a piece counts
 * a quarter, so that a computer that is always late loses patience too.
 * @returns what ends the waiting
 */
export function afterPatience(ms: number, then: () => void): () => void {
  let left = Math.max(1, ms)
  let timer: NodeJS.Timeout
  const wait = () => {
    const piece = Math.min(pieceMs, left)
    const from = performance.now()
    timer = setTimeout(() => {
      const stoodStill = performance.now() - from > 2 * piece + pieceMs / 2
      left -= stoodStill ? pieceMs / 4 : piece
      if (left < 1) then()
      else wait()
    }, piece)
  }
  wait()
  return () => clearTimeout(timer)
}
