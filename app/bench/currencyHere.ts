/** Regions by the currency that is paid there; any other counts in euro. Codes of ISO 4217 and ISO 3166. */
const REGIONS: Record<string, string> = {
  USD: 'US PR EC SV PA',
  GBP: 'GB GG IM JE',
  CAD: 'CA',
  AUD: 'AU',
  NZD: 'NZ',
  CHF: 'CH LI',
  SEK: 'SE',
  NOK: 'NO',
  DKK: 'DK GL FO',
  ISK: 'IS',
  PLN: 'PL',
  CZK: 'CZ',
  HUF: 'HU',
  RON: 'RO',
  TRY: 'TR',
  UAH: 'UA',
  JPY: 'JP',
  CNY: 'CN',
  KRW: 'KR',
  TWD: 'TW',
  HKD: 'HK',
  SGD: 'SG',
  INR: 'IN',
  IDR: 'ID',
  ILS: 'IL',
  ZAR: 'ZA',
  BRL: 'BR',
  MXN: 'MX',
  ARS: 'AR',
  CLP: 'CL',
  COP: 'CO',
}

/**
 * What a new bench counts money in until its maker says otherwise: the sign of the currency of a language's region,
 * so that no price stands without its unit. @param language a BCP 47 tag, such as the browser's
 */
export function currencyHere(language: string): string {
  let region: string | undefined
  try {
    region = new Intl.Locale(language).maximize().region
  } catch {
    // A tag that the browser itself gives may still be none: euro then.
  }
  const found = Object.entries(REGIONS).find(([, regions]) => region && regions.split(' ').includes(region))
  const currency = found?.[0] ?? 'EUR'
  const written = new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
  return written.formatToParts(0).find(({ type }) => type === 'currency')?.value ?? currency
}
