import multicastDns from 'multicast-dns'

/** Seconds for which a phone may remember the address: short, since a laptop changes networks. */
const lifetimeS = 60

/** Answers for a name on the local network (multicast DNS, RFC 6762). @param addresses those of now */
export function announce(host: string, addresses: () => readonly string[], from: string | null): { close(): void } {
  const mdns = multicastDns({ reuseAddr: true, ...(from ? { interface: from, bind: '0.0.0.0' } : {}) })
  // Without a multicast route there is no name; the address still works.
  mdns.on('error', () => undefined)
  const answers = () =>
    addresses().map((data) => ({ name: host, type: 'A' as const, ttl: lifetimeS, flush: true, data }))
  mdns.on('query', (query) => {
    if (query.questions.some((q) => q.name.toLowerCase() === host && ['A', 'ANY'].includes(q.type)))
      mdns.respond({ answers: answers() })
  })
  return { close: () => mdns.destroy() }
}
