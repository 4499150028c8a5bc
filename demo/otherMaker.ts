import type { DemoJoint } from './joints'
import type { Glue } from './scenario'

/** Another maker's bench that was put to this one: a puppet workshop with a gauge and hands of its own. */
export const otherMaker = {
  id: 'mill',
  name: 'Puppet loft, old mill',
  gauge: { name: 'spring balance', limitN: 200, resolutionN: 1 },
  build: { id: 'mill-fox', name: 'Fox and hound', what: 'Two hand puppets for the winter show.' },
  glues: [
    {
      key: 'mill-rubber',
      name: 'Rubber solution, tube',
      family: 'rubber-cement',
      packSize: 100,
      packUnit: 'ml',
      packPrice: 5.5,
      openedDaysAgo: 70,
      left: 0.5,
    },
    {
      key: 'mill-water',
      name: 'White contact, jar',
      family: 'contact-water',
      packSize: 250,
      packUnit: 'ml',
      packPrice: 12,
      openedDaysAgo: 30,
      left: 0.6,
    },
  ] satisfies Glue[],
  joints: [
    {
      code: 'P1',
      name: 'Ear to skull',
      a: 'felt',
      b: 'foam-eva',
      glues: ['mill-rubber', 'mill-water'],
      brief: {
        aThicknessMm: 3,
        bThicknessMm: 10,
        aState: 'clean',
        bState: 'sanded',
        geometry: 'patch',
        loads: ['peel'],
      },
      round: { test: 't-peel', size: { widthMm: 25 }, blocks: 4, seed: 515 },
      state: 'decided',
      gluedHoursAgo: 30 * 24,
    },
  ] satisfies DemoJoint[],
}

/** What was said of glues by others, with where it came from. */
export const hearsay = [
  {
    key: 'cold-melt',
    who: 'the neighbour with the float workshop',
    what: 'Low-melt sticks let go of cloth when the parade is below zero.',
    says: 'fails',
    family: 'hotmelt-low',
    a: 'rib',
    b: 'wing',
    exposure: 'cold',
    grade: 'hearsay',
    daysAgo: 12,
  },
  {
    key: 'tacky-card',
    who: 'label on the bottle',
    what: 'Holds card to foam after ten minutes by hand.',
    says: 'holds',
    family: 'pva-tacky',
    a: 'card',
    b: 'rib',
    exposure: null,
    grade: 'label',
    daysAgo: 5,
  },
] as const
