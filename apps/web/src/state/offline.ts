import { create } from 'zustand'

interface Offline {
  /** Whether this page may work without the server: browsers allow it in a secure context only. */
  secure: boolean
  /** Whether the application itself is on this phone. */
  installed: boolean
  /** Whether the browser promised not to clear what is kept. Null while nobody has asked. */
  lasting: boolean | null
  /** A newer build lies ready. */
  newer: (() => void) | null
  begin(): void
}

/** By when the first screen stands, also on a slow phone. */
const firstScreenMs = 2500

export const useOffline = create<Offline>((set, get) => {
  /** The new build is taken on this page's own wish only: then it begins anew. */
  let taken = false
  const putOnPhone = async () => {
    const registration = await navigator.serviceWorker.register('/sw.js')
    const offer = () => {
      const { waiting } = registration
      if (waiting && navigator.serviceWorker.controller)
        set({
          newer: () => {
            taken = true
            waiting.postMessage({ type: 'SKIP_WAITING' })
          },
        })
    }
    offer()
    registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', offer))
  }
  return {
    secure: typeof isSecureContext === 'undefined' ? false : isSecureContext,
    installed: false,
    lasting: null,
    newer: null,
    begin() {
      if (!get().secure || !('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return
      void navigator.storage?.persist?.().then((lasting) => set({ lasting }))
      navigator.serviceWorker.addEventListener('controllerchange', () => {
        if (taken) location.reload()
      })
      void navigator.serviceWorker.ready.then(() => set({ installed: true }))
      // It would take the time of the first screen.
      setTimeout(() => {
        putOnPhone().catch(() => undefined)
      }, firstScreenMs)
    },
  }
})
