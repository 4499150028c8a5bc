/** What a label or the tables may name; their meaning stands in hazards.ts, which brings its texts along. */
export const hazardCodes = [
  'vapour-irritant',
  'vapour-narcotic',
  'flammable',
  'skin-bond',
  'sensitiser',
  'isocyanate',
  'burn',
  'exotherm',
  'eye',
  'cancer-suspect',
  'acrylate',
  'dust',
  'pressure-can',
] as const
