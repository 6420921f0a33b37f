// The browser has these; the test environment does not. Bytes are made in this realm, as a browser's are.
globalThis.TextEncoder ??= class {
  encode(text) {
    return Uint8Array.from(Buffer.from(text, 'utf8'))
  }
}
const { deserialize, serialize } = require('node:v8')
globalThis.structuredClone ??= (value) => deserialize(serialize(value))
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}
// A phone's screen: nothing is laid out here, and a long list draws what is in view.
if (globalThis.Element)
  Object.defineProperties(Element.prototype, {
    clientHeight: { configurable: true, get: () => 844 },
    clientWidth: { configurable: true, get: () => 390 },
  })
