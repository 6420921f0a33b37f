/** A file that cannot be read as a list; `says` tells why and what to do. */
export class PaperError extends Error {
  constructor(readonly says: string) {
    super(says)
  }
}
