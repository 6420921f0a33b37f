/** Something that keeps the server from starting, told in one line. */
export class StartError extends Error {}
