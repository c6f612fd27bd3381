export interface Layout {
  columns: number
  rows: number
}

/** A lane is easy to read from here on, and can be read down to half of it. */
const EASY = 46
const NARROWEST = 300
const MOST_COLUMNS = 3

/**
 * How many columns of lanes fill a screen: few people have tall lanes in one column, sixty are in
 * three. Lanes keep their places, down and then across.
 */
export function layoutFor(people: number, width: number, height: number): Layout {
  const most = Math.max(1, Math.min(MOST_COLUMNS, Math.floor(width / NARROWEST)))
  const rows = Math.max(1, Math.floor(height / EASY))
  const columns = Math.min(most, Math.max(1, Math.ceil(people / rows)))
  return { columns, rows: Math.max(1, Math.ceil(people / columns)) }
}
