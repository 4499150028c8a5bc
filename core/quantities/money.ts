/** Two decimals, or three significant ones below ten cents, so that a cheap joint does not read 0.00. */
export function showMoney(amount: number, currency = ''): string {
  const size = Math.abs(amount)
  const digits =
    amount !== 0 && size < 0.01 ? '< 0.01' : amount !== 0 && size < 0.1 ? amount.toPrecision(2) : amount.toFixed(2)
  return currency ? `${digits} ${currency}` : digits
}
