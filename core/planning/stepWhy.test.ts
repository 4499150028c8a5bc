import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { screen } from '../screening/screen'
import { situationOf } from '../situation/situation'
import { draftSteps } from './draft/draft'
import { whyStep } from './stepWhy'

function advised(
  family: string,
  id: string,
  brief: Partial<Brief> = {},
  room: { tempC: number; rh: number } | null = null,
) {
  const material = materialClassOf(id)
  const situation = situationOf({ ...openBrief(), ...brief }, material, material, familyOf(family), { room })
  const screening = screen(situation)
  const steps = draftSteps(situation, screening.reasons)
  return (kind: string) =>
    whyStep(
      steps.find((step) => step.kind === kind)!,
      { situation, screening },
    )
}

describe('why a step stands there', () => {
  it('is the reason of the advice that it answers', () => {
    const why = advised('contact-solvent', 'felt')
    expect(why('wait')).toEqual(['Wait 10 to 40 min before closing: too early traps solvent, too late gives no grab.'])
    expect(why('coat')[0]).toMatch(/^Let a first coat soak into side A/)
  })
  it('is the glue’s usual way, where the advice asks for nothing', () => {
    const why = advised('contact-solvent', 'felt')
    expect(why('fit')).toEqual(['What fits dry lands right at first touch.'])
    expect(why('apply')).toEqual([])
    expect(whyStep({ kind: 'mix' }, null)).toEqual(['Off its ratio it never hardens.'])
  })
  it('is, for the cure, what its time is made of', () => {
    expect(advised('epoxy-slow', 'wood')('cure')[0]).toBe(
      'Full cure 2 days, no more and no less at 20 °C and 50 %, which are taken since no room was said.',
    )
    expect(advised('epoxy-slow', 'wood', {}, { tempC: 10, rh: 60 })('cure')[0]).toBe(
      'Full cure 2 days, 2.00 times that in this room, 10 °C and 60 %.',
    )
    const deep = advised('silicone', 'foam-eva', { widthMm: 100, lengthMm: 100 })('cure')[0]
    expect(deep).toMatch(/from the rim inwards it takes longer than that\.$/)
    expect(advised('epoxy-slow', 'wood', {}, { tempC: 2, rh: 60 })('cure')[0]).toMatch(/^Will not cure here/)
  })
})
