import { modelReadings } from '../evidence/modelReadings'
import { exposureWords, type ExposureKind } from '../knowledge/exposures'
import { familyOrUnknown } from '../knowledge/families'
import { formulaOf } from '../knowledge/testKinds'
import { usualExposure } from '../planning/newArm'
import type { Brief } from '../records/joint'
import { directed, type CriteriaInput, type Item } from './item'
import { KEPT_MUST, KEPT_PLENTY, KEPT_UNKNOWN } from './itemParts'
import { typicalKept } from './real/knockDown'
import { keptPairs, keptQuestion } from './shareKept'
import { surroundings, type SurroundingId } from './real/surroundings'

/** The exposure of coupons that stands for what the brief names; none stands for years. */
const exposureFor = (id: SurroundingId, { water }: Brief): ExposureKind | null => {
  if (id === 'heat' || id === 'cold') return id
  return id !== 'water' ? null : water === 'soak' ? 'soak' : 'wash'
}

/**
 * What the brief names and no coupon of the round was pulled after: the share kept as it is typical of each family,
 * never called measured, so that it is weighed and a test of it can be worth something.
 */
export function unmetItems(input: CriteriaInput): Item[] {
  const { brief, round, coupons, readings, facts } = input
  const dry = round.arms.find(({ exposure, ageS, test }) => !exposure && ageS == null && formulaOf(test))
  if (!dry) return []
  const own = coupons.filter(({ arm }) => arm === dry.id)
  const model = modelReadings(
    dry,
    own,
    readings.filter(({ coupon }) => own.some(({ id }) => id === coupon)),
  )
  if (!model.length) return []
  const pulled = keptPairs(round).flatMap((pair) => {
    const { exposure } = pair.exposed
    return exposure && keptQuestion(pair, coupons, readings).readings.length ? [exposure] : []
  })
  return surroundings(brief).flatMap(({ id, metBy }): Item[] => {
    const kind = exposureFor(id, brief)
    if (!kind || pulled.some(metBy)) return []
    const exposure = usualExposure(kind, brief)
    // An arm of it stands in the round already and is not pulled yet: its coupons come first.
    const arm = round.arms.find((one) => one.test === dry.test && one.exposure && metBy(one.exposure))
    return [
      {
        criterion: directed(`unmet ${id}`, 'more', 'linear', KEPT_MUST, KEPT_PLENTY),
        of: 'durability',
        name: `kept ${exposureWords(exposure)}, not pulled`,
        unit: 'of its dry strength',
        said: false,
        open: [],
        basis: Object.fromEntries(facts.map(({ procedure }) => [procedure, 'forecast'])),
        from: {
          kind: 'kept',
          readings: model,
          forecast: Object.fromEntries(
            facts.map(({ procedure, family }) => [
              procedure,
              { mean: Math.log(typicalKept(id, brief, familyOrUnknown(family))), sd: KEPT_UNKNOWN.sd },
            ]),
          ),
        },
        test: arm ? { arm: arm.id } : { like: dry.id, exposure },
      },
    ]
  })
}
