import { describe, expect, it } from 'vitest'
import { clearPhotos, keepPhoto, movePhotosOut, photoFile, photoOf, photoPlaces } from './photos'

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

  it('leave this browser only for the very same pixels in a file, and come back from it', async () => {
    const blob = (text: string) => new Blob([text], { type: 'image/jpeg' })
    for (const [id, text] of [
      ['old', 'pixels'],
      ['longer', 'other pixels'],
      ['differs', 'pixelz'],
      ['stays', 'four'],
    ] as const)
      await keepPhoto('moved', id, blob(text), 0)
    const held = [
      { id: 'old', blob: blob('pixels') },
      { id: 'longer', blob: blob('other') },
      { id: 'differs', blob: blob('pixels') },
      { id: 'never here', blob: blob('x') },
    ]
    expect(await movePhotosOut('moved', held, 'old.zip', DAY)).toBe(1)
    expect(await photoOf('moved', 'old')).toBeNull()
    expect(await photoFile('moved', 'old')).toBe('old.zip')
    expect(await photoFile('moved', 'stays')).toBeNull()
    expect(await (await photoOf('moved', 'differs'))!.text()).toBe('pixelz')
    const places = await photoPlaces('moved')
    expect(places.get('old')).toEqual({ file: 'old.zip' })
    expect(places.get('longer')).toEqual({ bytes: 12 })
    expect(places.has('never here')).toBe(false)
    await keepPhoto('moved', 'old', held[0]!.blob, 2 * DAY)
    expect(await (await photoOf('moved', 'old'))!.text()).toBe('pixels')
    expect(await photoFile('moved', 'old')).toBeNull()
  })
})
