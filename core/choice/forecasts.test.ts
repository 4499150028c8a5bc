import { describe, expect, it } from 'vitest'
import type { PairEvidence } from '../evidence/pairEvidence'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { openBrief } from '../records/openBrief'
import type { Procedure } from '../records/procedure'
import { judged, type Setting } from '../screening/shortlist'
import { forecastsOf } from './forecasts'

const open = openBrief()
const setting: Setting = {
  brief: { ...open, a: { ...open.a, material: 'metal' }, b: { ...open.b, material: 'wood' }, loads: ['shear'] },
  a: materialClassOf('metal'),
  b: materialClassOf('wood'),
  room: null,
  currency: 'EUR',
  now: 0,
  adhesives: [],
  stock: [],
  houseRules: [],
  scraps: [],
  evidence: [],
  classOf: (id) => id,
}
const procedure = (patch: Partial<Procedure>): Procedure => ({
  id: 'p',
  joint: 'j',
  letter: 'A',
  name: 'P',
  family: 'epoxy-slow',
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [],
  ...patch,
})
const pulled: PairEvidence = {
  family: 'epoxy-slow',
  adhesive: null,
  sides: [
    { material: 'metal', state: null },
    { material: 'wood', state: null },
  ],
  test: 'lap-shear',
  exposure: null,
  owner: null,
  joint: 'j',
  round: 'r',
  procedure: 'p',
  arm: 'a1',
  between: null,
  weakJoint: null,
  points: [],
  pulls: 4,
  valid: 4,
  typical: 0.1,
  posterior: { mean: Math.log(0.1), sd: 0.125 },
  atLeast: false,
  unit: 'MPa',
  limit: 5,
  from: ['H1-A1', 'H1-A2'],
}

describe('the forecast that is kept with a decision', () => {
  const of = (one: Procedure, evidence: Setting['evidence'], round: string) =>
    forecastsOf({ ...setting, evidence }, [one], round)[0]!
  it('is what the shortlist says of each procedure with its helpers', () => {
    const plain = of(procedure({}), [], 'r')
    const { db, chance } = judged(familyOf('epoxy-slow'), null, setting).screening
    expect(plain).toMatchObject({ procedure: 'p', db, chance })
    expect(plain.reasons!.every((one) => Math.abs(one.db) >= 3)).toBe(true)
    expect(plain.reasons!.length).toBeGreaterThan(0)
    const dabs = judged(familyOf('epoxy-slow'), null, setting, { helpers: ['tack-and-cure'] }).screening
    expect(of(procedure({ helpers: ['tack-and-cure'] }), [], 'r').db).toBe(dabs.db)
  })
  it('leaves the pulls of its own round out, and those of others in', () => {
    const plain = of(procedure({}), [], 'r').db
    expect(of(procedure({}), [pulled], 'r').db).toBe(plain)
    expect(of(procedure({}), [pulled], 'another').db).toBeLessThan(plain)
  })
})
