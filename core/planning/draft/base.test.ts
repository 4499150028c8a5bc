import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../../knowledge/families'
import { materialClassOf } from '../../knowledge/materials'
import type { Helper } from '../../knowledge/vocabulary'
import type { Brief } from '../../records/joint'
import { openBrief } from '../../records/openBrief'
import { situationOf, type Around, type SecondGlue } from '../../situation/situation'
import { usualDemands } from './base'
import { secondDemands } from './second'

const on = (family: string, a = 'wood', b = 'metal', brief: Partial<Brief> = {}, around: Around = {}) =>
  situationOf({ ...openBrief(), ...brief }, materialClassOf(a), materialClassOf(b), familyOf(family), around)
const asked = (...of: Parameters<typeof on>) => usualDemands(on(...of))
const textAt = (at: string, ...of: Parameters<typeof on>) =>
  asked(...of)
    .filter((one) => one.at === at)
    .map(({ text }) => text)
const withHelper = (family: string, helper: Helper, a: string, b: string) => {
  const bare = asked(family, a, b).map(({ at, text }) => `${at} ${text}`)
  return asked(family, a, b, {}, { helpers: [helper] }).filter(({ at, text }) => !bare.includes(`${at} ${text}`))
}

describe('what a glue asks for on two faces', () => {
  it('each helper adds its own step, and nothing else', () => {
    expect(withHelper('ca-gel', 'activator', 'wood', 'metal')).toEqual([
      { at: 'activate', text: 'Mist activator thinly on side B (metal) only and let it flash off', minS: 30 },
    ])
  })

  it('a fill is laid dry, soaked through at once with thin glue, and left alone while it is hot', () => {
    for (const [helper, words] of [
      ['powder-filler', /^Pack powder dry/],
      ['fibre-filler', /^Tease the fibre thin/],
    ] as const) {
      const steps = asked('ca-thin', 'print-pla', 'print-pla', { gapMm: 1 }, { helpers: [helper] })
      expect(steps.find(({ at }) => at === 'fill')!.text).toMatch(words)
      expect(steps.find(({ at, instead }) => at === 'apply' && instead)!.text).toMatch(/soak the .* through at once/)
      // Nobody's hands are at it in the hot seconds, and they are counted down.
      expect(steps.some(({ at }) => at === 'hold')).toBe(false)
      expect(steps.find(({ at }) => at === 'clamp')).toMatchObject({
        minS: 120,
        text: expect.stringMatching(/^Hands off/),
      })
      expect(steps.map(({ text }) => text).join(' ')).not.toMatch(/drop at a time|gel/)
    }
    expect(withHelper('epoxy-slow', 'fibre-filler', 'wood', 'wood').map(({ at }) => at)).toEqual(['mix'])
    expect(withHelper('pva-white', 'fibre-filler', 'wood', 'wood')).toEqual([])
  })

  it('a primer goes on the face that is slippery, a lining on the cloth', () => {
    const primed = (a: string, b: string) => withHelper('ca-gel', 'primer', a, b)
    expect(primed('polyolefin', 'wood')).toMatchObject([{ at: 'prime', minS: 60 }])
    expect(primed('polyolefin', 'wood')[0]!.text).toContain('on side A')
    expect(primed('wood', 'polyolefin')[0]!.text).toContain('on side B')
    for (const [helper, words] of [
      ['cloth-primer', 'Prime the back of side'],
      ['paper-backing', 'Line the back of side'],
    ] as const) {
      const of = (a: string, b: string) => withHelper('contact-water', helper, a, b)
      expect(of('fabric-cotton', 'wood')).toMatchObject([{ at: 'prime', minS: 1800 }])
      expect(of('fabric-cotton', 'wood')[0]!.text).toContain(`${words} A (woven cotton`)
      expect(of('wood', 'fabric-cotton')[0]!.text).toContain(`${words} B (woven cotton`)
    }
  })

  it('is spread on one face or on both, as its form is laid', () => {
    expect(textAt('apply', 'contact-solvent')).toEqual(['Spread a thin even film on both faces'])
    expect(textAt('apply', 'epoxy-slow')).toEqual(['Spread a thin even film on side A (solid wood)'])
    expect(textAt('apply', 'ca-thin')[0]).toMatch(/^Wick it into the closed joint/)
    expect(textAt('apply', 'hotmelt-low')[0]).toMatch(/^Lay one hot bead/)
    expect(textAt('apply', 'glue-stick', 'card', 'card')[0]).toMatch(/^Rub an even film/)
    expect(textAt('apply', 'weld-hot-tool', 'print-pla', 'print-pla')[0]).toMatch(/^Melt both faces at once/)
    for (const { id, faces, form } of families)
      if (form === 'spray')
        expect(textAt('apply', id)).toEqual([
          faces === 'both' ? 'Spray an even coat on both faces' : 'Spray an even coat on side A (solid wood)',
        ])
  })

  it('is mixed where it has two parts, shaken where it is a can, heated where it is a gun', () => {
    expect(textAt('mix', 'epoxy-fast')[0]).toMatch(/^Mix both parts, 5 g or more/)
    expect(textAt('mix', 'ca-gel')).toEqual([])
    expect(textAt('ready', 'spray-contact')).toEqual(['Shake the can well and lay out paper against overspray'])
    const gun = asked('hotmelt-low').find(({ at }) => at === 'ready')
    expect(gun).toEqual({ at: 'ready', text: expect.stringMatching(/^Switch the glue gun on/) as string, minS: 300 })
    expect(textAt('ready', 'weld-hot-tool')[0]).toMatch(/^Switch the hot tool on/)
    expect(textAt('ready', 'web-iron-on', 'felt', 'felt')[0]).toMatch(/^Switch the hot tool on/)
    expect(textAt('ready', 'epoxy-slow')).toEqual([])
  })

  it('waits, closes and is pressed as its kind sets', () => {
    expect(textAt('wait', 'contact-solvent')).toEqual(['Leave open until it is dull and touch-dry'])
    expect(textAt('wait', 'epoxy-slow')).toEqual([])
    // Water contact glue grabs at once: it is closed like the solvent one, not slid about.
    expect(textAt('close', 'contact-water')).toEqual(['Line up the marks and close once'])
    expect(textAt('close', 'pva-white', 'card', 'card')).toEqual(['Close, slide a little to spread, line up the marks'])
    expect(textAt('press', 'contact-solvent')).toHaveLength(1)
    expect(textAt('press', 'tape-double')).toHaveLength(1)
    expect(textAt('press', 'epoxy-slow')).toEqual([])
  })

  it('is lit through what is clear, or along the rim', () => {
    expect(textAt('light', 'uv-acrylic', 'sheet-acrylic', 'wood')[0]).toContain('through side A,')
    expect(textAt('light', 'uv-acrylic', 'wood', 'glass')[0]).toContain('through side B,')
    expect(textAt('light', 'uv-acrylic', 'sheet-acrylic', 'glass')[0]).toContain('through side A and side B,')
    expect(textAt('light', 'uv-acrylic', 'wood', 'wood')[0]).toContain('along the rim')
    const { holdS, handlingS } = familyOf('uv-acrylic')
    expect(asked('uv-acrylic').find(({ at }) => at === 'light')!.minS).toBe(Math.max(holdS, handlingS))
    expect(textAt('hold', 'uv-acrylic')).toEqual([])
  })

  it('is held by hand for two minutes at most; hand and fixture together reach its handling time', () => {
    for (const { id, clamp, holdS, handlingS, mechanism } of families) {
      if (mechanism === 'light') continue
      const s = on(id)
      const of = (at: string) => usualDemands(s).find((one) => one.at === at)?.minS ?? null
      const held = of('hold')
      expect(held, id).toBe(s.family.holdS <= 120 ? s.family.holdS : null)
      const fixed = of('clamp')
      if (clamp === 'clamp' || clamp === 'press')
        expect((held ?? 0) + fixed!, id).toBe(Math.max(s.family.handlingS, s.family.holdS))
      else expect(fixed, id).toBe(held === null ? s.family.holdS : null)
      expect(
        [holdS, handlingS].every((one) => one >= 0),
        id,
      ).toBe(true)
    }
  })

  it('is kept still as the joint allows', () => {
    const fix = (family: string, brief: Partial<Brief> = {}) => textAt('clamp', family, 'wood', 'wood', brief)
    expect(fix('contact-solvent')).toEqual(['Let it rest without load until it can be handled'])
    const clamped = families.find(
      ({ clamp, traits, mechanism }) => clamp === 'clamp' && mechanism !== 'pressure' && !traits.includes('dry-grab'),
    )!
    const weighted = families.find(
      ({ clamp, traits, mechanism }) =>
        clamp === 'press' && mechanism !== 'pressure' && mechanism !== 'light' && !traits.includes('dry-grab'),
    )!
    expect(fix(clamped.id)).toEqual(['Clamp with flat pads until it can be handled'])
    expect(fix(weighted.id)).toEqual(['Leave under a flat weight until it can be handled'])
    for (const { id } of [clamped, weighted])
      expect(fix(id, { canClamp: false })).toEqual(['Pin, prop or tape it in place until it can be handled'])
  })

  it('prepares each side by the tables, and by hand where nothing is known of it', () => {
    const s = situationOf(openBrief(), materialClassOf('wood'), null, familyOf('epoxy-slow'), {})
    const [a, b] = usualDemands(s)
    expect(a).toEqual({ at: 'prepare-a', text: materialClassOf('wood').prep })
    expect(b).toEqual({ at: 'prepare-b', text: 'Clean, dry and scuff it' })
    // Beside a glue that may burn no face is flamed or fused: what else its preparation says stays.
    const prep = (family: string, a: string, around: Around = {}) => textAt('prepare-a', family, a, 'metal', {}, around)
    const clauses = materialClassOf('foam-pe').prep.split('; ')
    expect(prep('epoxy-slow', 'foam-pe')).toEqual([clauses.join('; ')])
    expect(prep('contact-solvent', 'foam-pe')).toEqual([clauses.filter((one) => !/heat/.test(one)).join('; ')])
    expect(prep('contact-solvent', 'polyolefin')).toEqual(['Clean, dry and scuff it'])
    // So does a second glue that may burn.
    const tin = familyOf('contact-solvent')
    const beside: SecondGlue = { family: tin, name: tin.name, role: 'part', where: '' }
    expect(prep('epoxy-slow', 'polyolefin', { second: beside })).toEqual(['Clean, dry and scuff it'])
  })
})

