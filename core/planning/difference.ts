import { durationWords } from '../quantities/durations'
import { helperWords } from '../knowledge/vocabularyWords'
import type { Procedure, Step, StepKind } from '../records/procedure'
import { stepWords } from './stepWords'

const byKind = (steps: readonly Step[]) => {
  const found = new Map<string, Step>()
  const seen = new Map<StepKind, number>()
  for (const step of steps) {
    const n = (seen.get(step.kind) ?? 0) + 1
    seen.set(step.kind, n)
    found.set(n === 1 ? step.kind : `${step.kind} ${n}`, step)
  }
  return found
}

/**
 * What a procedure does otherwise than another, in words; empty where they are the same.
 * @param one the procedure that is spoken of
 * @param other what it is compared with
 */
export function differences(one: Procedure, other: Procedure): string[] {
  const out: string[] = []
  if (one.family !== other.family || one.adhesive !== other.adhesive) out.push('another glue')
  const [mine, theirs] = [new Set(one.helpers), new Set(other.helpers)]
  for (const helper of mine) if (!theirs.has(helper)) out.push(`with ${helperWords[helper].word}`)
  for (const helper of theirs) if (!mine.has(helper)) out.push(`without ${helperWords[helper].word}`)
  const second = ({ second: it }: Procedure) => (it ? `${it.family} ${it.adhesive} ${it.role} ${it.where}` : '')
  if (second(one) !== second(other)) out.push(second(one) ? 'with a second glue' : 'without its second glue')
  if (one.coats !== other.coats)
    out.push(`${one.coats} ${one.coats === 1 ? 'coat' : 'coats'} instead of ${other.coats}`)
  if (one.spreadGm2 !== other.spreadGm2 && one.family === other.family)
    out.push(`${one.spreadGm2 ?? 'the usual'} g/m² instead of ${other.spreadGm2 ?? 'the usual'}`)
  const mix = ({ dilution, blend }: Procedure) =>
    dilution
      ? `diluted ${dilution.glue}:${dilution.water} with water`
      : blend
        ? `blended ${blend.parts.map(({ name, parts }) => `${parts} ${name}`).join(' to ')}`
        : 'undiluted'
  if (mix(one) !== mix(other)) out.push(mix(one))
  // With another glue every step differs; what is worth saying then is how the faces are prepared.
  const told = one.family === other.family ? null : new Set<StepKind>(['prepare-a', 'prepare-b'])
  const [a, b] = [byKind(one.steps), byKind(other.steps)]
  for (const [key, step] of a) {
    if (told && !told.has(step.kind)) continue
    const was = b.get(key)
    const name = stepWords[step.kind]
    if (!was) out.push(`${name}: ${step.text}`)
    else if (step.minS !== was.minS)
      out.push(`${name} ${durationWords(step.minS)} instead of ${durationWords(was.minS)}`)
    else if (step.text !== was.text) out.push(`${name}: ${step.text.replace(/^./, (first) => first.toLowerCase())}`)
  }
  for (const [key, step] of b)
    if (!a.has(key) && (!told || told.has(step.kind))) out.push(`without “${stepWords[step.kind]}”`)
  const order = (steps: readonly Step[]) => steps.map(({ kind }) => kind).join(' ')
  if (!out.length && order(one.steps) !== order(other.steps)) out.push('its steps in another order')
  return out
}

/** “same, but wait 20 min instead of 1 min”; null where nothing differs. */
export function differenceWords(one: Procedure, other: Procedure): string | null {
  const found = differences(one, other)
  return found.length ? `same as ${other.letter}, but ${found.join('; ')}` : null
}

/** A copy to vary one thing in, under a new letter. */
export const varied = (procedure: Procedure, id: string, letter: string): Procedure => ({
  ...procedure,
  id,
  letter,
  name: `${procedure.name}, varied`,
  helpers: [...procedure.helpers],
  steps: procedure.steps.map((step) => ({ ...step })),
})
