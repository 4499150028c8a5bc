export function mendedWords(broughtBack: readonly string[], aside: readonly string[]): string {
  const list = (labels: readonly string[]) =>
    labels.slice(0, 5).join('; ') + (labels.length > 5 ? ` and ${labels.length - 5} more` : '')
  return [
    'The log of this bench had a gap, left by an older version.',
    broughtBack.length ? `Brought back from behind it: ${list(broughtBack)}.` : '',
    aside.length ? `No longer fitting, kept aside and not applied: ${list(aside)}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}
