import { computed, type ComputedRef } from 'vue'
import { shoppingList, type JointToBuy, type Shopping } from '../../core/choice/build/shopping'
import type { JointCost } from '../../core/choice/jointCost'
import { familyOrUnknown } from '../../core/knowledge/families'
import { handsOnMinutes } from '../../core/planning/steps'
import type { Build } from '../../core/records/bench'
import type { Procedure } from '../../core/records/procedure'
import { usualShop } from '../../core/records/shop'
import type { BuildPart } from '../../core/schedule/wholeBuild'
import type { Setting } from '../../core/screening/shortlist'
import { productFamily } from '../../core/situation/label'
import { costOf, jointsLeft, jointsOf, morningOf } from '../bench/buildJoints'
import { now } from '../bench/clock'
import { useEvidence } from '../bench/evidence'
import { classOfMaterial, jointsInOrder, viewJoint, type JointView } from '../bench/jointView'
import { otherGlues } from '../bench/otherGlues'
import { settingOf } from '../bench/setting'
import { steady } from '../bench/steady'
import { useBench } from '../bench/store'
import { benchWorker } from '../workers/client'
import { useAsked } from '../workers/useAsked'
import { dayOf, noonOf } from '../../core/quantities/days'

/** A joint of the build in the sum. */
export interface BuildRow {
  view: JointView
  procedure: Procedure | null
  cost: JointCost | null
  /** hands-on, of one joint; null while nothing is decided */
  minutes: number | null
  all: number
  left: number
  /** its day of service has come */
  late: boolean
}

/** The build as a whole: what was decided, what is to buy, when it is glued, what mends it on the day. */
export function useBuild(build: () => Build | null) {
  const bench = useBench()
  const openedAt = now()
  const { evidence } = useEvidence()
  const views = computed(() => jointsInOrder(bench).map((joint) => viewJoint(bench, joint)))
  const serviceDay = (view: JointView) => view.joint.brief.inServiceBy ?? build()?.inServiceBy ?? null
  const rows = computed(() =>
    views.value.map((view): BuildRow => {
      const procedure = view.procedures.find(({ id }) => id === view.decision?.procedure) ?? null
      const { all, glued } = jointsOf(view)
      return {
        view,
        procedure,
        cost: procedure && costOf(bench, view, procedure),
        minutes: procedure && handsOnMinutes(procedure.steps),
        all,
        left: all - glued,
        late: isLate(serviceDay(view), openedAt),
      }
    }),
  )
  const wantedAt = computed(() => {
    const days = views.value.flatMap((view) => serviceDay(view) ?? [])
    return Math.max(openedAt, ...days.map(morningOf))
  })

  const shopping: ComputedRef<Shopping> = computed(() => {
    const joints = rows.value.flatMap(({ view, procedure, left }): JointToBuy[] => {
      if (!procedure) return []
      const product = bench.get('adhesive', procedure.adhesive)
      const family = product ? productFamily(product) : familyOrUnknown(procedure.family)
      const others = otherGlues(bench, view, procedure, null)
      const glue = { family, product, left: null }
      return [{ code: view.joint.code, brief: view.joint.brief, procedure, glue, others, left }]
    })
    return shoppingList(joints, bench.all('stock'), wantedAt.value)
  })

  // What is reckoned back asks the worker, and only anew when what it stands on changes.
  const parts = steady(
    () =>
      rows.value.flatMap(({ view, procedure }): BuildPart[] => {
        const day = serviceDay(view)
        if (!procedure || day === null || morningOf(day) <= openedAt) return []
        const of = jointsLeft(bench, view, settingOf(bench, view.joint.brief, openedAt, []))
        return of ? [{ id: view.joint.id, of, readyBy: morningOf(day) }] : []
      }),
    (list) => list.flatMap(({ of, readyBy }) => [of.procedure, of.count, of.handlingS, of.perMix, readyBy]),
  )
  const order = useAsked(
    () => (parts.value.length ? { parts: parts.value, shop: bench.bench?.shop ?? usualShop, now: openedAt } : null),
    (input, options) => benchWorker().whole(input, options),
  )

  const mended = steady(
    () => rows.value.filter(({ procedure }) => procedure !== null).map(({ view }) => view.joint),
    (list) => [...list, evidence.value, ...bench.all('adhesive'), ...bench.all('stock')],
  )
  const kit = useAsked(
    () => (mended.value.length ? mended.value : null),
    (joints, options) => {
      const classOf = classOfMaterial(bench)
      const day = noonOf(dayOf(openedAt))
      const ids = joints.flatMap(({ brief: { a, b } }) => [a.material, b.material]).filter((id) => id !== null)
      const asked = joints.map(({ id, code, brief }) => {
        return { id, code, setting: cloneable(settingOf(bench, brief, day, evidence.value)) }
      })
      return benchWorker().kit(
        { joints: asked, classes: Object.fromEntries(ids.map((id) => [id, classOf(id)])) },
        options,
      )
    },
  )
  return { rows, shopping, order, kit }
}

const isLate = (day: string | null, at: number) => day !== null && morningOf(day) <= at

/** A setting as it can go to another thread: without its function. */
function cloneable(setting: Setting): Omit<Setting, 'classOf'> {
  const plain: Partial<Setting> = { ...setting }
  delete plain.classOf
  return plain as Omit<Setting, 'classOf'>
}
