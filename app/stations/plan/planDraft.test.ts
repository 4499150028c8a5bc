// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { describe, expect, it } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import type { Round } from '../../../core/records/round'
import { viewJoint, type JointView } from '../../bench/jointView'
import { loadCheck } from '../../bench/checking'
import { useBench } from '../../bench/store'
import { couponsOf } from '../../../core/planning/coupons'
import { sidesOf } from '../../../core/planning/newArm'
import { draftRound, fairnessSetting, planCoupons } from './planDraft'

async function view() {
  setActivePinia(createPinia())
  const bench = useBench()
  await bench.openInMemory(null, buildDemoBench(0))
  await loadCheck()
  return viewJoint(bench, bench.get('joint', 'h5')!)
}
/** The first arm of the draft alone. */
function draftOf(joint: JointView): Round {
  const draft = draftRound(joint, fairnessSetting(useBench(), joint, 0), () => 60, 0)
  return { ...draft, arms: draft.arms.slice(0, 1) }
}

describe('coupons of a draft', () => {
  it('are pulled shuffled, as glued, or the least trusted first, and labelled without doubles', async () => {
    const joint = await view()
    const [first, second] = joint.procedures
    const draft: Round = { ...draftOf(joint), id: 'r', blocks: 5, seed: 11, control: first!.id }
    const pulled = (order: Round['order']) =>
      couponsOf(joint.joint.code, { ...draft, order }, joint.procedures, (label) => label).sort(
        (x, y) => x.pullAt - y.pullAt,
      )
    const trusted = pulled('least-trusted-first').map(({ procedure }) => procedure)
    expect(trusted.slice(0, 5)).toEqual(Array(5).fill(second!.id))
    expect(trusted.slice(5)).toEqual(Array(5).fill(first!.id))
    expect(pulled('as-written').map(({ glueAt }) => glueAt)).toEqual([...Array(10).keys()])
    const shuffled = pulled('shuffled')
    expect(shuffled.map(({ procedure }) => procedure)).not.toEqual(trusted)
    expect(new Set(shuffled.map(({ label }) => label)).size).toBe(10)
    expect(shuffled.map(({ pullAt }) => pullAt)).toEqual([...Array(10).keys()])
  })

  it('are not planned by the thousand', async () => {
    setActivePinia(createPinia())
    const bench = useBench()
    await bench.openInMemory(null, buildDemoBench(0))
    await loadCheck()
    const joint = viewJoint(bench, bench.get('joint', 'h5')!)
    const draft = draftOf(joint)
    const arms = (n: number) => Array.from({ length: n }, (_, i) => ({ ...draft.arms[0]!, id: `a${i + 1}` }))
    // Two procedures, 40 blocks: 12 arms make 960 coupons, 13 make 1040.
    expect(await planCoupons(bench, joint, { ...draft, blocks: 40, arms: arms(13) }, 1)).toBe(false)
    expect(bench.of('round', 'h5')).toEqual([])
    expect(await planCoupons(bench, joint, { ...draft, blocks: 40, arms: arms(12) }, 1)).toBe(true)
    expect(viewJoint(bench, bench.get('joint', 'h5')!).coupons).toHaveLength(960)
  })

  it('knows which sides bend', async () => {
    const joint = await view()
    expect(sidesOf(joint.a!.cls, joint.b!.cls)).toEqual({
      aBends: joint.a!.cls.flexible,
      bBends: joint.b!.cls.flexible,
    })
    expect(sidesOf(null, null)).toEqual({ aBends: null, bBends: null })
  })
})
