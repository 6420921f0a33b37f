import type { DeviceSheet } from '../devices/sheet'
import { stop, type Finding } from '../job/finding'
import { oncePerConfig } from './oncePer'
import { readKey } from './parts'
import type { Config } from './records'

const formatsWanted = oncePerConfig(
  (wanted) => Object.keys(wanted).filter((key) => readKey(key).name === 'cardFormat').length,
)

/** What a device of this type cannot hold of the card formats that are wanted of it. */
export function formatLimitFindings(ref: string, board: DeviceSheet, wanted: Config): Finding[] {
  const most = board.controller?.ownFormats ?? 0
  const has = formatsWanted(wanted)
  return has > most
    ? [
        stop(
          'load',
          'formats-full',
          `${ref} holds ${most} card formats by fields, and ${has} are wanted of it. Let its readers send fewer.`,
        ),
      ]
    : []
}
