import { describe, expect, it } from 'vitest'
import { roundedS } from '../../cure/cure'
import { bringsHeat, heatOnWetFilm } from '../../care/heat'
import { families, familyOf } from '../../knowledge/families'
import { materialClasses, materialClassOf } from '../../knowledge/materials'
import { helpers } from '../../knowledge/vocabulary'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import { stepSchema, type Step } from '../../records/procedure'
import { maybe, pick, randomBrief, some } from '../../screening/__tests__/randomBrief'
import { rules, screen } from '../../screening/screen'
import { situationOf, type Around, type Situation } from '../../situation/situation'
import { seededRandom } from '../random'
import { HOLD_BY_HAND_S } from '../steps'
import { answers, demandsOf } from './answers'
import { notByStep } from './notByStep'
import { draftSteps } from './draft'
import { placeOf, slots } from './slots'

const drafted = (s: Situation) => draftSteps(s, screen(s).reasons)
const on = (family: string, a: string, b: string, brief: Partial<Brief> = {}, around: Around = {}) =>
  situationOf({ ...openBrief(), ...brief }, materialClassOf(a), materialClassOf(b), familyOf(family), around)
const kinds = (steps: readonly Step[]) => steps.map(({ kind }) => kind).join(' ')
const stepOf = (steps: readonly Step[], kind: Step['kind']) => steps.find((step) => step.kind === kind)
const side = (state: Brief['a']['state'], thicknessMm: number | null = null) => ({
  ...openBrief().a,
  state,
  thicknessMm,
})

describe('every rule of the trade', () => {
  it('is answered by a step, or it is said what answers it instead', () => {
    for (const { id } of rules) expect(Number(id in answers) + Number(id in notByStep), id).toBe(1)
    const known = new Set(rules.map(({ id }) => id))
    // These come from own pulls, not from a rule.
    for (const id of [...Object.keys(answers), ...Object.keys(notByStep)])
      expect(known.has(id) || id === 'own-correction', id).toBe(true)
  })
})

