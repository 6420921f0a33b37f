/** Scores of the estimator run from 0 to 4; 3 stands for 10^8 guesses and more, which argon2id makes years. */
const fewestScore = 3
const fewestLetters = 5
/** The estimator's time grows with the square of the length; what comes behind so many signs makes no password weaker. */
const looked = 64

/** Made when the first password is set: the lists take a tenth of a second to unfold. */
let estimator: Promise<(password: string, own: string[]) => number> | null = null
const scoreOf = (): Promise<(password: string, own: string[]) => number> =>
  (estimator ??= (async () => {
    const [{ ZxcvbnFactory }, common] = await Promise.all([
      import('@zxcvbn-ts/core'),
      import('@zxcvbn-ts/language-common'),
    ])
    const made = new ZxcvbnFactory({ dictionary: common.dictionary, graphs: common.adjacencyGraphs })
    return (password, own) => made.check(password, own).score
  })())

/** Why a password is too easily guessed, in words, or null. */
export async function weakness(name: string, password: string): Promise<string | null> {
  const plain = password.toLowerCase()
  if (new Set(plain).size < fewestLetters)
    return `This password has fewer than ${fewestLetters} different signs. Take several words.`
  if (name.length > 2 && plain.includes(name.toLowerCase()))
    return 'This password has the name in it. Take other words.'
  if (/^(.{1,5})\1+.?$/.test(plain)) return 'This password repeats itself. Take several words.'
  const score = (await scoreOf())(password.slice(0, looked), [name, 'rauta'])
  return score < fewestScore
    ? 'This password is among the first that anybody would try. Take several words that do not belong together.'
    : null
}
