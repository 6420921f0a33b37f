import { answers } from '@rauta/contracts'
import type { Route } from './route'

/** The OpenAPI 3.1 document of these routes. */
export function openApi(routes: readonly Route[]): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const route of routes) {
    const path = `/api/v1${route.path.replace(/:(\w+)/g, '{$1}')}`
    const parameters = [...route.path.matchAll(/:(\w+)/g)].map((m) => ({
      name: m[1],
      in: 'path',
      required: true,
      schema: { type: 'string' },
    }))
    const media = 'media' in route.answer ? route.answer.media : 'application/json'
    paths[path] = {
      ...paths[path],
      [route.method]: {
        operationId: `${route.method}${route.path.replace(/[^a-zA-Z]+(\w)/g, (_, c: string) => c.toUpperCase()).replace(/[^a-zA-Z]/g, '')}`,
        summary: route.says,
        ...(parameters.length ? { parameters } : {}),
        ...(route.roles === 'anyone' ? { security: [] } : {}),
        ...(route.body
          ? { requestBody: { required: true, content: { 'application/json': { schema: route.body } } } }
          : {}),
        ...(route.raw
          ? {
              requestBody: {
                required: true,
                content: {
                  'application/octet-stream': { schema: { type: 'string', format: 'binary', maxLength: route.raw } },
                },
              },
            }
          : {}),
        responses: {
          '200': {
            description: 'Done',
            content: { [media]: { schema: 'media' in route.answer ? { type: 'string' } : route.answer } },
          },
          '4XX': {
            description: 'What is wrong and how to mend it',
            content: { 'application/problem+json': { schema: answers.problem } },
          },
        },
      },
    }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Rauta',
      version: '1.0.0',
      summary: 'Commissioning of access control hardware',
      license: { name: 'Apache-2.0', identifier: 'Apache-2.0' },
    },
    servers: [{ url: '/' }],
    security: [{ session: [] }],
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'rauta_session' } } },
    paths,
  }
}
