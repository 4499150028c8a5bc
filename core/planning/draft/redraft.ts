import type { Step } from '../../records/procedure'
import { placeOf } from './slots'

const sentencesOf = (text: string) => text.split('. ').filter(Boolean)

/** A step of the maker's with what changed between two drafts of it; null where it goes with the change. */
function changed(mine: Step, before: Step | undefined, after: Step | undefined): Step | null {
  if (!after) return mine.text === before?.text ? null : without(mine, before)
  if (!before || mine.text === before.text) return { ...after, id: mine.id, ...own(mine, before) }
  const gone = new Set(sentencesOf(before.text).filter((one) => !sentencesOf(after.text).includes(one)))
  const kept = sentencesOf(mine.text).filter((one) => !gone.has(one))
  const fresh = sentencesOf(after.text).filter((one) => !sentencesOf(before.text).includes(one))
  return { ...mine, text: [...new Set([...kept, ...fresh])].join('. '), ...own(mine, before, after) }
}

/** What the maker wrote into a step that is no longer asked for. */
function without(mine: Step, before: Step | undefined): Step {
  const asked = new Set(sentencesOf(before?.text ?? ''))
  return {
    ...mine,
    text: sentencesOf(mine.text)
      .filter((one) => !asked.has(one))
      .join('. '),
  }
}

/** A time that the maker has set stays; one as it was drafted follows the draft. */
const own = (mine: Step, before?: Step, after?: Step): Partial<Step> =>
  before && mine.minS !== before.minS ? { minS: mine.minS, maxS: mine.maxS } : after ? { minS: after.minS } : {}

/**
 * The maker's steps, followed by what changes between two drafts: what was added comes in where it belongs, what was
 * dropped goes, what the maker has changed in words or times stays.
 */
export function redrafted(mine: readonly Step[], before: readonly Step[], after: readonly Step[]): Step[] {
  const of = (steps: readonly Step[], { kind }: Step) => steps.find((one) => one.kind === kind)
  const same = (kind: Step['kind']) => {
    const [x, y] = [before, after].map((steps) => steps.find((one) => one.kind === kind))
    return x?.text === y?.text && x?.minS === y?.minS
  }
  const seen = new Set<Step['kind']>()
  const kept = mine.flatMap((step) => {
    const again = seen.has(step.kind)
    seen.add(step.kind)
    if (again || same(step.kind)) return [step]
    return changed(step, of(before, step), of(after, step)) ?? []
  })
  const out = [...kept]
  for (const step of after) {
    if (of(before, step) || out.some(({ kind }) => kind === step.kind)) continue
    const next = out.findIndex(({ kind }) => placeOf(kind) > placeOf(step.kind))
    const at = next < 0 ? out.length : next
    out.splice(at, 0, { ...step, id: freeId(out) })
  }
  return out
}

function freeId(steps: readonly Step[]): string {
  for (let n = steps.length + 1; ; n++) if (steps.every(({ id }) => id !== `s${n}`)) return `s${n}`
}
