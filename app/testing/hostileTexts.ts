/** Two hundred texts that no field asked for: slips, pastes, other scripts, numbers beyond all bounds, and code. */
const bare = [
  '', ' ', '\t', '0', '-0', '−0', '-1', '1e308', '-1e308', '1e309', '1e-320', '5e-324', '1e21', '1e9', '1e10', '999999999999999999999', '0.0000001', '0.000001', '.', ',', '-', '+',
  'NaN', 'Infinity', '-Infinity', 'undefined', 'null', 'true', '[object Object]', '[]', '{}', 'constructor', '__proto__', 'toString', 'valueOf', 'hasOwnProperty',
  '0x10', '0b11', '0o17', '1_000', '1,234', '1.234', '1,234.5', '1.234,5', '1 000', '1 000 000', "1'000", '1’000', '1,2,3', '1.2.3', '1..2', '1,,2', '10e', '1e', 'e5', '1e+', '1e5e5', '1ee5',
  '1/2', '1/0', '0/0', '2 1/2', '½', '2½', '½½', '1/2/3', '⅓', '3/', '/3', '-1/2', '٣', '１２', '四', 'IV', '𝟙', '１e３', '2²', '2^3', '√2', 'π', '∞', '≈5', '>5', '<5', '±5', '5-6', '5 – 6', '5±1', '~5',
  '5 kg', '5 kg 250 g', '5 lb 3 oz', '5 N', '5 daN', '5 kN', '5 mN', '1e308 kN', '5 MN', '5 Pa', '5 MPa', '300 kPa', '5 N/mm', '5 N/m', '5 mm', '5 cm', '5 m', '5 km', '5 in', '5"', "5'", '5 ft 3 in', '5 °C', '5 C', '5 F', '-40 °F', '-300 °C', '5 K', '5 %', '500 %', '-5 %', '5 min', '5 h', '5 days', '5 years', '5 s', '5 ms', '1 h 30', '1:30', '5 l', '5 ml', '5 stone', '5 apples', '5 valueOf', '5 constructor', '5 __proto__', '5 toString',
  '€ 5', '5 €', '$5', '5 USD', 'USD 5', '5.-', '5,--', '£1,000', '1 000 €', '5 €€', '€', 'kr 5',
  '2026-01-01', '2026-13-45', '31.12.2026', '12/31/2026', 'tomorrow', '<script>alert(1)</script>', '<img src=x onerror=alert(1)>', '"; DROP TABLE joint; --', "' OR 1=1", '${1+1}', '{{1+1}}', '=1+1', '+1+1', '@SUM(A1)', '../../etc/passwd', '%00', '\\u0000', '\u0000', '\u200b5', '5\u200b', '\u202e5', '5\n6', '5\r\n', '5\t6', '🙂', '5🙂', 'é', 'e\u0301', 'ﬁve', 'five', 'a', 'five hundred', 'a dozen', '10 000', '1.000.000', '100%%', '5e', '.5.', '5.', ',5', '+5', '++5', '5+5', '5*5', '(5)', '#5', '5#', 'A;B', '3 A; 2 B', '3 A; x B', '1 a;1 b;1 c', '0 A; 0 B', '-1 A; 2 B', '1e308 A; 1 B',
] // prettier-ignore

const long = ['9'.repeat(40), '9'.repeat(400), '1'.repeat(61), 'x'.repeat(5000), '1,000'.repeat(50), ' '.repeat(300) + '5', '5' + ' '.repeat(300), '0.' + '0'.repeat(50) + '1', '1 kg '.repeat(200), '-'.repeat(100)] // prettier-ignore

export const hostileTexts: readonly string[] = [...new Set([...bare, ...long])]
