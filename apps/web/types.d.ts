declare module '*.ttf' {
  const source: string
  export default source
}
