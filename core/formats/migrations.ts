export type Loose = Record<string, unknown>
export type LooseTables = Record<string, Loose[]>

/** A value as an object, or null. */
export const asObject = (value: unknown): Loose | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : null

/**
 * From version n to n + 1, frozen: a migration calls nothing that may change later.
 * 1 → 2: a pack's dates moved from the adhesive to a table of packs, since one product can stand there in two batches.
 * 2 → 3: briefs ask more (all of it open), a product has other names and may be of no known family, a pack knows when
 * it was bought, rules of the house have a table, and a round has arms: its one test became the first.
 * 3 → 4: the size and the price of a pack may be unknown; nothing of an older file changes.
 * 4 → 5: drops on scrap have a table.
 * 5 → 6: other makers, and what was said, have tables.
 */
export const migrations: Record<number, (tables: LooseTables) => LooseTables> = {
  1: (tables) => ({
    ...tables,
    adhesive: (tables['adhesive'] ?? []).map((adhesive) =>
      Object.fromEntries(Object.entries(adhesive).filter(([key]) => key !== 'openedOn' && key !== 'expiresOn')),
    ),
    stock: (tables['adhesive'] ?? [])
      .filter((adhesive) => adhesive['openedOn'] != null || adhesive['expiresOn'] != null)
      .map((adhesive) => ({
        id: `${String(adhesive['id'])}-pack`,
        adhesive: adhesive['id'],
        batch: '',
        openedOn: adhesive['openedOn'] ?? null,
        expiresOn: adhesive['expiresOn'] ?? null,
        left: 1,
      })),
  }),
  2: (tables) => {
    const side = (value: unknown) => ({ ...(value as Loose), traits: null })
    const newWords = [
      'edgeMm',
      'fit',
      'curveMm',
      'leverMm',
      'flexDeg',
      'bendRadiusMm',
      'sun',
      'boxed',
      'undo',
      'repositionS',
      'canClamp',
      'reach',
      'inShell',
      'roomM3',
      'heatNear',
      'stakes',
      'readyH',
      'handledBy',
      'perEvening',
    ]
    const open = Object.fromEntries(newWords.map((word) => [word, null]))
    return {
      ...tables,
      joint: (tables['joint'] ?? []).map((joint) => {
        const brief = asObject(joint['brief'])
        return brief ? { ...joint, brief: { ...brief, ...open, a: side(brief['a']), b: side(brief['b']) } } : joint
      }),
      adhesive: (tables['adhesive'] ?? []).map((adhesive) => ({ ...adhesive, aliases: [] })),
      stock: (tables['stock'] ?? []).map((pack) => ({ ...pack, boughtOn: null })),
      houseRule: [],
      offcut: [],
      procedure: (tables['procedure'] ?? []).map((procedure) => ({ ...procedure, dilution: null, blend: null })),
      round: (tables['round'] ?? []).map(({ test, size, passLimit, passSetAt, ...round }) => ({
        ...round,
        arms: [{ id: 'a1', test, exposure: null, size, passLimit, passSetAt, lateChanges: [] }],
        control: null,
        hunch: null,
        weights: null,
      })),
      coupon: (tables['coupon'] ?? []).map((coupon) => ({ ...coupon, arm: 'a1' })),
      decision: (tables['decision'] ?? []).map((decision) => ({ ...decision, arm: 'a1' })),
    }
  },
  3: (tables) => tables,
  4: (tables) => ({ ...tables, scrap: [] }),
  5: (tables) => ({ ...tables, maker: [], said: [] }),
}
