// The browser has these; the test environment does not. Bytes are made in this realm, as a browser's are.
globalThis.TextEncoder ??= class {
  encode(text) {
    return Uint8Array.from(Buffer.from(text, 'utf8'))
  }
}
