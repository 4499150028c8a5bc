import { faultOf, printout } from '../app/testing/printout'

// Prints what the app would say of random joints and plans, each sentence once, to be read:
//   npm run --silent printout -- 500
// With --faults only those with something wrong in them.
const count = Number(process.argv[2] ?? 500)
const onlyFaults = process.argv.includes('--faults')
const seen = new Map<string, string>()
for (let seed = 1; seed <= count; seed++)
  for (const { at, text } of printout(seed)) if (!seen.has(text)) seen.set(text, at)
for (const [text, at] of seen) {
  const fault = faultOf(text)
  if (!onlyFaults || fault) console.log(`${at}: ${text}${fault ? `   <<< ${fault}` : ''}`)
}
console.log(`${seen.size} sentences of ${count} joints`)
