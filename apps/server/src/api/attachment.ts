import type { Response } from 'express'

/** Media type of a workbook. */
export const xlsx = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

/** Answers with a file to be saved. */
export function attach(response: Response, type: string, name: string, body: Uint8Array | string): void {
  response.type(type).setHeader('content-disposition', `attachment; filename="${name}"`).send(typeof body === 'string' ? body : Buffer.from(body))
}
