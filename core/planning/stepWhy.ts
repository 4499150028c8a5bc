import { cureAdvice } from '../cure/advice'
import { plannedFullS } from '../cure/cure'
import { STANDARD_ROOM } from '../cure/room'
import { durationWords } from '../quantities/durations'
import { digitsOf, figureOf } from '../quantities/figure'
import type { Step, StepKind } from '../records/procedure'
import type { Advice } from './fault'

/** Why a step stands in every procedure that has it, whatever the joint. */
const usualWhy: Partial<Record<StepKind, string>> = {
  'prepare-a': 'Glue holds what it touches: dust, grease and shine come off first.',
  'prepare-b': 'Glue holds what it touches: dust, grease and shine come off first.',
  fit: 'What fits dry lands right at first touch.',
  mix: 'Off its ratio it never hardens.',
  press: 'These films hold by how hard they were pressed, not for how long.',
  dab: 'The dabs hold while the slow glue cures.',
  clamp: 'Nobody holds two parts still for that long.',
}

/**
 * Why a step stands in its procedure: the reasons of the advice that it answers, else the glue's usual way; for the
 * cure what its time is made of.
 */
export function whyStep(step: Pick<Step, 'kind' | 'why'>, advice: Advice | null): string[] {
  const rules = new Set(step.why ?? [])
  const said = advice?.screening.reasons.filter(({ rule }) => rules.has(rule)).map(({ text }) => text) ?? []
  const cure = step.kind === 'cure' && advice ? cureSum(advice) : []
  const out = [...cure, ...new Set(said)]
  const usual = usualWhy[step.kind]
  return out.length || !usual ? out : [usual]
}

function cureSum({ situation: { cure, second, family: here } }: Advice): string[] {
  if (second && second.family.fullS > here.fullS)
    return [`${second.name}, the slower of the two, takes ${durationWords(second.family.fullS)} here.`]
  return cureSumOf(cure)
}

function cureSumOf(cure: Advice['situation']['cure']): string[] {
  const { family, room } = cure.question
  if (!cure.cures) return cureAdvice(cure).slice(0, 1)
  const { tempC, rh } = room ?? STANDARD_ROOM
  const here = room
    ? `in this room, ${digitsOf(tempC)} °C and ${digitsOf(rh)} %`
    : 'at 20 °C and 50 %, which are taken since no room was said'
  const deep = cure.closedS !== null && plannedFullS(cure) > family.fullS * cure.factor * 1.001
  const times = Math.abs(cure.factor - 1) < 0.005 ? 'no more and no less' : `${figureOf(cure.factor)} times that`
  return [
    `Full cure ${durationWords(family.fullS)}, ${times} ${here}` +
      (deep ? '; from the rim inwards it takes longer than that.' : '.'),
  ]
}
