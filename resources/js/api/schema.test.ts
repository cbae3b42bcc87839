import { readFileSync } from 'node:fs'
import openapiTS, { astToString } from 'openapi-typescript'
import { expect, it } from 'vitest'

it("the types are those of the API's description (else: npm run api)", async () => {
  const fresh = astToString(await openapiTS(new URL('../../../public/openapi.json', import.meta.url)))
  const kept = readFileSync(new URL('./schema.ts', import.meta.url), 'utf8')
  expect(kept.replace(/^\/\*\*[\s\S]*?\*\/\s*/, '').trim()).toBe(fresh.trim())
})
