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

export const useOffline = create<Offline>((set, get) => ({
  secure: typeof isSecureContext === 'undefined' ? false : isSecureContext,
  installed: false, lasting: null, newer: null,
  begin() {
    if (!get().secure || !('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return
    void navigator.storage?.persist?.().then((lasting) => set({ lasting }))
    let taken = false
    navigator.serviceWorker.addEventListener('controllerchange', () => { if (taken) location.reload() })
    // Putting the whole application on the phone waits until the first screen stands: it would take the time of it.
    setTimeout(() => { void navigator.serviceWorker.register('/sw.js').then((registration) => {
      const offer = () => { const { waiting } = registration; if (waiting && navigator.serviceWorker.controller) set({ newer: () => { taken = true; waiting.postMessage({ type: 'SKIP_WAITING' }) } }) }
      offer()
      registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', offer))
    }).catch(() => undefined) }, firstScreenMs)
    void navigator.serviceWorker.ready.then(() => set({ installed: true }))
  },
}))
