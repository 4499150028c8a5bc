import { computed, inject, provide, type ComputedRef, type InjectionKey, type Ref } from 'vue'
import { families } from '../../../core/knowledge/families'
import type { Brief, Joint, Side } from '../../../core/records/joint'
import { screen, type Screening, type Verdict } from '../../../core/screening/screen'
import type { Setting } from '../../../core/screening/shortlist'
import { situationOf } from '../../../core/situation/situation'
import { stillProposed } from '../../../core/situation/tradeStarts'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import { useWhy, type Explanation } from '../../look/why'
import { plural } from '../../look/figures'

export interface BriefEditor {
  /** a word is opened to be said: from here on, what is changed elsewhere in it shows */
  begin: () => void
  /** open words whose answer would move glues, those that move most first, such as “heatC” and “a.state” */
  useful: Ref<readonly string[]>
  view: ComputedRef<JointView>
  brief: ComputedRef<Brief>
  set: (patch: Partial<Brief>, what: string, label?: string) => Promise<void>
  setSide: (side: 'a' | 'b', patch: Partial<Side>, what: string, label?: string) => Promise<void>
}
const key: InjectionKey<BriefEditor> = Symbol('the brief being written')
export const useBriefEditor = (): BriefEditor => inject(key)!

const verdictWords: Record<Verdict, string> = { fit: 'suits', caution: 'careful', block: 'ruled out' }

/**
 * Which glues a changed word moves, and why: shown in Why, so that the shortlist follows while the sentence is written.
 */
export function movedBy(before: readonly Screening[], after: readonly Screening[], label: string): Explanation | null {
  const moved = after.flatMap((now, i) => (now.verdict !== before[i]!.verdict ? [{ was: before[i]!, now }] : []))
  if (!moved.length) return null
  const reason = ({ was, now }: (typeof moved)[number]) =>
    now.reasons.find(
      ({ rule, verdict }) =>
        verdict === now.verdict && !was.reasons.some((one) => one.rule === rule && one.verdict === verdict),
    )
  const lines = moved
    .slice(0, 8)
    .map(
      (one) =>
        `${one.now.family.name}: ${verdictWords[one.was.verdict]} → ${verdictWords[one.now.verdict]}. ` +
        `${reason(one)?.text ?? ''}`.trim(),
    )
  const rest = moved.length - lines.length
  return {
    about: label.toLowerCase(),
    lines: [
      `${plural(moved.length, 'glue')} of ${after.length} ${moved.length === 1 ? 'moves' : 'move'} with this word.`,
      ...lines,
      ...(rest > 0 ? [`and ${rest} more on the shortlist.`] : []),
    ],
    source: ['Rules of the trade; a bond test of your own outranks them, except where they are about harm.'],
  }
}

/** Writes words of the brief, one entry each, and shows what each of them moves. */
export function provideBriefEditor(
  view: ComputedRef<JointView>,
  setting: ComputedRef<Setting>,
  useful: Ref<readonly string[]>,
): BriefEditor {
  const bench = useBench()
  const why = useWhy()
  const judged = () => {
    const { brief, a, b, room } = setting.value
    return families.map((family) => screen(situationOf(brief, a, b, family, { room })))
  }
  let opened: Joint | null = null
  const begin = () => void (opened = view.value.joint)
  /** the joint as it stood when the word was opened */
  const base = () => (opened?.id === view.value.joint.id ? opened : view.value.joint)
  async function set(patch: Partial<Brief>, what: string, label = what) {
    const joint = base()
    const before = judged()
    const done = await bench.edit(`${joint.code}: ${what}`, [
      editOf('joint', joint, {
        brief: { ...joint.brief, ...patch },
        ...(joint.proposed?.length && { proposed: stillProposed(joint.proposed, joint.brief, patch) }),
      }),
    ])
    opened = null
    const moved = done ? movedBy(before, judged(), label) : null
    if (moved) why.suggest(moved)
  }
  const setSide: BriefEditor['setSide'] = (side, patch, what, label) =>
    set({ [side]: { ...base().brief[side], ...patch } }, `side ${side.toUpperCase()}, ${what}`, label ?? what)
  const editor: BriefEditor = { begin, useful, view, brief: computed(() => view.value.joint.brief), set, setSide }
  provide(key, editor)
  return editor
}
