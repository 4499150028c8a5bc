/** A value as one text, the same whatever the order of its keys; what is left out is not there. */
export function stableText(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(stableText).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const fields = Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([x], [y]) => (x < y ? -1 : 1))
  return `{${fields.map(([key, one]) => `${JSON.stringify(key)}:${stableText(one)}`).join(',')}}`
}

/** A short mark of a text (FNV-1a, 53 bits of two runs): the same text has the same. */
export function markOf(text: string): string {
  const run = (seed: number) => {
    let hash = seed
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0
    return hash.toString(36)
  }
  return `${run(0x811c9dc5)}${run(0x9dc5811c)}`
}
