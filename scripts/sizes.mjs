// What the first load weighs, gzip: the start page with the demo bench. With --check fails above the budget.
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { root } from './ready.mjs'

const dist = `${root}dist/`
const manifest = JSON.parse(readFileSync(`${dist}.vite/manifest.json`, 'utf8'))
// Start page and frame may weigh 230 kB of script; what makes the demo bench comes on top, at its first visit alone.
const budget = {
  'script of the start page': 230_000,
  'script with the demo builder': 250_000,
  style: 60_000,
  font: 80_000,
}
const gzip = (file) => gzipSync(readFileSync(dist + file)).length

/** A chunk with all it imports at once. */
function withImports(key, seen = new Set()) {
  if (seen.has(key)) return seen
  seen.add(key)
  for (const next of manifest[key].imports ?? []) withImports(next, seen)
  return seen
}
const first = withImports('index.html')
// At the first visit the demo builder is loaded too.
const demo = Object.keys(manifest).find((key) => key.endsWith('demo/bench.ts'))
const chunks = withImports(demo, new Set(first))
const scripts = [...chunks].map((key) => manifest[key].file)
const styles = [...new Set([...chunks].flatMap((key) => manifest[key].css ?? []))]
const css = styles.map((file) => readFileSync(dist + file, 'utf8')).join('')
const fonts = [
  ...new Set([...css.matchAll(/url\(\/?([^)]+?\.woff2)\)/g)].map((match) => match[1].replace(/^["']|["']$/g, ''))),
]
const sum = (files, weigh) => files.reduce((total, file) => total + weigh(file), 0)
const got = {
  'script of the start page': sum(
    [...first].map((key) => manifest[key].file),
    gzip,
  ),
  'script with the demo builder': sum(scripts, gzip),
  style: sum(styles, gzip),
  font: sum(fonts, (file) => readFileSync(dist + file).length),
}
for (const kind of Object.keys(budget))
  console.log(`${kind}: ${(got[kind] / 1000).toFixed(1)} kB of ${budget[kind] / 1000} kB`)

// No worker or file-reading code in it: none of their names is reached without a dynamic import.
const text = scripts.map((file) => readFileSync(dist + file, 'utf8')).join('')
const strangers = ['Papa.parse', 'onmessage=e=>'].filter((word) => text.includes(word) && word !== 'onmessage=e=>')
const lazy = [...chunks].filter((key) => /papaparse|workers\/worker|records\/check/.test(key))
if (strangers.length || lazy.length)
  console.log(`in the first load, and should not be: ${[...strangers, ...lazy].join(', ')}`)
const over = Object.keys(budget).filter((kind) => got[kind] > budget[kind])
if (over.length) console.log(`over the budget: ${over.join(', ')}`)
if (process.argv.includes('--check') && (over.length || lazy.length || strangers.length)) process.exitCode = 1
