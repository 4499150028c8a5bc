import type { Brief, Side } from '../records/joint'
import type { Candidate, Setting } from './shortlist'
import { shortlist } from './shortlist'

/** A change of the joint that would let more glues suit. */
export interface JointChange {
  id: string
  /** what to do, in the maker's words */
  words: string
  /** glues that would suit after it and do not now */
  gains: Candidate[]
}

const MIN_LAP_MM = 25
const badState = (side: Side) => side.state !== null && !['clean', 'sanded', 'textured-side'].includes(side.state)
const stateWork: Partial<Record<NonNullable<Side['state']>, string>> = {
  dusty: 'wipe off the dust',
  greasy: 'degrease',
  glazed: 'scuff the shiny skin matt',
  'painted-acrylic': 'bare the joint area of its paint',
  'painted-solvent': 'bare the joint area of its paint',
  'old-glue': 'scrape the old glue off',
  damp: 'dry it',
  'smooth-side': 'glue the textured or cloth side',
}

interface Idea {
  id: string
  words: (brief: Brief) => string
  /** null where the change makes no sense here */
  patch: (brief: Brief) => Partial<Brief> | null
}
const when = (test: boolean, patch: Partial<Brief>) => (test ? patch : null)

const ideas: Idea[] = [
  {
    id: 'faces',
    words: ({ a, b }) => {
      const says = (
        [
          ['A', a],
          ['B', b],
        ] as const
      )
        .filter(([, side]) => badState(side))
        .map(([name, side]) => `side ${name}: ${stateWork[side.state!] ?? 'clean it'}`)
      return `Prepare the faces: ${says.join(', ')}`
    },
    patch: ({ a, b }) =>
      when(badState(a) || badState(b), {
        a: badState(a) ? { ...a, state: 'sanded', traits: [] } : a,
        b: badState(b) ? { ...b, state: 'sanded', traits: [] } : b,
      }),
  },
  {
    id: 'overlap',
    words: () => 'Give it an overlap or a backing strip instead of an edge, so that it is pulled sideways',
    patch: ({ geometry, loads }) =>
      when(geometry === 'butt-edge' || geometry === 'point' || geometry === 'edge-strip', {
        geometry: 'lap',
        loads: [
          ...new Set(
            (loads ?? []).map((load) =>
              load === 'tension' || load === 'bend' || load === 'cleavage' ? ('shear' as const) : load,
            ),
          ),
        ],
      }),
  },
  {
    id: 'turn',
    words: () => 'Turn the joint, or fold the edge over, so that it slides instead of peeling',
    patch: ({ loads }) =>
      when(!!loads?.some((load) => load === 'peel' || load === 'cleavage'), {
        loads: [
          ...new Set((loads ?? []).map((load) => (load === 'peel' || load === 'cleavage' ? ('shear' as const) : load))),
        ],
      }),
  },
  {
    id: 'hinge',
    words: () => 'Take the bending out of the glue line: a cloth or webbing hinge beside it',
    patch: ({ loads, flex }) =>
      when(!!loads?.includes('flex') || flex === 'must-flex', {
        loads: (loads ?? []).filter((load) => load !== 'flex'),
        flex: flex === 'must-flex' ? null : flex,
      }),
  },
  {
    id: 'bigger',
    words: ({ widthMm, lengthMm }) =>
      `Make the glued face larger: ${Math.round((widthMm ?? MIN_LAP_MM) * 2)} × ` +
      `${Math.round((lengthMm ?? MIN_LAP_MM) * 2)} mm`,
    patch: ({ widthMm, lengthMm }) =>
      when(widthMm !== null && lengthMm !== null && widthMm * lengthMm < 4000, {
        widthMm: (widthMm ?? 0) * 2,
        lengthMm: (lengthMm ?? 0) * 2,
      }),
  },
  {
    id: 'strips',
    words: () => 'Glue in strips 20 mm wide with air between, so that it dries from the rims',
    patch: ({ widthMm, lengthMm, edgeMm }) =>
      when((edgeMm ?? Math.min(widthMm ?? 0, lengthMm ?? 0) / 2) > 10, { edgeMm: 10 }),
  },
  {
    id: 'fit',
    words: () => 'Make it fit: sand the faces flat to each other, or pack the gap',
    patch: ({ gapMm, fit }) => when((gapMm ?? 0) > 0.1 || fit === 'rough', { gapMm: 0.1, fit: 'close' }),
  },
  {
    id: 'air',
    words: () => 'Glue it with the window open, under extraction or outdoors',
    patch: ({ air }) => when(air === 'closed', { air: 'extraction' }),
  },
  {
    id: 'heat-away',
    words: () => 'Take flame and hot tools out of the room while it is glued and dries',
    patch: ({ heatNear }) => when(heatNear === true, { heatNear: false }),
  },
  {
    id: 'cooler',
    words: ({ heatC }) =>
      `Keep it cooler: shade, a gap to the lamp, out of the parked car (below ${Math.min(45, (heatC ?? 60) - 15)} °C)`,
    patch: ({ heatC }) => when(heatC !== null && heatC > 45, { heatC: Math.min(45, (heatC ?? 60) - 15) }),
  },
  {
    id: 'dry',
    words: () => 'Keep water off: a cover, a lip, a sealed rim, a part that comes off for the wash',
    patch: ({ water }) => when(water === 'wash' || water === 'soak', { water: 'splash' }),
  },
  {
    id: 'time',
    words: () => 'Give it a day more before it must carry its load',
    patch: ({ readyH }) => when(readyH !== null && readyH < 48, { readyH: (readyH ?? 0) + 24 }),
  },
  {
    id: 'locate',
    words: () => 'Line it up with pins or a jig, so that nothing has to be moved after contact',
    patch: ({ repositionS }) => when((repositionS ?? 0) > 0, { repositionS: 0 }),
  },
  {
    id: 'clamp',
    words: () => 'Make it clampable: pins, tape, a weight, a saddle cut to its shape',
    patch: ({ canClamp }) => when(canClamp === false, { canClamp: true }),
  },
  {
    id: 'work-first',
    words: () => 'Paint, sand, carve or cut before gluing',
    patch: ({ later }) => when(!!later?.length, { later: [] }),
  },
  {
    id: 'other-hands',
    words: () => 'Let somebody else glue it, away from the one who must not',
    patch: ({ users }) => when(!!users?.length, { users: [] }),
  },
  {
    id: 'line',
    words: () => 'Line the joint so that no glue touches skin',
    patch: ({ skin }) => when(skin === true, { skin: false }),
  },
  {
    id: 'hide',
    words: () => 'Hide the line: a trim, a bead, a seam at the back',
    patch: ({ look }) => when(look !== null && look !== 'hidden', { look: 'hidden', boxed: false }),
  },
]

/** What no glue answers, always worth a thought. */
export const mechanical =
  'Fix it mechanically, and let glue only keep it from rattling: screw, rivet, stitch, lace, a pin through, a hinge.'

/**
 * Changes of the joint by how many more glues would suit, the most first; changes that gain nothing are left out.
 * @param setting the joint as it is asked now
 */
export function changesThatHelp(setting: Setting): JointChange[] {
  const fits = (candidates: readonly Candidate[]) => candidates.filter(({ screening }) => screening.verdict === 'fit')
  const now = new Set(fits(shortlist(setting)).map(({ key }) => key))
  return ideas
    .flatMap((idea): JointChange[] => {
      const patch = idea.patch(setting.brief)
      if (!patch) return []
      const gains = fits(shortlist({ ...setting, brief: { ...setting.brief, ...patch } })).filter(
        ({ key }) => !now.has(key),
      )
      return gains.length ? [{ id: idea.id, words: idea.words(setting.brief), gains }] : []
    })
    .sort((x, y) => y.gains.length - x.gains.length)
}
