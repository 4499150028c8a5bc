/**
 * Mutants of a folder of the core: each is the code with one thing changed, and is killed when a test fails.
 *   npm run mutants -- core/statistics 200          two hundred of them, drawn with a fixed seed
 *   npm run mutants -- core/screening 200 properties leaves test files of that name out
 * Works on a copy; no part of npm test. Results stand in docs/mutation.md.
 */
import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import ts from 'typescript'
import { seededRandom } from '../core/planning/random'

const [folder = 'core/choice', most = '100', without = ''] = process.argv.slice(2)
const root = resolve(import.meta.dirname, '..')
const copy = join(root, '.cache/mutants')
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

rmSync(copy, { recursive: true, force: true })
mkdirSync(copy, { recursive: true })
for (const name of ['core', 'package.json', 'tsconfig.json', 'tsconfig.base.json'])
  cpSync(join(root, name), join(copy, name), { recursive: true })
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'))
// Threads: what hangs in one ends with the process.
const test = {
  pool: 'threads',
  testTimeout: 60_000,
  hookTimeout: 60_000,
  server: { deps: { inline: ['maxrects-packer'] } },
}
const config = `export default { test: ${JSON.stringify(test)} }`
writeFileSync(join(copy, 'vitest.config.mjs'), config)

const arguments_ = ['run', folder, '--bail=1', '--reporter=dot', ...(without ? ['--exclude', `**/${without}*`] : [])]
/** Whether the tests of the folder pass within a time, ms; what hangs does not. */
const passes = (timeout: number): boolean =>
  spawnSync(process.execPath, [join(root, 'node_modules/vitest/vitest.mjs'), ...arguments_], {
    cwd: copy,
    stdio: 'ignore',
    timeout,
    killSignal: 'SIGKILL',
  }).status === 0

const began = Date.now()
if (!passes(600_000)) throw new Error('The tests fail on the code as it is.')
/** A mutant that takes so many times as long as the code as it is hangs; a loaded machine alone does not. */
const limit = Math.max(45_000, 4 * (Date.now() - began))
/** Where a mutant stands, and what it changes, in a line. */
function words({ file, from, was, text }: Mutant): string {
  const line = readFileSync(join(root, file), 'utf8').slice(0, from).split('\n').length
  return `${file}:${line} ${was.slice(0, 60).replace(/\s+/g, ' ')} → ${text.slice(0, 40)}`
}
let killed = 0
drawn.forEach((mutant, at) => {
  const path = join(copy, mutant.file)
  const code = readFileSync(path, 'utf8')
  writeFileSync(path, code.slice(0, mutant.from) + mutant.text + code.slice(mutant.to))
  if (!passes(limit)) killed++
  else console.log(`survived: ${words(mutant)}`)
  writeFileSync(path, code)
  if ((at + 1) % 10 === 0) console.log(`${at + 1} of ${drawn.length}: ${killed} killed`)
})
const share = ((100 * killed) / Math.max(1, drawn.length)).toFixed(1)
console.log(`${folder}: ${all.length} mutants, ${drawn.length} drawn, ${killed} killed (${share} %)`)
