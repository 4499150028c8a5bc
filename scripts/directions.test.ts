import { execFile } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { describe, expect, it } from 'vitest'

const run = promisify(execFile)
const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** What the directions check says of a folder that holds a core, with the project's own rules. */
async function check(folder: string): Promise<{ code: number; says: string }> {
  const args = [
    at('../node_modules/dependency-cruiser/bin/dependency-cruise.mjs'),
    '--config',
    at('../.dependency-cruiser.cjs'),
    '--ts-config',
    at('../tsconfig.base.json'),
    'core',
  ]
  return run(process.execPath, args, { cwd: at(folder) }).then(
    ({ stdout }) => ({ code: 0, says: stdout }),
    (error: { code: number; stdout: string }) => ({ code: error.code, says: error.stdout }),
  )
}

describe('the directions check', () => {
  it('fails on a folder of core that imports upward, and on one without a place in the order', async () => {
    const { code, says } = await check('./fixtures/upward/')
    expect(code).not.toBe(0)
    expect(says).toMatch(/core-order-knowledge: .*knowledge\/wrong\.ts → .*planning\/later\.ts/)
    expect(says).toMatch(/core-folder-without-place: .*odd\/nowhere\.ts/)
  })
  it('finds nothing in core itself', async () => {
    expect(await check('../')).toMatchObject({ code: 0 })
  })
})
