import { careFor } from '../../care/care'
import { thingsToHaveReady, type Ready } from '../../care/ready'
import { families, type Family } from '../../knowledge/families'
import type { Brief } from '../../records/joint'
import type { Adhesive } from '../../records/shelf'
import { judged, type Candidate, type Setting } from '../../screening/shortlist'
import { undoing, undoWords } from '../../screening/undoing'
import { productFamily } from '../../situation/label'

/** What mends on the spot can be handled after so many seconds. */
export const MEND_S = 900
/** A glue mends a joint when it is nearly as likely to serve as the likeliest, within so many decibans. */
const AS_GOOD_DB = 6
/** Without mains, a lamp or a workshop: what needs a tool that is hot, or light, stays at home. */
const NEEDS_A_TOOL: readonly Family['mechanism'][] = ['melt', 'heat-activated', 'light', 'weld']

/** A decided joint that may come apart on the day. */
export interface JointToMend {
  id: string
  code: string
  setting: Setting
}

/** A glue of the kit: sealed small packs of it, and what they mend. */
export interface KitGlue {
  key: string
  name: string
  family: string
  /** it stands on the shelf */
  product: string | null
  /** codes of the joints that it mends */
  mends: string[]
  /** the least of its chances to serve for the day, 0…1 */
  chance: number
  /** until the part can be handled, s */
  handlingS: number
  /** sealed small packs: one for each kind of joint that it mends, and one to spare */
  packs: number
  /** the usual pack of its kind, where no smaller one is sold */
  pack: string
  /** how hands, tools and spills are cleaned */
  cleaning: readonly string[]
  /** on all that it mends */
  undo: string
}

export interface RepairKit {
  glues: KitGlue[]
  /** codes of joints that nothing of the tables mends within minutes on the spot */
  nothing: string[]
  /** gloves, eyes, wipes, water: once each, for all of them */
  ready: string[]
}

/**
 * The brief as it stands when a joint is mended on the spot: outdoors, by hand, for the day, whatever it looks like;
 * what it carries and meets stays. That it can be handled in time is asked of the glue itself.
 */
const onTheSpot = (brief: Brief): Brief => ({
  ...brief,
  life: 'mend',
  canClamp: false,
  readyH: null,
  repositionS: null,
  look: null,
  later: [],
  air: 'outdoors',
  inShell: null,
  roomM3: null,
  handledH: null,
  handledBy: null,
  inServiceBy: null,
  count: 1,
  perEvening: null,
  maxCost: null,
})

const mendsInTime = (family: Family) =>
  family.handlingS <= MEND_S && family.clamp !== 'clamp' && !NEEDS_A_TOOL.includes(family.mechanism)

/** Every glue, of the shelf or of the tables, that may mend a joint within minutes, with its chance. */
function menders({ setting }: JointToMend): Candidate[] {
  const spot: Setting = { ...setting, brief: onTheSpot(setting.brief) }
  const products = spot.adhesives.flatMap((product: Adhesive) => {
    const family = productFamily(product)
    return mendsInTime(family) ? [judged(family, product, spot)] : []
  })
  const there = new Set(products.map(({ family }) => family.id))
  const rest = families
    .filter((family) => mendsInTime(family) && !there.has(family.id))
    .map((family) => judged(family, null, spot))
  const able = [...products, ...rest].filter(({ screening }) => screening.verdict !== 'block')
  const best = Math.max(...able.map(({ screening }) => screening.db))
  return able.filter(({ screening }) => screening.db >= best - AS_GOOD_DB)
}

/** A joint with what mends it, by the glue's key. */
interface Mendable<T> {
  code: string
  by: ReadonlyMap<string, T>
}

/**
 * As few as mend all: the one that mends the most, then the one that mends most of the rest, and so on.
 * @param better of two that mend equally many, below 0 where the first is; each with all that it mends
 */
export function fewest<T>(
  joints: readonly Mendable<T>[],
  better: (one: readonly T[], other: readonly T[]) => number,
): { key: string; codes: string[]; all: T[] }[] {
  const taken: { key: string; codes: string[]; all: T[] }[] = []
  let open = joints.filter(({ by }) => by.size > 0)
  while (open.length) {
    const ranked = [...new Set(open.flatMap(({ by }) => [...by.keys()]))].map((key) => {
      const mended = open.filter(({ by }) => by.has(key))
      return { key, codes: mended.map(({ code }) => code), all: mended.map(({ by }) => by.get(key)!) }
    })
    ranked.sort((x, y) => y.codes.length - x.codes.length || better(x.all, y.all) || (x.key < y.key ? -1 : 1))
    const first = ranked[0]!
    taken.push(first)
    open = open.filter(({ by }) => !by.has(first.key))
  }
  return taken
}

const worst = (all: readonly Candidate[]) => Math.min(...all.map(({ screening }) => screening.db))
/** The likelier one at the joint that it mends worst, then what stands on the shelf. */
const likelier = (one: readonly Candidate[], other: readonly Candidate[]) =>
  worst(other) - worst(one) || Number(other[0]!.product !== null) - Number(one[0]!.product !== null)

/**
 * What to take along on the day: as few glues as mend the most kinds of joints, each with what it mends. Of those that
 * mend equally many the likeliest comes first, then what stands on the shelf.
 */
export function repairKit(joints: readonly JointToMend[]): RepairKit {
  const able = joints.map((joint) => ({
    code: joint.code,
    by: new Map(menders(joint).map((one) => [one.key, one])),
  }))
  const taken = fewest(able, likelier)
  const things = taken.flatMap(({ all }) =>
    all.flatMap(({ situation }) => thingsToHaveReady(situation, situation.family.hazards)),
  )
  return {
    glues: taken.map(({ key, codes, all }): KitGlue => {
      const { family, product, situation } = all[0]!
      return {
        key,
        name: product?.name ?? family.name,
        family: family.id,
        product: product?.id ?? null,
        mends: codes,
        chance: Math.min(...all.map(({ screening }) => screening.chance)),
        handlingS: family.handlingS,
        packs: codes.length + 1,
        pack: `${situation.family.packSize} ${situation.family.packUnit}`,
        cleaning: careFor(situation).cleaning,
        undo: undoWords(undoing([situation, ...all.slice(1).map((one) => one.situation)])),
      }
    }),
    nothing: able.filter(({ by }) => by.size === 0).map(({ code }) => code),
    ready: together([...things, ...ALWAYS]),
  }
}

/** What goes along whatever is mended. */
const ALWAYS: readonly Ready[] = [
  { what: 'at hand', text: 'dry and damp wipes, a bag for what is used up' },
  { what: 'at hand', text: 'the labels of what is taken along' },
]

/** One line a kind of thing, each thing once. */
function together(things: readonly Ready[]): string[] {
  const byKind = new Map<string, Set<string>>()
  for (const { what, text } of things) byKind.set(what, (byKind.get(what) ?? new Set()).add(text))
  return [...byKind].map(([what, texts]) => `${what}: ${[...texts].join('; ')}`)
}
