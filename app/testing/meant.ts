/**
 * What a person reads in those hostile texts that are an amount, written down by hand: the number and its unit, “” for
 * none. No field may take a number out of a text that is not here.
 */
const amounts: Record<string, readonly [value: number, unit: string]> = {
  '0': [0, ''],
  '-0': [0, ''],
  '−0': [0, ''],
  '-1': [-1, ''],
  '1e9': [1e9, ''],
  '1e10': [1e10, ''],
  '0.000001': [1e-6, ''],
  '1.234': [1.234, ''],
  '1,234.5': [1234.5, ''],
  '1.234,5': [1234.5, ''],
  '1 000': [1000, ''],
  '1 000 000': [1e6, ''],
  "1'000": [1000, ''],
  '1’000': [1000, ''],
  '1.000.000': [1e6, ''],
  '10 000': [1e4, ''],
  '1/2': [1 / 2, ''],
  '2 1/2': [2.5, ''],
  '½': [0.5, ''],
  '2½': [2.5, ''],
  '⅓': [1 / 3, ''],
  '-1/2': [-0.5, ''],
  5: [5, ''],
  '5.': [5, ''],
  '5,': [5, ''],
  ',5': [0.5, ''],
  '+5': [5, ''],
  '5\r\n': [5, ''],
  // A field of one line leaves the break out; one of several keeps it, and then it is no number.
  '5\n6': [56, ''],
  '5 kg': [5, 'kg'],
  '5 kg 250 g': [5.25, 'kg'],
  '5 lb 3 oz': [5 + 3 / 16, 'lb'],
  '5#': [5, 'lb'],
  '5 N': [5, 'N'],
  '5 daN': [50, 'N'],
  '5 kN': [5000, 'N'],
  '5 mN': [0.005, 'N'],
  '5 MPa': [5, 'MPa'],
  '300 kPa': [0.3, 'MPa'],
  '5 N/mm': [5, 'N/mm'],
  '5 N/m': [0.005, 'N/mm'],
  '5 mm': [5, 'mm'],
  '5 cm': [50, 'mm'],
  '5 m': [5000, 'mm'],
  '5 in': [127, 'mm'],
  '5"': [127, 'mm'],
  "5'": [1524, 'mm'],
  '5 ft 3 in': [1600.2, 'mm'],
  '5 °C': [5, '°C'],
  '5 C': [5, '°C'],
  '5 F': [-15, '°C'],
  '-40 °F': [-40, '°C'],
  '5 %': [5, '%'],
  '-5 %': [-5, '%'],
  '500 %': [500, '%'],
  '5 s': [5, 's'],
  '5 min': [300, 's'],
  '5 h': [18_000, 's'],
  '5 days': [432_000, 's'],
  '1 h 30': [5400, 's'],
  '5 l': [5, 'l'],
  '5 ml': [0.005, 'l'],
  '€ 5': [5, '€'],
  '5 €': [5, '€'],
  '1 000 €': [1000, '€'],
  $5: [5, '€'],
  '5 USD': [5, '€'],
  'USD 5': [5, '€'],
  'kr 5': [5, '€'],
  // Hours of a day, in minutes.
  '5-6': [300, 'o’clock'],
  '5 – 6': [300, 'o’clock'],
  '5.-': [5, '€'],
  '5,--': [5, '€'],
}
const KG = 9.80665
/** The same amount as records may keep it: each unit with those that a record has in its place. */
const kept: Record<string, readonly number[]> = {
  kg: [1, 1000, KG],
  lb: [0.45359237, 453.59237, 0.45359237 * KG],
  N: [1, 1 / KG],
  MPa: [1],
  'N/mm': [1],
  mm: [1, 0.001],
  '°C': [1],
  '%': [1, 0.01],
  s: [1, 1 / 3600, 1000],
  l: [1, 1000],
  '€': [1],
  'o’clock': [1],
  // A bare number is in the unit of its field.
  '': [1, 0.01, KG, KG / 1000, 0.45359237 * KG, 0.001, 0.1, 10, 25.4, 60, 3600, 86_400, 1000, 1 / 3600, 1 / 60],
}

/** Whether a record's number is what a person reads in a text, to the three digits that a page shows at least. */
export function isMeant(text: string, value: number): boolean {
  const as = [text, text.trim()].find((one) => Object.hasOwn(amounts, one))
  if (as === undefined) return false
  const amount = amounts[as]!
  return kept[amount[1]]!.some((factor) => {
    const wanted = amount[0] * factor
    return Math.abs(value - wanted) <= 0.005 * Math.abs(wanted)
  })
}
