import { reactive } from 'vue'
import type { WrittenScheme } from '../api/korvel'
import { typed } from '../shared/fields'

/** A band as it stands in the editor: figures as they were typed. */
export interface BandDraft {
  key: number
  name: string
  low: string
  high: string
}

/** A scheme as it stands in the editor. */
export interface SchemeDraft {
  name: string
  kind: WrittenScheme['kind']
  basis: WrittenScheme['basis']
  serves: string
  bands: BandDraft[]
}

let keys = 0
const band = (name: string, low: string, high: string): BandDraft => ({
  key: keys++,
  name,
  low,
  high,
})

/** Something to begin with: two bands. */
export const emptyDraft = (): SchemeDraft => ({
  name: '',
  kind: 'ladder',
  basis: 'reserve',
  serves: '',
  bands: [band('', '0', '50'), band('', '50', '100')],
})

/** A scheme laid out to be changed. */
export const draftOf = (scheme: WrittenScheme): SchemeDraft => ({
  name: scheme.name,
  kind: scheme.kind,
  basis: scheme.basis,
  serves: scheme.serves,
  bands: scheme.bands.map((each) => band(each.name, String(each.low), String(each.high))),
})

/** One more above the last, as wide as it is. */
export function addBand(draft: SchemeDraft) {
  const last = draft.bands.at(-1)
  const from = Number(last?.high ?? 0) || 0
  const wide = Math.max(5, from - (Number(last?.low ?? 0) || 0))
  const to = draft.kind === 'points' ? from + 10 : from + wide
  draft.bands.push(band('', String(draft.kind === 'points' ? to : from), String(to)))
}

/**
 * What is sent. In a ladder a band begins where the one below it ends, and a single rate has one
 * figure: what the form does not ask for twice is not entered twice.
 */
export const requestOf = (draft: SchemeDraft) => ({
  name: draft.name,
  kind: draft.kind,
  basis: draft.basis,
  serves: draft.serves,
  bands: draft.bands.map((each, at) => ({
    name: each.name,
    low: typed(
      draft.kind === 'ladder' && at > 0
        ? draft.bands[at - 1]!.high
        : draft.kind === 'points'
          ? each.high
          : each.low,
    ),
    high: typed(each.high),
  })),
})

/** A file that was read, on its way to the editor. */
export const fromFile = reactive<{ draft: SchemeDraft | null }>({ draft: null })
