import { familyOf } from '../../../core/knowledge/families'
import type { Helper } from '../../../core/knowledge/vocabulary'
import { helperWords } from '../../../core/knowledge/vocabularyWords'
import { draftOf } from '../../../core/planning/draft/procedure'
import { stepsOfWay } from '../../../core/planning/ways'
import { insert, remove } from '../../../core/records/entry'
import type { Procedure } from '../../../core/records/procedure'
import type { Adhesive } from '../../../core/records/shelf'
import type { Way } from '../../../core/screening/schools'
import type { Setting } from '../../../core/screening/shortlist'
import { stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { letterFor } from '../../bench/letterFor'
import type { JointView } from '../../bench/jointView'
import { settingOf } from '../../bench/setting'
import type { useBench } from '../../bench/store'

export interface Picked {
  family: string
  product: Adhesive | null
  helpers: readonly Helper[]
  /** as one of two schools does it */
  way?: Way
  /** ruled out, or without advice, and tested all the same */
  anyway: boolean
}

/** What a picked glue is called as a procedure. */
export function nameOfPicked({ family, product, helpers, way }: Picked): string {
  const glue = product?.name ?? familyOf(family).name
  const all = [glue, ...helpers.map((helper) => helperWords[helper].word)].join(' + ')
  return way?.words ? `${all}, ${way.words}` : all
}

/** A picked glue as a procedure, its steps drafted from the advice. */
function procedureOf(view: JointView, letter: string, picked: Picked, setting: Setting): Procedure {
  const { family: familyId, product, helpers, way, anyway } = picked
  const steps = draftOf({ family: familyId, adhesive: product?.id ?? null, helpers: [...helpers] }, setting)
  return {
    id: newId(),
    joint: view.joint.id,
    letter,
    name: nameOfPicked(picked),
    family: familyId,
    adhesive: product?.id ?? null,
    helpers: [...helpers],
    anyway,
    coats: steps.some(({ kind }) => kind === 'coat') ? 2 : 1,
    spreadGm2: null,
    dilution: null,
    blend: null,
    steps: way ? stepsOfWay(steps, way) : steps,
  }
}

/** Picked glues become procedures, all in one entry. */
export async function pick(
  bench: ReturnType<typeof useBench>,
  view: JointView,
  ...picked: readonly Picked[]
): Promise<void> {
  const made: Procedure[] = []
  const setting = settingOf(bench, view.joint.brief, stampNow(), [])
  for (const one of picked) {
    const letter = letterFor(bench, [...view.procedures, ...made])
    if (letter === null) return
    made.push(procedureOf(view, letter, one, setting))
  }
  const named = made.map(({ name, anyway, letter }) => `${name}${anyway ? ' anyway' : ''} as ${letter}`)
  await bench.write(
    `${view.joint.code}: test ${named.join(', ')}`,
    made.map((procedure) => insert('procedure', procedure)),
    true,
  )
}

/** A procedure with coupons stays: what was planned or measured with it would hang in the air. */
export const canDrop = (bench: ReturnType<typeof useBench>, procedure: Procedure): boolean =>
  !bench.all('round').some((round) => round.procedures.includes(procedure.id))

export const drop = (bench: ReturnType<typeof useBench>, view: JointView, procedure: Procedure) =>
  bench.write(`${view.joint.code}: do not test ${procedure.name}`, [remove('procedure', procedure)], true)
