import { describe, expect, it } from 'vitest'
import type { GlueTask } from '../../../core/planning/gluing'
import type { Evening } from '../../../core/schedule/evening'
import { inPlanOrder } from './planOrder'

const task = (coupon: string, step: string, readyAt = 0, lateAt: number | null = null) =>
  ({ coupon: { id: coupon }, step: { id: step }, readyAt, lateAt }) as unknown as GlueTask
const evening = (...tasks: [step: string, ...coupons: string[]][]) =>
  ({ tasks: tasks.map(([step, ...coupons]) => ({ step, coupons })) }) as unknown as Evening
const NOW = 1000

describe('the order in which steps are shown', () => {
  const order = (tasks: GlueTask[], evenings: Evening[]) =>
    inPlanOrder(tasks, evenings, NOW).map(({ coupon, step }) => `${coupon.id} ${step.id}`)
  it('is the timetable’s, over its evenings', () => {
    const tasks = [task('A1', 's1'), task('B1', 's1'), task('C1', 's3')]
    expect(order(tasks, [evening(['s1', 'B1'], ['s3', 'C1']), evening(['s1', 'A1'])])).toEqual([
      'B1 s1',
      'C1 s3',
      'A1 s1',
    ])
    expect(order(tasks, [])).toEqual(['A1 s1', 'B1 s1', 'C1 s3'])
  })
  it('takes what nobody’s hands are asked for first, and what the timetable does not know last', () => {
    const tasks = [task('X1', 's1'), task('A1', 's2'), task('B1', 'cure')]
    expect(order(tasks, [evening(['s2', 'A1'], ['s9', 'B1'])])).toEqual(['B1 cure', 'A1 s2', 'X1 s1'])
  })
  it('puts nothing off that goes off within a minute, and leaves what waits behind', () => {
    const tasks = [
      task('A1', 's1'),
      task('B1', 's1', 0, NOW + 30_000),
      task('C1', 's1', NOW + 1),
      task('D1', 's1', 0, NOW + 61_000),
    ]
    expect(order(tasks, [evening(['s1', 'C1', 'D1', 'A1', 'B1'])])).toEqual(['B1 s1', 'D1 s1', 'A1 s1', 'C1 s1'])
  })
})
