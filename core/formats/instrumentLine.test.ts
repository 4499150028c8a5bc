import { describe, expect, it } from 'vitest'
import { plainLines, type LineProtocol } from '../records/instrument'
import { findUnit } from '../quantities/units'
import { LineBuffer, LONGEST_LINE, readInstrumentLine } from './instrumentLine'

const isForce = (unit: string) => findUnit(unit, 'force') !== null
const read = (line: string, patch: Partial<LineProtocol> = {}) =>
  readInstrumentLine(line, { ...plainLines, ...patch }, isForce)

describe('a line of an instrument', () => {
  // What hand-held gauges, luggage scales, balances and small boards write.
  it.each([
    ['12.5', {}, 12.5, 'N'],
    ['+0012.50 N', {}, 12.5, 'N'],
    ['-  3.20kg', {}, -3.2, 'kg'],
    ['ST,GS,+  1.234,kg', { column: 3 }, 1.234, 'kg'],
    ['N=12.5', {}, 12.5, 'N'],
    ['1.234,5', { decimal: 'comma', separator: 'semicolon' }, 1234.5, 'N'],
    ['0,35;7,2', { decimal: 'comma', separator: 'semicolon', secondColumn: 2, unit: 'kgf' }, 0.35, 'kgf'],
    ['-41.5 N', { sign: -1 }, 41.5, 'N'],
    ['103\t8.2', { separator: 'tab', column: 2, unit: 'lbf' }, 8.2, 'lbf'],
    ['1.2e2', {}, 120, 'N'],
    ['#3 17.0 lbf', { separator: 'space', column: 2 }, 17, 'lbf'],
  ] as const)('reads %j', (line, patch, first, unit) => {
    expect(read(line, patch)).toMatchObject({ says: 'figures', first, unit })
  })

  it('reads a second figure where one is described, and none where the cell is missing', () => {
    const two = { separator: 'space', secondColumn: 2 } as const
    expect(read('12.5 3.75', two)).toMatchObject({ first: 12.5, second: 3.75 })
    expect(read('12.5', two)).toMatchObject({ first: 12.5, second: null })
  })

  it('says overload, a weak battery and nonsense apart', () => {
    expect(read('OL')).toEqual({ says: 'overload' })
    expect(read('OVERLOAD')).toEqual({ says: 'overload' })
    expect(read('------')).toEqual({ says: 'overload' })
    expect(read('12.5 N LOW BAT')).toMatchObject({ says: 'figures', batteryLow: true })
    expect(read('12.5 N')).toMatchObject({ batteryLow: false })
    expect(read('\u0003\u00ff\u00fe?')).toEqual({ says: 'nonsense', line: '···?' })
    expect(read('12.5 furlong')).toMatchObject({ says: 'nonsense' })
    expect(read('12.5', { column: 3 })).toMatchObject({ says: 'nonsense' })
    expect(read('   ')).toEqual({ says: 'nothing' })
  })
})

describe('pieces of a stream', () => {
  it('become the same lines however they are cut', () => {
    const text = '12.5 N\r\n13.0 N\n\n13.5 N\r14.0 N\n'
    const whole = new LineBuffer().take(text).lines.filter(Boolean)
    expect(whole).toEqual(['12.5 N', '13.0 N', '13.5 N', '14.0 N'])
    for (let cut = 1; cut < text.length; cut++) {
      const buffer = new LineBuffer()
      const lines = [text.slice(0, cut), text.slice(cut)].flatMap((piece) => buffer.take(piece).lines)
      expect(lines.filter(Boolean)).toEqual(whole)
    }
  })

  it('drop what never ends, and go on with the next line', () => {
    const buffer = new LineBuffer()
    expect(buffer.take('x'.repeat(LONGEST_LINE + 1))).toEqual({ lines: [], full: true })
    expect(buffer.take('7.5\n')).toEqual({ lines: ['7.5'], full: false })
  })
})
