/** `1 door`, `12 doors`; `1 person`, `3 people`. */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`
