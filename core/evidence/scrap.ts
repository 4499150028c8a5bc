import type { Brief } from '../records/joint'
import type { Scrap } from '../records/scrap'

/** When a drop on scrap is looked at, s after it was laid. */
const LOOKS_S = [600, 86_400] as const
/** A look counts as the one that was due when it comes at nine tenths of its time. */
const EARLY = 0.9

/** The next look that is due, and when, ms; null when all are done or the scrap is spoilt. */
export function nextLook({ startedAt, looks }: Pick<Scrap, 'startedAt' | 'looks'>): {
  afterS: number
  dueAt: number
} | null {
  if (looks.some(({ saw }) => saw === 'spoilt')) return null
  const last = Math.max(0, ...looks.map(({ at }) => (at - startedAt) / 1000))
  const afterS = LOOKS_S.find((due) => last < due * EARLY)
  return afterS === undefined ? null : { afterS, dueAt: startedAt + afterS * 1000 }
}

/** What a drop on scrap says: the worst that was seen; fine only after the last look, till then it is open. */
export function scrapSays(scrap: Pick<Scrap, 'startedAt' | 'looks'>): 'spoilt' | 'mark' | 'fine' | 'open' {
  const saw = scrap.looks.map((look) => look.saw)
  if (saw.includes('spoilt')) return 'spoilt'
  if (saw.includes('mark')) return 'mark'
  return nextLook(scrap) === null ? 'fine' : 'open'
}

const sideKey = (material: string | null, state: string | null) => `${material ?? '?'} ${state ?? ''}`
const pairKey = (sides: readonly { material: string | null; state: string | null }[]) =>
  sides
    .map(({ material, state }) => sideKey(material, state))
    .sort()
    .join(' | ')

/** Drops of this glue on these very faces, whichever joint they were laid for; the newest first. */
export function scrapsOn(
  scraps: readonly Scrap[],
  brief: Pick<Brief, 'a' | 'b'>,
  glue: { family: string; adhesive: string | null },
): Scrap[] {
  const wanted = pairKey([brief.a, brief.b])
  return scraps
    .filter((one) => one.adhesive === glue.adhesive && one.family === glue.family && pairKey(one.sides) === wanted)
    .sort((x, y) => y.startedAt - x.startedAt)
}