describe('300 random briefs, every glue', () => {
  let unruled = 0
  const random = seededRandom(300)
  const cases: { s: Situation; steps: Step[]; reasons: ReturnType<typeof screen>['reasons']; name: string }[] = []
  for (let i = 0; i < 300; i++) {
    const brief = randomBrief(random)
    const [a, b] = [pick(random, materialClasses), pick(random, materialClasses)]
    const room = maybe(random, 0.5, () => ({
      tempC: pick(random, [6, 12, 20, 30]),
      rh: pick(random, [25, 50, 85]),
    }))
    for (const family of families) {
      const s = situationOf(brief, a, b, family, { room, helpers: some(random, helpers, 0.1) })
      // What is ruled out may be tested anyway: it keeps to the same.
      const { verdict, reasons } = screen(s)
      if (verdict !== 'block') unruled++
      cases.push({ s, steps: draftSteps(s, reasons), reasons, name: `${family.id} ${a.id} ${b.id} in brief ${i}` })
    }
  }
  it('many of which are not ruled out', () => expect(unruled).toBeGreaterThan(500))

  it('have no demand of the advice without its step', () => {
    for (const { s, steps, reasons, name } of cases)
      for (const reason of reasons)
        for (const { at, text } of demandsOf(s, reason)) {
          const step = steps.find(({ why }) => why?.includes(reason.rule) && slots.includes(at))
          expect(step, `${name}: ${reason.text}`).toBeDefined()
          expect(steps.map((one) => one.text.toLowerCase()).join('\n'), name).toContain(text.toLowerCase())
        }
  })

  it('have their steps in the order in which they are done, each kind once, and end in the cure', () => {
    for (const { steps, name } of cases) {
      const places = steps.map(({ kind }) => placeOf(kind))
      expect(places, name).toEqual([...new Set(places)].sort((x, y) => x - y))
      expect(steps.at(-1)!.kind, name).toBe('cure')
      for (const kind of ['apply', 'close'] as const) expect(stepOf(steps, kind), name).toBeDefined()
      for (const step of steps) expect(stepSchema.safeParse(step).success, `${name} ${JSON.stringify(step)}`).toBe(true)
    }
  })

  it('never clamp or weight down what cannot be clamped, and nobody holds for longer than two minutes', () => {
    for (const { s, steps, name } of cases) {
      for (const { kind, minS, text } of steps) {
        if (kind === 'hold' || kind === 'dab') expect(minS, name).toBeLessThanOrEqual(HOLD_BY_HAND_S)
        if (s.canClamp === false && !kind.startsWith('prepare'))
          expect(text, `${name} ${kind}`).not.toMatch(/\b(clamp|weight|boards)\b/i)
      }
      const kept = steps.filter(({ kind }) => kind === 'hold' || kind === 'clamp' || kind === 'light' || kind === 'dab')
      const sum = kept.reduce((all, { minS }) => all + minS, 0)
      expect(sum, name).toBeGreaterThanOrEqual(s.family.holdS - 450)
    }
  })

  it('have no step that contradicts a caution', () => {
    for (const { s, steps, reasons, name } of cases) {
      const said = new Set(reasons.map(({ rule }) => rule))
      const wet = { waitMinS: s.family.waitMinS, hazards: s.family.hazards }
      expect(heatOnWetFilm(steps, wet), name).toEqual([])
      const text = (kind: Step['kind']) => stepOf(steps, kind)?.text ?? ''
      if (said.has('flammable-near-heat')) for (const step of steps) expect(bringsHeat(step), name).toBe(false)
      if (s.cure.beads) expect(text('apply'), name).not.toMatch(/film|both faces/)
      if (said.has('cotton-and-cyanoacrylate')) expect(text('apply'), name).not.toMatch(/wick|thin film|spread/i)
      // What minds a film of water is not misted, but for those that cure with it between dry faces.
      if (stepOf(steps, 'damp')) expect(s.family.mechanism, name).toBe('moisture')
      if (s.faces.some(({ state }) => state === 'damp') && said.has('damp-face'))
        expect(steps.map((one) => one.text).join(), name).toMatch(/dry it through/i)
      if (s.helpers.includes('activator')) expect(stepOf(steps, 'activate'), name).toBeDefined()
    }
  })

  it('name the face at every step that is done to one', () => {
    for (const { steps, name } of cases)
      for (const { kind, text } of steps) {
        if (kind === 'prepare-a') expect(text, name).toMatch(/^Side A, /)
        if (kind === 'prepare-b') expect(text, name).toMatch(/^Side B, /)
        if (['prime', 'damp', 'activate', 'coat'].includes(kind))
          expect(text, name).toMatch(/\b(side [AB] \(|both faces)/)
        if (kind === 'apply' && !/bead|gel only|powder|fibre/i.test(text))
          expect(text, name).toMatch(/\b(side [AB] \(|both (coats|faces))/i)
      }
  })

  it('lay the glue on another face than the one that stays dry or is misted, where there is a choice', () => {
    for (const { steps, name, s } of cases) {
      const dry = /Nothing on side ([AB])/.exec(stepOf(steps, 'apply')?.text ?? '')?.[1]
      if (dry) expect(stepOf(steps, 'apply')!.text, name).not.toContain(`on side ${dry} (`)
      if (s.helpers.includes('activator') && s.family.faces === 'one')
        expect(stepOf(steps, 'apply')!.text, name).not.toMatch(/on side B \(/)
    }
  })

  it('say no time in words, and cure for as long as the advice says', () => {
    for (const { s, steps, name } of cases) {
      for (const step of steps)
        if (!step.kind.startsWith('prepare'))
          expect(step.text, name).not.toMatch(/\d+(\.\d+)? ?(s|min|minutes|h|hours|days?)\b/)
      const cure = steps.at(-1)!
      expect(cure.minS, name).toBe(Math.min(316_000_000, s.family.fullS))
      const wait = stepOf(steps, 'wait')
      if (wait) expect([wait.minS, wait.maxS], name).toEqual([s.family.waitMinS, s.family.waitMaxS])
    }
  })
})

describe('what an experienced maker would do', () => {
  it('foaming glue between two dense faces: misted, fixed all over, trimmed', () => {
    const steps = drafted(on('pu-foaming', 'metal', 'glass'))
    expect(kinds(steps)).toBe('prepare-a prepare-b fit damp apply close clamp cure')
    expect(stepOf(steps, 'damp')).toMatchObject({ why: ['moisture-cure-dry-air'] })
    // Metal would rust: the glass is misted.
    expect(stepOf(steps, 'damp')!.text).toContain('Mist side B')
    expect(stepOf(steps, 'clamp')!.text).toContain('it swells and pushes')
    expect(stepOf(steps, 'cure')!.text).toContain('Trim what oozed out')
  })
  it('white glue deep between foams: beads with air lanes, and the cure of those beads', () => {
    const steps = drafted(on('acrylic-paste', 'foam-eva', 'foam-eva', { widthMm: 60, lengthMm: 80, readyH: 300 }))
    // 30 mm deep at 5 mm/√day: 36 days as a film. In 12.5 days 17.7 mm from each rim: beads of 35 mm, 12.25 days.
    expect(stepOf(steps, 'apply')!.text).toMatch(/^Lay beads no wider than 35 mm with air lanes/)
    expect(stepOf(steps, 'cure')!.minS).toBe(12.25 * 86_400)
  })
  it('no face is scuffed twice in one step, once without wiping it', () => {
    const shiny = drafted(on('ca-medium', 'rubber-sole', 'wood', { a: side('glazed') }))
    // A glazed skin wants it scuffed, a firm grip on smooth rubber scuffed and wiped: the one says the other.
    expect(shiny[0]!.text).toMatch(/^Side A, rubber and EVA soling: scuff it matt and wipe it\. /)
    expect(shiny[0]!.why).toEqual(expect.arrayContaining(['glazed-skin', 'grip']))
    let scuffed = 0
    for (const { id: family } of families)
      for (const { id } of materialClasses)
        for (const { kind, text } of drafted(on(family, id, 'wood', { a: side('glazed') }))) {
          const found = kind === 'prepare-a' ? text.match(/scuff it matt/gi) : null
          expect(found?.length ?? 0, `${family} ${id}: ${text}`).toBeLessThanOrEqual(1)
          scuffed += found ? 1 : 0
        }
    expect(scuffed).toBeGreaterThan(100)
  })
  it('stacked foam with contact glue: scuffed, both faces, the window, pressed, and no clamp', () => {
    const steps = drafted(on('contact-solvent', 'foam-eva', 'foam-eva', { a: side('glazed', 10), b: side(null, 10) }))
    expect(kinds(steps)).toBe('prepare-a prepare-b fit apply wait close press hold clamp cure')
    expect(steps[0]!.text).toMatch(/^Side A, closed-cell EVA foam sheet: scuff it matt/)
    expect(stepOf(steps, 'wait')).toMatchObject({ minS: 600, maxS: 2400, why: ['tack-window'] })
    expect(stepOf(steps, 'clamp')!.text).toBe('Let it rest without load until it can be handled')
  })
  it('a printed shoulder with old paint and epoxy: bared, mixed once, fixed', () => {
    const steps = drafted(on('epoxy-fast', 'print-pla', 'metal', { a: side('painted-acrylic'), canClamp: false }))
    expect(steps[0]!.text).toMatch(/^Side A, printed PLA: take the paint off/)
    expect(stepOf(steps, 'mix')).toMatchObject({ once: true, maxS: 210 })
    expect(stepOf(steps, 'clamp')!.text).toBe('Pin, prop or tape it in place until it can be handled')
  })
  it('a clear eye with light-cured glue: lit through the clear side', () => {
    const steps = drafted(on('uv-acrylic', 'sheet-acrylic', 'thermoform-filled'))
    expect(stepOf(steps, 'light')).toMatchObject({
      minS: 60,
      text: expect.stringContaining('through side A') as string,
    })
    expect(stepOf(steps, 'hold')).toBeUndefined()
  })
  it('slow glue with dabs: room left for them, pressed down, fixed by them alone', () => {
    const steps = drafted(
      on('epoxy-slow', 'wood', 'metal', { widthMm: 60, lengthMm: 80, canClamp: false }, { helpers: ['tack-and-cure'] }),
    )
    expect(stepOf(steps, 'apply')!.text).toMatch(/Leave room for dabs of .* in 4 places/)
    expect(stepOf(steps, 'dab')).toMatchObject({ minS: 60 })
  })
  it('thin glue with fibre and activator: teased, soaked, activator on the other face', () => {
    const steps = drafted(
      on('ca-thin', 'print-pla', 'print-pla', { gapMm: 1 }, { helpers: ['fibre-filler', 'activator'] }),
    )
    expect(stepOf(steps, 'fill')!.text).toMatch(/Tease the fibre thin/)
    expect(stepOf(steps, 'apply')!.text).not.toMatch(/dots of gel|Wick it into/)
    expect(stepOf(steps, 'activate')).toMatchObject({ minS: 30 })
  })
  it('a glue gun comes to heat meanwhile, a spray is shaken, a sinking coat is laid twice', () => {
    expect(drafted(on('hotmelt-low', 'card', 'card'))[0]).toMatchObject({ kind: 'ready', once: true, minS: 300 })
    expect(stepOf(drafted(on('spray-contact', 'card', 'card')), 'ready')!.text).toMatch(/Shake the can/)
    expect(stepOf(drafted(on('contact-water', 'felt', 'card')), 'coat')!.why).toEqual(['repeat-coats'])
  })
  it('in the cold: warmed first, and all times longer', () => {
    const steps = drafted(on('epoxy-slow', 'wood', 'metal', {}, { room: { tempC: 8, rh: 60 } }))
    expect(stepOf(steps, 'ready')!.text).toMatch(/^Warm parts, glue and place/)
    expect(stepOf(steps, 'cure')!.minS).toBe(roundedS(172_800 * 2 ** 1.2))
  })
  it('a reason that own pulls have lifted asks for nothing', () => {
    const s = on('contact-solvent', 'foam-eva', 'foam-eva', { a: side('glazed') })
    const { reasons } = screen(s)
    const lifted = reasons.map((reason) => (reason.rule === 'glazed-skin' ? { ...reason, lifted: true } : reason))
    expect(draftSteps(s, reasons)[0]!.why).toContain('glazed-skin')
    expect(draftSteps(s, lifted)[0]!.why).not.toContain('glazed-skin')
  })
})
