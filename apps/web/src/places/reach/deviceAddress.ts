import { partOfDeviceId } from '@rauta/core'

/** A device on the page of its own: a part's id has a slash, which an address keeps for itself. */
export const addressOfDevice = (id: string): string => id.replace('/', '~')
export const deviceOfAddress = (address: string): string => address.replace('~', '/')
/** Whether an address is of a part of a door, and not of a controller. */
export const isPartAddress = (address: string): boolean => partOfDeviceId(deviceOfAddress(address)) !== null
