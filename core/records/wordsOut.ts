/** Fields in which a maker writes what they like. */
const written = new Set([
  ...['name', 'note', 'text', 'reason', 'who', 'what', 'where', 'evidence', 'setAside', 'batch', 'by', 'tool'],
  ...['leftOut', 'was', 'how', 'file', 'aliases'],
])

/** Every text that a maker wrote in a value, two letters and more. */
export function writtenTexts(value: unknown, key = '', into = new Set<string>()): Set<string> {
  if (typeof value === 'string') {
    const text = value.trim()
    if (written.has(key) && text.length > 1) into.add(text)
  } else if (Array.isArray(value)) for (const one of value) writtenTexts(one, key, into)
  else if (typeof value === 'object' && value !== null)
    for (const [name, one] of Object.entries(value)) writtenTexts(one, name, into)
  return into
}

/** A sentence without what makers wrote, and without anything in quotes: "Reading H2-B3 set aside: …". */
export function withoutWords(sentence: string, texts: ReadonlySet<string>): string {
  const found = [...texts].filter((text) => sentence.includes(text)).sort((x, y) => y.length - x.length)
  const bare = found.reduce((rest, text) => rest.split(text).join('…'), sentence.replace(/“[^”]*”/g, '“…”'))
  return bare.replace(/(…\s*)+/g, '… ').trim()
}
