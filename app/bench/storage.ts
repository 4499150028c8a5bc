import type { CodedError } from '../../core/errors'
import type { Entry } from '../../core/records/entry'
import { tableNames, type AnyRecord, type TableName, type Tables } from '../../core/records/tables'
import { BENCH_VERSION } from '../../core/records/version'
import { piece } from '../look/piece'
import { CellsGone, type Cells, type CellTurn } from '../storage/cells'
import { asideKey, asRows, asText, damaged, entryKey, gone, knownVersion, placed, tableKey } from './stored'
import type { Head, Placed } from './stored'
import type { Mark } from './copyOrder'

export interface Snapshot {
  head: Head
  tables: Tables
  /** folded in already; the newest of them, for undo and history */
  folded: Placed[]
  /** not folded in yet, in the order of their places; older benches may have holes between them */
  pending: Placed[]
}

/** Whole tables are written: on a slow disk that takes its time, ms. */
const TABLES_MS = 60_000

/**
 * Where one bench is kept. Every write checks, in its own transaction, that the bench is still this one (its token),
 * that the entry before it is there, and that its own place is free: what comes back without an error is stored, in
 * order, once.
 */
export class BenchStorage {
  constructor(private readonly cells: Cells) {}

  close(): void {
    this.cells.close()
  }

  /** The first content of a new bench, stored whole. @throws when there is no room: nothing is left behind then */
  create(tables: Tables, token: string): Promise<void> {
    const filled = tableNames.filter((name) => tables[name].length > 0)
    const generations = Object.fromEntries(filled.map((name) => [name, 1]))
    return this.run(
      'write',
      async (turn) => {
        await Promise.all(filled.map((name) => turn.put(tableKey(name, 1), asText(tables[name]))))
        await turn.put('head', { through: 0, generations, version: BENCH_VERSION, token } satisfies Head)
      },
      TABLES_MS,
    )
  }

  /**
   * All of the bench at one moment.
   * @param depth how many folded entries come along
   * @param token given to a bench that has none yet (it is from before tokens)
   * @throws CodedError bench-gone without a head, bench-damaged when a table is missing: never an empty one in its
   * place; newer-bench
   */
  async read(depth: number, token: string): Promise<Snapshot> {
    const read = async (turn: CellTurn) => {
      const head = (await turn.get('head')) as Head | null
      if (!head) throw await headless(turn)
      const rows = await Promise.all(
        tableNames.map(async (name) => {
          const generation = head.generations[name]
          if (generation === undefined) return []
          return asRows(await turn.get(tableKey(name, generation)), name)
        }),
      )
      const entries = await placed(turn, Math.max(1, head.through - depth + 1))
      return {
        head,
        tables: Object.fromEntries(tableNames.map((name, i) => [name, rows[i]!])) as unknown as Tables,
        folded: entries.filter(({ seq }) => seq <= head.through),
        pending: entries.filter(({ seq }) => seq > head.through),
      }
    }
    await this.bringUp(token)
    const snapshot = await this.run('read', read, TABLES_MS)
    if (snapshot.head.token) return snapshot
    const stored = await this.run('write', async (turn) => {
      const head = (await turn.get('head')) as Head | null
      if (!head) throw gone('its first page is missing')
      const marked = { ...head, token: head.token || token }
      await turn.put('head', marked)
      return marked
    })
    return { ...snapshot, head: { ...snapshot.head, token: stored.token } }
  }

  /** A bench as an older build stored it is brought to the shapes of today; what an end cut off of that is settled. */
  private async bringUp(token: string): Promise<void> {
    const head = (await this.run('read', (turn) => turn.get('head'))) as Head | null
    if (!head || (knownVersion(head) === BENCH_VERSION && !head.unproved)) return
    const { bringUp } = await piece(() => import('./bringUp'))
    await bringUp((mode, work) => this.run(mode, work, TABLES_MS), token)
  }

  /** Every entry that was ever stored, the first one first. */
  entries(): Promise<Entry[]> {
    return this.run('read', async (turn) => (await placed(turn, 1)).map(({ entry }) => entry), TABLES_MS)
  }

  /** Whether its entries go through a mark: what was copied there is continued here. */
  has({ entries, last }: Mark): Promise<boolean> {
    if (entries === 0) return Promise.resolve(true)
    return this.run('read', async (turn) => ((await turn.get(entryKey(entries))) as Entry | null)?.id === last)
  }

