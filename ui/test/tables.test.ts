import papa from 'papaparse'
import { beforeEach, describe, expect, it } from 'vitest'
import { csvOf, rowsOf, tableBeside } from '../src/shared/csv'

describe('a table as CSV', () => {
  it('makes two columns of ranges, and numbers of numbers', () => {
    const rows = [
      ['Zone', 'bpm', 'RPE', 'Off'],
      ['Talk', '109–130', 'up to 11', '−3'],
      ['Words', 'exactly 145', '14–16', '+2'],
    ]
    expect(csvOf(papa, rows).split('\r\n')).toEqual([
      'Zone,"bpm, from","bpm, to","RPE, from","RPE, to",Off',
      'Talk,109,130,,11,-3',
      'Words,145,145,14,16,2',
    ])
  })

  it('leaves a column alone that is not all ranges', () => {
    expect(csvOf(papa, [['Dose'], ['18–22'], ['none']])).toBe('Dose\r\n18–22\r\nnone')
  })

  it('hands no formula on to a spreadsheet', () => {
    const lines = csvOf(papa, [['Name'], ['=1+1'], ['@sum'], ['a "b", c']]).split('\r\n')
    expect(lines).toEqual(['Name', `"'=1+1"`, `"'@sum"`, '"a ""b"", c"'])
  })

  it('fills what is missing with nothing', () => {
    expect(
      csvOf(papa, [
        ['A', 'B'],
        [null, undefined],
      ]),
    ).toBe('A,B\r\n,')
  })
})

describe('a table on the page', () => {
  beforeEach(() => {
    document.body.innerHTML = `
      <section>
        <table id="first"><tbody><tr><td>1</td></tr></tbody></table>
        <p><button id="csv">CSV</button></p>
        <table id="second"><tbody><tr><td>2</td></tr></tbody></table>
      </section>`
  })

  it('is read as a person reads it', () => {
    document.body.innerHTML = `
      <table>
        <tr><th rowspan="2">Sing</th><td>64 <s>62</s></td><td class="no-print">Edit</td></tr>
        <tr><td><span class="visually-hidden">rate</span> 66 <i aria-hidden="true">●</i></td></tr>
      </table>`
    expect(rowsOf(document.querySelector('table')!)).toEqual([
      ['Sing', '64'],
      ['Sing', '66'],
    ])
  })

  it('is the one before the link, or the first after it', () => {
    const link = document.getElementById('csv')!
    expect(tableBeside(link)?.id).toBe('first')
    document.getElementById('first')!.remove()
    expect(tableBeside(link)?.id).toBe('second')
    document.getElementById('second')!.remove()
    expect(tableBeside(link)).toBeNull()
  })
})
