/** Format of a credential that has codes and no card. */
export const codeOnly = 'code'

/** Our card formats by the format types of the ONVIF access control base specification (from memory); 34 bits have none there. */
const types: Readonly<Record<string, string>> = {
  wiegand26: 'WIEGAND26',
  wiegand34: 'WIEGAND34',
  serial4: 'SIMPLE_NUMBER32',
  serial7: 'SIMPLE_NUMBER56',
  code: codeOnly,
}

/** What is none of ours goes and comes as it is. */
export const typeOfFormat = (format: string): string =>
  Object.hasOwn(types, format) ? (types[format] ?? format) : format
export const formatOfType = (type: string): string =>
  Object.entries(types).find(([, known]) => known === type)?.[0] ?? type
