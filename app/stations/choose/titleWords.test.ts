import { describe, expect, it } from 'vitest'
import { titleWords } from './titleWords'

const names: Record<string, string> = { a: 'Flexible pH-neutral bookbinding PVA', b: 'PVA', c: 'Starch paste' }
const title = (state: 'only' | 'clear' | 'ahead' | 'tied', leader: string, tied: string[]) =>
  titleWords({ state, leader, tied } as Parameters<typeof titleWords>[0], (id) => names[id]!)

describe('the result in a line', () => {
  it('keeps abbreviations as they are written', () => {
    expect(title('only', 'a', [])).toBe('Only flexible pH-neutral bookbinding PVA has been pulled so far')
    expect(title('tied', 'b', ['a', 'c'])).toBe(
      'Can’t tell PVA from flexible pH-neutral bookbinding PVA or starch paste yet',
    )
    expect(title('ahead', 'c', ['b'])).toBe('Starch paste is probably the strongest; can’t tell it from PVA yet')
    const flat = titleWords({ state: 'ahead', leader: 'c', tied: ['b'] } as never, (id) => names[id]!, 'opens furthest')
    expect(flat).toBe('Starch paste probably opens furthest; can’t tell it from PVA yet')
    expect(title('clear', 'a', [])).toBe('Flexible pH-neutral bookbinding PVA is the strongest of these')
  })
})
