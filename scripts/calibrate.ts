// Simulated benches: how often do the 90 % intervals hold the truth? Slow, so kept out of the unit run.
//   npm run coverage-of-intervals        writes docs/interval-coverage.md
import { writeFileSync } from 'node:fs'
import { normalDraw, seededRandom, type Random } from '../core/planning/random'
import { analyse } from '../core/statistics/analyse'
import type { ModelReading } from '../core/statistics/data'

interface Setting {
  name: string
  procedures: number
  coupons: number
  /** whether the part tears at a strength of its own, and the share of coupons read by steps */
  torn: boolean
  steps: number
}
const settings: Setting[] = [
  { name: '3 procedures × 3, all read exactly', procedures: 3, coupons: 3, torn: false, steps: 0 },
  { name: '4 × 4, a third torn', procedures: 4, coupons: 4, torn: true, steps: 0 },
  { name: '4 × 3, half by steps of weights', procedures: 4, coupons: 3, torn: false, steps: 0.5 },
  { name: '6 × 5, torn and by steps', procedures: 6, coupons: 5, torn: true, steps: 0.25 },
]
const BENCHES = Number(process.argv[2] ?? 800)

/** Where the part itself tears, above the middle of a bench's procedures (in ln): the same part for all of them. */
const PART_LEVEL = 0.6

/** One coupon's reading: torn when the part's own strength, which knows nothing of the glue, lies below the bond's. */
function read(
  procedure: string,
  mu: number,
  sigma: number,
  centre: number,
  setting: Setting,
  random: Random,
): ModelReading {
  const value = Math.exp(mu + sigma * normalDraw(random))
  const part = setting.torn ? Math.exp(centre + PART_LEVEL + 0.15 * normalDraw(random)) : Infinity
  if (part < value) return { procedure, kind: 'atLeast', low: part }
  if (random() < setting.steps) {
    const step = 1.25
    const low = step ** Math.floor(Math.log(value) / Math.log(step))
    return { procedure, kind: 'between', low, high: low * step }
  }
  return { procedure, kind: 'exact', value }
}

function cover(setting: Setting, seed: number) {
  const random = seededRandom(seed)
  const held = { scatter: 0, typical: 0, weak: 0, ratio: 0 }
  const asked = { scatter: 0, typical: 0, weak: 0, ratio: 0 }
  const note = (kind: keyof typeof held, inside: boolean) => {
    asked[kind]++
    if (inside) held[kind]++
  }
  for (let bench = 0; bench < BENCHES; bench++) {
    const sigma = Math.exp(Math.log(0.25) + 0.5 * normalDraw(random))
    const centre = 4 * (random() - 0.5)
    const truth = Array.from({ length: setting.procedures }, () => centre + 1.5 * normalDraw(random))
    const names = truth.map((_, i) => `P${i}`)
    const readings = truth.flatMap((mu, i) =>
      Array.from({ length: setting.coupons }, () => read(names[i]!, mu, sigma, centre, setting, random)),
    )
    const { scatter, procedures, ratios } = analyse({ required: null, readings, ratios: [[names[0]!, names[1]!]] })
    note('scatter', sigma >= scatter!.low90 && sigma <= scatter!.high90)
    procedures.forEach((p, i) => {
      const value = Math.exp(truth[i]!)
      note('typical', value >= p.typical.low90 && value <= p.typical.high90)
      // One-sided: the 5 % lower bound lies below the truth in 95 of 100.
      note('weak', Math.exp(truth[i]! - 1.645 * sigma) >= p.weakJoint.low95)
    })
    const ratio = Math.exp(truth[0]! - truth[1]!)
    note('ratio', ratio >= ratios[0]!.low90 && ratio <= ratios[0]!.high90)
  }
  return Object.fromEntries(
    Object.entries(held).map(([kind, n]) => [kind, (100 * n) / asked[kind as keyof typeof asked]]),
  ) as typeof held
}

const rows = settings.map((setting, i) => {
  const got = cover(setting, 1000 + i)
  console.log(setting.name, got)
  return (
    `| ${setting.name} | ${got.typical.toFixed(1)} | ${got.ratio.toFixed(1)} | ${got.scatter.toFixed(1)} | ` +
    `${got.weak.toFixed(1)} |`
  )
})
const standardError = (100 * Math.sqrt((0.9 * 0.1) / BENCHES)).toFixed(1)
writeFileSync(
  new URL('../docs/interval-coverage.md', import.meta.url).pathname,
  `# Do the intervals hold the truth?

${BENCHES} simulated benches a line, seeds fixed: a bench's scatter is drawn from the model's prior, its procedures'
true strengths about a centre that the model does not know; every coupon is read exactly, by steps of weights, or
torn at its part's own strength, the same part for all procedures of a bench. Wanted: 87 to 93 of 100 for the 90 %
intervals, and 95 for the one-sided lower bound of the weak joint. Made by
\`npm run coverage-of-intervals\`, which takes minutes and is no part of \`npm test\`.

| simulated benches | typical strength, % | ratio of two, % | scatter, % | weak joint's lower bound, % |
| --- | ---: | ---: | ---: | ---: |
${rows.join('\n')}

A line of ${BENCHES} benches has a standard error of about ${standardError} for scatter and ratio, and less for the
strengths, of which a bench has several.
`,
)
