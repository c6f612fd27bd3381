import type { default as Papa } from 'papaparse'

/** What stands in one place of a table. */
export type Cell = string | number | null | undefined

const RANGE = /^(?:exactly |up to |≤ )?\d+(?:\.\d+)?(?:–\d+(?:\.\d+)?)?$/
const NUMBER = /^[+−-]?\d+(?:\.\d+)?$/

/** A range as its two ends, so that a spreadsheet can reckon with it. */
function ends(cell: string): string[] {
  if (!cell) return ['', '']
  const [low, high] = cell.replace(/^exactly /, '').split('–')
  if (/^(up to|≤) /.test(cell)) return ['', cell.replace(/^(up to|≤) /, '')]
  return [low!, high ?? low!]
}

/** Whether a column holds ranges, and nothing but ranges and single numbers. */
function rangesIn(body: string[][], at: number) {
  const cells = body.map((row) => row[at] ?? '').filter(Boolean)
  return (
    cells.some((cell) => RANGE.test(cell) && !NUMBER.test(cell)) &&
    cells.every((cell) => RANGE.test(cell))
  )
}

/**
 * A table as CSV (RFC 4180), the first row its head. A column of ranges becomes two; what a
 * spreadsheet would take for a formula is written as text.
 */
export function csvOf(papa: typeof Papa, rows: Cell[][]): string {
  const [head = [], ...body] = rows.map((row) => row.map((cell) => String(cell ?? '').trim()))
  const wide = head.map((_, at) => rangesIn(body, at))
  const spread = (row: string[]) => row.flatMap((cell, at) => (wide[at] ? ends(cell) : [cell]))
  return papa.unparse(
    [
      head.flatMap((cell, at) => (wide[at] ? [`${cell}, from`, `${cell}, to`] : [cell])),
      ...body.map((row) =>
        spread(row).map((cell) => (NUMBER.test(cell) ? Number(cell.replace('−', '-')) : cell)),
      ),
    ],
    { escapeFormulae: true },
  )
}

/** What a person reads in a cell: without what is hidden from their eyes or only for paper. */
function wordsOf(cell: Element): string {
  const copy = cell.cloneNode(true) as Element
  copy
    .querySelectorAll('.visually-hidden, [aria-hidden="true"], s')
    .forEach((part) => part.remove())
  return (copy.textContent ?? '').replace(/\s+/g, ' ').trim()
}

/**
 * A table as it stands on the page: what spans several rows is told in each of them; columns that
 * are only for pressing are left out.
 */
export function rowsOf(table: HTMLTableElement): Cell[][] {
  const rows: Cell[][] = [...table.rows].map(() => [])
  ;[...table.rows].forEach((row, at) => {
    let column = 0
    for (const cell of row.cells) {
      if (cell.classList.contains('no-print')) continue
      while (rows[at]![column] !== undefined) column++
      for (let down = 0; down < cell.rowSpan && rows[at + down]; down++) {
        for (let over = 0; over < cell.colSpan; over++) {
          rows[at + down]![column + over] = over === 0 ? wordsOf(cell) : ''
        }
      }
    }
  })
  return rows
}

/** The table that stands before an element, the nearest; else the first one after it. */
export function tableBeside(element: Element): HTMLTableElement | null {
  for (let around = element.parentElement; around; around = around.parentElement) {
    const tables = [...around.querySelectorAll('table')]
    if (!tables.length) continue
    const before = tables.filter(
      (each) => each.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_FOLLOWING,
    )
    return before[before.length - 1] ?? tables[0]!
  }
  return null
}
