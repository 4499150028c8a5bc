import { describe, expect, it } from 'vitest'
import { CodedError } from '../../core/errors'
import { allThatHappened, noteFault } from './happened'

const noted = (error: unknown) => {
  noteFault(error, 1)
  return allThatHappened()[0]!.text
}
const withStack = (error: Error, ...lines: string[]) =>
  Object.assign(error, { stack: `${error.name}: ${error.message}\n${lines.join('\n')}` })

describe('a fault, as it is told', () => {
  it.each([
    'could not open C:\\Users\\Anna\\Heron wing.json',
    '/home/anna/heron.bench.json: no such file',
    'Unexpected token in “Anna’s secret glue”',
    'Heron\n    at Heron (/assets/heron.js:1:2)',
    "Cannot read properties of undefined (reading 'Heron wing')",
    'Heron is not a function',
  ])('holds nothing of the message %j', (message) => {
    const text = noted(
      withStack(
        new TypeError(message),
        '    at logPull (http://localhost:4870/assets/BreakPage-x1.js:12:34)',
        '    at Anna (file:///home/anna/heron/plugin.js:1:1)',
        '    at chrome-extension://abcdef/heron.js:2:3',
      ),
    )
    expect(text).not.toMatch(/heron|anna|secret|home|users|localhost/i)
    expect(text).toMatch(/^TypeError: .*logPull \(assets\/BreakPage-x1\.js:12:34\)$/)
  })

  it('says what the engine and the app say by themselves', () => {
    expect(noted(new TypeError('Cannot read properties of null (reading "x")'))).toMatch(
      /^TypeError: Cannot read properties of null/,
    )
    expect(noted(new CodedError('storage-silent', 'Heron', { detail: 'Heron' }))).toMatch(/^CodedError: storage-silent/)
    expect(noted('Heron')).toBe('something that is no error')
    expect(noted(Object.assign(new Error('Heron'), { name: 'Heron' }))).toMatch(/^Error/)
    expect(noted(Object.assign(new Error('Heron'), { name: 'Heron' }))).not.toMatch(/Heron/)
  })
})
