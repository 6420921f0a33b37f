import type { Response } from 'express'

/** Media type of a workbook. */
export const xlsx = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

/** A name that every computer can keep a file under. */
export const fileName = (text: string): string => text.replace(/[^A-Za-z0-9_-]+/g, '-')

/** Answers with a file to be saved. */
export function attach(response: Response, type: string, name: string, body: Uint8Array | string): void {
  response
    .type(type)
    .setHeader('content-disposition', `attachment; filename="${name}"`)
    .send(typeof body === 'string' ? body : Buffer.from(body))
}
