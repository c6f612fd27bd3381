import { computed } from 'vue'
import {
  clientForecast,
  outlineForecast,
  type NamedOutline,
  type OutlineRequest,
  type Typed,
} from '../api/korvel'
import { draftOf, requestOf } from '../outline/outlineDraft'
import { useAnswerTo } from '../shared/answer'
import { typed } from '../shared/fields'

/** Nobody on record: a span that is typed. */
export const MADE_UP = 'made-up'

/** What one side of a comparison is asked: an outline, somebody, and as of which day. */
export interface Side {
  outline: string
  who: string
  rest: string
  max: string
  trained: string
  on: string
}

/** One side of a comparison and what comes of it. */
export function useForecastSide(side: () => Side | null, outlines: () => NamedOutline[]) {
  const chosen = computed(() => {
    const now = side()
    const named = now && outlines().find(({ id }) => id === now.outline)
    return now && named
      ? {
          side: now,
          outline: requestOf(draftOf(named.outline)) as Typed<OutlineRequest>,
        }
      : null
  })
  return useAnswerTo(
    () => chosen.value,
    async ({ side: { who, rest, max, trained, on }, outline }) =>
      who === MADE_UP
        ? {
            forecast: await outlineForecast(
              { restingBpm: typed(rest), maximumBpm: typed(max), trained: trained === 'yes' },
              outline,
            ),
            because: '',
          }
        : clientForecast(who, 'run', outline, on || null),
    { stands: true },
  )
}
