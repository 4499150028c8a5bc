import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../core/planning/random'
import { foremost, givesWay, type CopyOrder } from './copyOrder'

const order = (entries: number, last: string, ...continues: [number, string][]): CopyOrder => ({
  entries,
  last,
  continues: continues.map(([n, id]) => ({ entries: n, last: id })),
})

describe('copies of one bench', () => {
  it('are told by what continues what, whatever the clock said', () => {
    const old = { order: order(10, 'e10'), savedAt: 9e12 }
    const next = { order: order(12, 'e12', [10, 'e10']), savedAt: 5 }
    expect(foremost([old, next])).toEqual([next])
    expect(foremost([next, old])).toEqual([next])
  })
  it('that part are all kept, that with the most entries first', () => {
    const one = { order: order(10, 'a10'), savedAt: 1 }
    const other = { order: order(40, 'b40'), savedAt: 2 }
    expect(foremost([one, other])).toEqual([other, one])
  })
  it('of one and the same state are one, and those without an order count by their moment, where none has one', () => {
    const twice = [1, 2].map((savedAt) => ({ order: order(3, 'x', [3, 'x']), savedAt }))
    expect(foremost(twice)).toEqual([twice[0]])
    const older = [1, 7, 3].map((savedAt) => ({ order: null, savedAt }))
    expect(foremost(older)).toEqual([older[1]])
    expect(foremost([...older, { order: order(1, 'e'), savedAt: 0 }])).toHaveLength(1)
    expect(foremost([])).toEqual([])
  })
  it('give way: half a copy first, then what is continued, never one that parts while there is room', () => {
    const a = { whole: true, continued: true, order: order(10, 'a') }
    const b = { whole: true, continued: true, order: order(4, 'b') }
    const parted = { whole: true, continued: false, order: order(2, 'p') }
    expect(givesWay([])).toBeNull()
    expect(givesWay([a])).toBeNull()
    expect(givesWay([a, b])).toBe(1)
    expect(givesWay([a, { ...b, order: null }])).toBe(1)
    expect(givesWay([parted, a])).toBe(1)
    expect(givesWay([parted, parted])).toBeNull()
    expect(givesWay([parted, { ...a, whole: false }])).toBe(1)
    expect(givesWay([parted, { ...parted, order: order(1, 'q') }, parted, parted])).toBe(1)
  })

  it('never lose the furthest state, over random histories that are rolled back now and then', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const random = seededRandom(seed)
      let log: string[] = []
      let id = 0
      let files: { order: CopyOrder; savedAt: number; log: string[] }[] = []
      let parted = 0
      for (let step = 0; step < 40; step++) {
        if (random() < 0.05 && log.length > 2 && parted < 2) {
          // The browser brought an older database back.
          log = log.slice(0, Math.floor(random() * log.length))
          parted++
        }
        for (let n = Math.ceil(random() * 5); n > 0; n--) log = [...log, `e${++id}`]
        const has = ({ entries, last }: CopyOrder) => log[entries - 1] === last
        const looked = files.map((one) => ({ whole: true, continued: has(one.order), order: one.order }))
        const at = givesWay(looked)
        const continues = files
          .filter((one) => has(one.order))
          .map(({ order: { entries, last } }) => ({ entries, last }))
        const made = { order: { entries: log.length, last: log.at(-1)!, continues }, savedAt: random() * 1e12, log }
        files = at === null ? [...files, made] : files.map((one, i) => (i === at ? made : one))
        const best = foremost(files)
        expect(
          best.some((one) => one.log === log),
          `seed ${seed}, step ${step}`,
        ).toBe(true)
        // What parts from it is still there, as far as nothing continues it.
        for (const one of files)
          expect(
            best.some((two) => one.log.every((entry, i) => two.log[i] === entry)),
            `seed ${seed}, step ${step}`,
          ).toBe(true)
      }
    }
  })
})
