import { figureOf } from '../../quantities/figure'
import { STANDARD_GRAVITY } from '../../quantities/units'
import type { Brief } from '../../records/joint'
import { requiredLoad } from '../../loads/requirement'
import type { FactorBasis } from './factors'
import type { Margin } from './margin'
import type { Wins } from './win'

/** A mass as one says it: no more digits than it is known by, and its unit on the same line. */
const mass = (inKg: number, digits: number): string =>
  inKg < 1 ? `${+(1000 * inKg).toPrecision(digits)}\u00a0g` : `${+inKg.toPrecision(digits)}\u00a0kg`
const kg = (newton: number): string => mass(newton / STANDARD_GRAVITY, 2)
const moved = {
  still: '',
  walked: 'as it is walked with',
  danced: 'as it is danced or run with',
  dropped: 'when it drops',
}

export const basisWords: Readonly<Record<FactorBasis, string>> = {
  measured: 'measured',
  borrowed: 'borrowed from your other tests',
  typical: 'typical, not tested',
}

/** “One joint holds about 47 kg hanging still; yours asks 4 kg.” */
export function marginInWords(margin: Pick<Margin, 'holdsN'> & { requiredN: number | null }, brief: Brief): string {
  const holds = `One joint holds about ${kg(margin.holdsN)} hanging still`
  const load = requiredLoad(brief)
  if (!load) return `${holds}.`
  const asks = mass(load.weightKg * load.share, 3)
  const as = moved[brief.motion ?? 'still']
  const more = (margin.requiredN ?? 0) > load.n * 1.001
  const handled = more ? `; light handling asks more of it, ${kg(margin.requiredN!)}` : ''
  return `${holds}; yours asks ${asks}${as ? `, which counts as ${kg(load.n)} ${as}` : ''}${handled}.`
}

const sizeWords = ({ side, mm, nowMm }: NonNullable<Wins['sized']>): string =>
  `${side} ${mm} mm instead of ${+nowMm.toPrecision(3)} mm`

/** One way to win margin, in a sentence. */
export interface WinLine {
  by: 'size' | 'no size' | 'overlap' | 'coats' | 'fixing'
  words: string
}

/**
 * What would win margin, a line each.
 * @param wanted the margin that the size and the fixing are for
 */
export function winWords(
  { sized, doubled, fixingN, coats, nowCoats }: Wins,
  wanted: number,
  nameOf: (procedure: string) => string,
): WinLine[] {
  const lines: WinLine[] = []
  const add = (by: WinLine['by'], words: string) => void lines.push({ by, words })
  if (!sized)
    add('no size', `No size of this joint gives ${wanted} times the load: another glue, shape or a fixing would.`)
  else if (Math.ceil(sized.nowMm) !== sized.mm) {
    const smaller = sized.mm < sized.nowMm ? ' It could be smaller.' : ''
    add('size', `For ${wanted} times the load: ${sizeWords(sized)}.${smaller}`)
  }
  if (doubled) add('overlap', `Twice the overlap, ${doubled.mm} mm: ${figureOf(doubled.times)} times the load.`)
  if (coats) {
    const times = figureOf(coats.times)
    const name = nameOf(coats.procedure)
    add('coats', `${coats.coats} coats, pulled as ${name}: the weak joint holds ${times} times as much.`)
  } else if (nowCoats > 0)
    add(
      'coats',
      `${nowCoats > 1 ? 'One more' : 'A second'} coat: not tested here, so nothing is counted on it; a procedure ` +
        `with ${nowCoats + 1} coats would tell.`,
    )
  if (fixingN > 0)
    add(
      'fixing',
      `A fixing beside the glue (stitches, a rivet, a screw) would have to carry ${kg(fixingN)} by itself for ` +
        `${wanted} times the load.`,
    )
  return lines
}
