import { describe, expect, it } from 'vitest'
import { cellsFit, runsAsFormula } from './cells'
import { recordsOf, sheetOf } from './tabular'

describe('cells of a sheet', () => {
  it('are counted before they are made, what stands in quotes left out', () => {
    const list = `"${','.repeat(50_000)}"`
    expect(() => cellsFit(`id,points\r\na,${list}\r\n`, 'x.csv')).not.toThrow()
    expect(() => cellsFit(`id${','.repeat(2001)}`, 'x.csv')).toThrow(expect.objectContaining({ code: 'too-large' }))
    expect(() => cellsFit(`${','.repeat(1999)}\n`.repeat(50), 'x.csv')).not.toThrow()
  })

  const formulas = [
    '=1+1',
    '+1',
    '-1',
    '@x',
    '\n=1',
    '\r\n=1',
    ' =1',
    '\t@x',
    '\u00a0=1',
    '＝1',
    '＋1',
    '－1',
    '＠x',
    ' \n ＝1',
  ]
  it.each(formulas)('%j is written so that no spreadsheet runs it, and comes back as it was', (text) => {
    expect(runsAsFormula(text)).toBe(true)
    const sheet = sheetOf([{ id: 'a', note: text }])
    expect(sheet.rows[0]![1]).toBe(`'${text}`)
    expect(recordsOf(sheet).records).toEqual([{ id: 'a', note: text }])
  })
  it.each(['a=1', '1-1', 'x@y', '', '12 N'])('%j is none', (text) => expect(runsAsFormula(text)).toBe(false))
})
