import type { Response } from 'express'

/** Media type of a workbook. */
export const xlsx = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

/** A name that every computer can keep a file under, in whatever script it is. */
export const fileName = (text: string): string => text.replace(/[^\p{L}\p{M}\p{N}_-]+/gu, '-')

/** Answers with a file to be saved; its name in the header as RFC 6266 has it. */
export function attach(response: Response, type: string, name: string, body: Uint8Array | string): void {
  response
    .attachment(name)
    .type(type)
    .send(typeof body === 'string' ? body : Buffer.from(body))
}
