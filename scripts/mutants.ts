/**
 * Mutants of a folder of the core: each is the code with one thing changed, and is killed when a test fails.
 *   npm run mutants -- core/statistics 200          two hundred of them, drawn with a fixed seed
 *   npm run mutants -- core/screening 200 properties leaves test files of that name out
 * Two at a time, each in a copy of its own: the tests that name the file first, then all of the folder. No part of npm
 * test. Results stand in docs/mutation.md.
 */
import { spawn } from 'node:child_process'
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { basename, join, resolve } from 'node:path'
import ts from 'typescript'
import { seededRandom } from '../core/planning/random'

const [folder = 'core/choice', most = '100', without = ''] = process.argv.slice(2)
const root = resolve(import.meta.dirname, '..')
const copies = ['a', 'b'].map((name) => join(root, '.cache/mutants', name))
/** MUTANTS_SEED draws others: those against which no test was written. */
const SEED = Number(process.env['MUTANTS_SEED'] ?? 20_261)

interface Mutant {
  file: string
  from: number
  to: number
  text: string
  was: string
}

const swaps: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.PercentToken]: '*',
  [ts.SyntaxKind.AsteriskAsteriskToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '<',
  [ts.SyntaxKind.GreaterThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '>',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
  [ts.SyntaxKind.QuestionQuestionToken]: '&&',
}
const methods: Record<string, string> = {
  some: 'every',
  every: 'some',
  min: 'max',
  max: 'min',
  filter: 'slice',
  floor: 'ceil',
  ceil: 'floor',
  sort: 'slice',
  reverse: 'slice',
}

/** Every mutant of a file: operators, comparisons, conditions, blocks left out, booleans, methods swapped. */
function mutantsOf(file: string): Mutant[] {
  const code = readFileSync(join(root, file), 'utf8')
  const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true)
  const found: Mutant[] = []
  const put = (node: ts.Node, text: string) => {
    const [from, to] = [node.getStart(source), node.getEnd()]
    found.push({ file, from, to, text, was: code.slice(from, to) })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const other = swaps[node.operatorToken.kind]
      const text = ts.isStringLiteralLike(node.left) || ts.isTemplateExpression(node.left)
      if (other && !text) put(node.operatorToken, other)
    }
    const condition = ts.isConditionalExpression(node)
      ? node.condition
      : ts.isIfStatement(node)
        ? node.expression
        : undefined
    if (condition) for (const text of ['true', 'false']) put(condition, text)
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      put(node, node.operand.getText(source))
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.MinusToken)
      put(node, `+${node.operand.getText(source)}`)
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true')
    if (ts.isBlock(node) && node.statements.length) put(node, '{}')
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent) && node.parent.expression === node) {
      const other = methods[node.name.text]
      if (other) put(node.name, other)
    }
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

const files = readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.includes('__tests__'))
  .map((name) => join(folder, name))
const all = files.flatMap(mutantsOf)
const random = seededRandom(SEED)
const drawn = all
  .map((mutant) => ({ mutant, at: random() }))
  .sort((x, y) => x.at - y.at)
  .slice(0, Number(most))
  .map(({ mutant }) => mutant)

// Threads: what hangs in one ends with the process.
const test = {
  pool: 'threads',
  maxWorkers: 1,
  testTimeout: 60_000,
  hookTimeout: 60_000,
  server: { deps: { inline: ['maxrects-packer'] } },
}
for (const copy of copies) {
  rmSync(copy, { recursive: true, force: true })
  mkdirSync(copy, { recursive: true })
  for (const name of ['core', 'package.json', 'tsconfig.json', 'tsconfig.base.json'])
    cpSync(join(root, name), join(copy, name), { recursive: true })
  symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'))
  writeFileSync(join(copy, 'vitest.config.mjs'), `export default { test: ${JSON.stringify(test)} }`)
}

const tests = readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.test.ts') && !(without && basename(name).startsWith(without)))
  .map((name) => join(folder, name))
/** The tests that name a file in an import: what most mutants of it are killed by. */
function nearest(file: string): string[] {
  const named = new RegExp(`from '[^']*/${basename(file, '.ts')}'`)
  return tests.filter((one) => named.test(readFileSync(join(root, one), 'utf8')))
}

/** Whether tests pass in a copy within a time, ms; what hangs does not. */
const passes = (copy: string, which: readonly string[], timeout: number): Promise<boolean> =>
  new Promise((done) => {
    const runner = join(root, 'node_modules/vitest/vitest.mjs')
    const child = spawn(process.execPath, [runner, 'run', ...which, '--bail=1', '--reporter=dot'], {
      cwd: copy,
      stdio: 'ignore',
      timeout,
      killSignal: 'SIGKILL',
    })
    child.on('close', (status) => done(status === 0))
  })

const began = Date.now()
const whole = await Promise.all(copies.map((copy) => passes(copy, tests, 900_000)))
if (!whole.every(Boolean)) throw new Error('The tests fail on the code as it is.')
/** A mutant that takes so many times as long as the code as it is hangs; a loaded machine alone does not. */
const limit = Math.max(45_000, 4 * (Date.now() - began))
/** Where a mutant stands, and what it changes, in a line. */
function words({ file, from, was, text }: Mutant): string {
  const line = readFileSync(join(root, file), 'utf8').slice(0, from).split('\n').length
  return `${file}:${line} ${was.slice(0, 60).replace(/\s+/g, ' ')} → ${text.slice(0, 40)}`
}

let [killed, done] = [0, 0]
const left = [...drawn]
/** Takes one mutant after the other until none is left. */
async function work(copy: string): Promise<void> {
  for (let mutant = left.shift(); mutant; mutant = left.shift()) {
    const path = join(copy, mutant.file)
    const code = readFileSync(path, 'utf8')
    writeFileSync(path, code.slice(0, mutant.from) + mutant.text + code.slice(mutant.to))
    const near = nearest(mutant.file)
    const survived = (!near.length || (await passes(copy, near, limit))) && (await passes(copy, tests, limit))
    writeFileSync(path, code)
    if (survived) console.log(`survived: ${words(mutant)}`)
    else killed++
    if (++done % 10 === 0) console.log(`${done} of ${drawn.length}: ${killed} killed`)
  }
}
await Promise.all(copies.map(work))
const share = ((100 * killed) / Math.max(1, drawn.length)).toFixed(1)
console.log(`${folder}: ${all.length} mutants, ${drawn.length} drawn, ${killed} killed (${share} %)`)