  /** Entries after a place, of whichever tab. */
  news(after: number, token: string): Promise<Placed[]> {
    return this.run('read', async (turn) => newer(turn, after, token))
  }

  /**
   * Adds entries behind the last one, in one transaction.
   * @param compose hears what other tabs stored since `after`, and gives what is to be added; when it throws, nothing
   * is
   */
  append(after: number, token: string, compose: (news: Placed[]) => readonly Entry[]): Promise<void> {
    return this.run('write', async (turn) => {
      const news = await newer(turn, after, token)
      const entries = compose(news)
      const last = news.at(-1)?.seq ?? after
      await Promise.all(entries.map((entry, i) => turn.add(entryKey(last + 1 + i), entry)))
    })
  }

  /**
   * Rewrites behind the entries the tables that they touched, in one transaction.
   * @param compose hears the news, and gives the rows of a table as they are after them
   */
  fold(after: number, token: string, compose: (news: Placed[]) => (table: TableName) => AnyRecord[]): Promise<number> {
    return this.run(
      'write',
      async (turn) => {
        const news = await newer(turn, after, token)
        const rows = compose(news)
        const head = (await turn.get('head')) as Head
        const unfolded = await placed(turn, head.through + 1)
        const touched = new Set(unfolded.flatMap(({ entry }) => entry.changes.map(({ table }) => table)))
        const generations = { ...head.generations }
        for (const table of touched) {
          const before = head.generations[table]
          generations[table] = (before ?? 0) + 1
          await turn.put(tableKey(table, generations[table]), asText(rows(table)))
          if (before !== undefined) await turn.remove(tableKey(table, before))
        }
        const through = unfolded.at(-1)?.seq ?? head.through
        await turn.put('head', { ...head, through, generations })
        return through
      },
      TABLES_MS,
    )
  }

  /**
   * Puts the log of an older bench in order: what fits stands there without holes, what does not is kept aside.
   * @param found what was read; when the log is another by now (a second tab was first), nothing is written
   */
  mend(token: string, found: readonly Placed[], fitting: readonly Entry[], aside: readonly Placed[]): Promise<boolean> {
    return this.run('write', async (turn) => {
      const head = await headOf(turn, token)
      const now = await placed(turn, head.through + 1)
      if (now.map(({ seq }) => seq).join() !== found.map(({ seq }) => seq).join()) return false
      for (const { seq } of now) await turn.remove(entryKey(seq))
      await Promise.all(fitting.map((entry, i) => turn.add(entryKey(head.through + 1 + i), entry)))
      await Promise.all(aside.map(({ seq, entry }) => turn.put(asideKey(seq), entry)))
      return true
    })
  }

  private async run<T>(mode: 'read' | 'write', work: (turn: CellTurn) => Promise<T>, silentMs?: number): Promise<T> {
    try {
      return await this.cells.run(mode, work, silentMs)
    } catch (error) {
      if (error instanceof CellsGone) throw gone('it was removed or reset in another tab, or the browser dropped it')
      throw error
    }
  }
}

/** A store that came back empty is told from one that lost its first page alone. */
async function headless(turn: CellTurn): Promise<CodedError> {
  const [entries, tables] = [await placed(turn, 1), await turn.range('table:', 'table:~')]
  if (!entries.length && !tables.length) return gone('its store came back empty')
  return damaged(
    `its first page is missing; ${entries.length} of its changes and ${tables.length} of its tables are still there`,
  )
}

async function headOf(turn: CellTurn, token: string): Promise<Head> {
  const head = (await turn.get('head')) as Head | null
  if (!head) throw gone('its first page is missing')
  if (head.token !== token) throw gone('another bench stands in its place')
  knownVersion(head)
  return head
}

async function newer(turn: CellTurn, after: number, token: string): Promise<Placed[]> {
  const head = await headOf(turn, token)
  const found = await placed(turn, Math.max(1, after))
  if (found[0]?.seq === after) found.shift()
  else if (after !== 0 && after !== head.through) throw damaged(`its entry ${after} is missing`)
  found.forEach(({ seq }, i) => {
    if (seq !== after + 1 + i) throw damaged(`its entry ${after + 1 + i} is missing`)
  })
  return found
}