describe('what a second glue asks for beside the first', () => {
  const second = (family: string, role: SecondGlue['role'], where = ''): SecondGlue => ({
    family: familyOf(family),
    name: familyOf(family).name,
    role,
    where,
  })
  const of = (first: string, ...rest: Parameters<typeof second>) =>
    secondDemands(on(first, 'wood', 'wood', {}, { second: second(...rest) })).map(({ at, minS }) => [at, minS ?? 0])
  const { holdS, fullS } = familyOf('ca-thin')

  it('its place and its cure', () => {
    expect(secondDemands(on('pva-white'))).toEqual([])
    expect(of('ca-gel', 'ca-thin', 'rim')).toEqual([
      ['fillet', holdS],
      ['cure', fullS],
    ])
    expect(of('ca-gel', 'ca-thin', 'part')).toEqual([
      ['apply', 0],
      ['cure', fullS],
    ])
    const { waitMinS, handlingS, fullS: dry } = familyOf('pva-white')
    expect(of('contact-solvent', 'pva-white', 'first-coat')).toEqual([
      ['prime', Math.max(waitMinS, handlingS)],
      ['cure', dry],
    ])
  })

  it('thin glue wicks in, thick glue is run along', () => {
    const words = (family: string) =>
      secondDemands(on('pva-white', 'wood', 'wood', {}, { second: second(family, 'rim') }))[0]!.text
    expect(words('ca-thin')).toMatch(/wick in along the rim/)
    expect(words('ca-gel')).toMatch(/^Run .* along the rim, a little at a time/)
  })

  it('a mix of its own, a gun of its own', () => {
    expect(of('ca-gel', 'epoxy-slow', 'rim').map(([at]) => at)).toEqual(['fillet', 'cure', 'mix'])
    expect(of('pva-white', 'hotmelt-low', 'rim')).toContainEqual(['ready', 300])
  })

  it('no gun on a film that may burn: apart, once that is dry', () => {
    const demands = (role: SecondGlue['role']) =>
      secondDemands(on('contact-solvent', 'wood', 'wood', {}, { second: second('hotmelt-low', role) }))
    for (const [role, at] of [
      ['rim', 'fillet'],
      ['part', 'fit'],
      ['first-coat', 'fit'],
    ] as const) {
      expect(demands(role)[0]).toEqual({
        at,
        text: 'The second glue goes on apart, in another place, once the first glue is dry and the air is clear',
      })
      expect(demands(role).find((one) => one.at === 'ready')).toEqual({
        at: 'ready',
        text: 'Leave the gun for the second glue cold until the first is dry and the air is clear',
      })
    }
    // The other way round: the first one's gun stays cold while the second's solvent dries.
    const melt = usualDemands(on('hotmelt-low', 'wood', 'wood', {}, { second: second('contact-solvent', 'part') }))
    expect(melt.find(({ at }) => at === 'ready')).toEqual({
      at: 'ready',
      text: 'Leave the glue gun cold until what was laid before is dry and the air is clear',
    })
  })

  it('a part that is named, or its own', () => {
    const text = (where: string) =>
      secondDemands(on('pva-white', 'wood', 'wood', {}, { second: second('ca-gel', 'part', where) }))[0]!.text
    expect(text('the cover')).toMatch(/ on the cover, before it is closed$/)
    expect(text('')).toMatch(/ on its own part, before it is closed$/)
  })
})
