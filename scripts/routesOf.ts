import { createRequire } from 'node:module'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const here = createRequire(import.meta.url)
/** What the declaration begins with: it is made, and lies in the tree so that a fresh clone has it. */
const head = '// Made by scripts/routes.ts from the pages under apps/web/src/app: run it again where those change.\n'

/** Every address of the application as types, as the router's own generator writes them. */
export function routesOf(): string {
  const root = join(fileURLToPath(new URL('..', import.meta.url)), 'apps/web/src/app')
  const { requireContext } = here('expo-router/internal/testing') as {
    requireContext: (root: string, deep: boolean, which: RegExp) => unknown
  }
  const { EXPO_ROUTER_CTX_IGNORE } = here('expo-router/_ctx-shared') as { EXPO_ROUTER_CTX_IGNORE: RegExp }
  const { getTypedRoutesDeclarationFile } = here('@expo/router-server/build/typed-routes/generate') as {
    getTypedRoutesDeclarationFile: (pages: unknown) => string
  }
  return head + getTypedRoutesDeclarationFile(requireContext(root, true, EXPO_ROUTER_CTX_IGNORE))
}
