export { sha256 } from '@noble/hashes/sha2.js'
