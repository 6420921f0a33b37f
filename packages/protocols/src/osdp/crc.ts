/** What an OSDP frame's check begins with (IEC 60839-11-5; from memory). */
const initial = 0x1d0f
const polynomial = 0x1021

const table = Uint16Array.from({ length: 256 }, (_, byte) => {
  let crc = byte << 8
  for (let bit = 0; bit < 8; bit++) crc = (crc & 0x8000 ? (crc << 1) ^ polynomial : crc << 1) & 0xffff
  return crc
})

/** CRC-16 of a frame without its check: polynomial 0x1021, initial 0x1D0F, not reflected. */
export function crc16(bytes: Uint8Array): number {
  let crc = initial
  for (const byte of bytes) crc = ((crc << 8) & 0xffff) ^ (table[(crc >> 8) ^ byte] as number)
  return crc
}

/** The one-byte check of a frame without a CRC: what makes the sum of all its bytes nought. */
export function checksum(bytes: Uint8Array): number {
  let sum = 0
  for (const byte of bytes) sum = (sum + byte) & 0xff
  return (0x100 - sum) & 0xff
}
