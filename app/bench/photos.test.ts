import { describe, expect, it } from 'vitest'
import { clearPhotos, keepPhoto, photoOf } from './photos'

const DAY = 86_400_000

describe('photos of a bench', () => {
  it('are kept by their id, and those that no record names are cleared away after a week', async () => {
    const blob = (text: string) => new Blob([text], { type: 'image/jpeg' })
    await keepPhoto(null, 'named', blob('one'), 0)
    await keepPhoto(null, 'undone', blob('two'), 0)
    await keepPhoto(null, 'just undone', blob('three'), 6 * DAY)
    expect(await (await photoOf(null, 'undone'))!.text()).toBe('two')
    expect(await photoOf(null, 'never kept')).toBeNull()
    expect(await clearPhotos(null, new Set(['named']), 8 * DAY)).toBe(1)
    expect(await photoOf(null, 'undone')).toBeNull()
    expect(await (await photoOf(null, 'named'))!.text()).toBe('one')
    expect(await (await photoOf(null, 'just undone'))!.text()).toBe('three')
  })
})
