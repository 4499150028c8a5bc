import { describe, expect, it } from 'vitest'
import { ClickEar, KnockEar, type Ear } from './knock'

/** Levels every 25 ms: quiet room, with sounds [from ms, to ms, level]; when the ear heard what it listens for, ms. */
function heard(
  sounds: readonly (readonly [number, number, number])[],
  room = 0.01,
  ear: Ear = new KnockEar(),
): number[] {
  const out: number[] = []
  for (let ms = 0; ms < 6000; ms += 25) {
    const level = Math.max(room, ...sounds.filter(([from, to]) => ms >= from && ms < to).map(([, , loud]) => loud))
    if (ear.hear(level, ms)) out.push(ms)
  }
  return out
}

describe('two knocks on the bench', () => {
  it('are heard at the second one', () => {
    expect(
      heard([
        [1000, 1050, 0.4],
        [1300, 1350, 0.4],
      ]),
    ).toEqual([1300])
    expect(
      heard([
        [1000, 1050, 0.4],
        [1300, 1350, 0.4],
        [4000, 4050, 0.3],
        [4400, 4450, 0.3],
      ]),
    ).toEqual([1300, 4400])
  })

  it('are not one blow, two far apart, or one that rings', () => {
    expect(heard([[1000, 1050, 0.6]])).toEqual([])
    expect(
      heard([
        [1000, 1050, 0.6],
        [2500, 2550, 0.6],
      ]),
    ).toEqual([])
    expect(
      heard([
        [1000, 1025, 0.6],
        [1075, 1100, 0.6],
      ]),
    ).toEqual([])
  })

  it('are not a drill, a loud room, or a hammer that goes on', () => {
    expect(heard([[1000, 5000, 0.5]])).toEqual([])
    expect(
      heard(
        [
          [1000, 1050, 0.1],
          [1300, 1350, 0.1],
        ],
        0.06,
      ),
    ).toEqual([])
    // Blow after blow counts once, not as pair after pair.
    const blows = Array.from({ length: 8 }, (_, i) => [1000 + 300 * i, 1050 + 300 * i, 0.5] as const)
    expect(heard(blows).length).toBeLessThan(4)
  })
})

describe('clicks of what is bent against a stop', () => {
  it('are counted one by one, in a quiet room and in a louder one, without their ringing', () => {
    const clicks = Array.from({ length: 9 }, (_, i) => [1000 + 400 * i, 1025 + 400 * i, 0.5] as const)
    expect(heard(clicks, 0.01, new ClickEar())).toHaveLength(9)
    expect(heard(clicks, 0.04, new ClickEar())).toHaveLength(9)
    const ringing = clicks.flatMap((one) => [one, [one[0] + 50, one[0] + 75, 0.3] as const])
    expect(heard(ringing, 0.01, new ClickEar())).toHaveLength(9)
    expect(heard([[1000, 5000, 0.5]], 0.01, new ClickEar())).toHaveLength(1)
  })
})
