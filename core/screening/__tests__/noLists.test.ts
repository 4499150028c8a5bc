import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { families } from '../../knowledge/families'
import { materialClasses } from '../../knowledge/materials'

const folder = new URL('../rules/', import.meta.url)
/** Dabs are a choice of the brief, named by their family; everything else asks the row. */
const DABS = new Set(['ca-gel', 'hotmelt-low', 'tape-foam'])

describe('the rules', () => {
  it('ask the rows of families and materials, and hold no lists of ids', () => {
    const ids = new Set([...families, ...materialClasses].map(({ id }) => id).filter((id) => !DABS.has(id)))
    const named = readdirSync(folder).flatMap((file) => {
      const text = readFileSync(new URL(file, folder), 'utf8')
      return [...text.matchAll(/'([a-z][a-z-]+)'/g)].flatMap(([, word]) =>
        // Chemistries and groups bear some of the same names.
        ids.has(word!) && !['silicone', 'leather', 'paper', 'wood'].includes(word!) ? [`${file}: ${word}`] : [],
      )
    })
    expect(named).toEqual([])
  })
})
