import { computed, reactive, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { CARD_SIZES, PAPERS, oneOf } from '../shared/words'

/** How cards are to look. */
export interface Look {
  size: keyof typeof CARD_SIZES
  /** What they are cut from; `own` is a page of the card's own size. */
  paper: 'own' | 'a4' | 'letter'
  windows: number[]
}

export const CARD_PAPERS = [
  { value: 'own', name: 'Card itself' },
  { value: 'a4', name: PAPERS.a4 },
  { value: 'letter', name: PAPERS.letter },
]

/** The look, kept in the address, so that a page can be kept or passed on as it is. */
export function useLook(paper: Look['paper']): Look {
  const route = useRoute()
  const router = useRouter()
  const said = (name: string) => String(route.query[name] ?? '')
  const windows = said('windows').split(' ').filter(Boolean).map(Number)
  const look = reactive<Look>({
    size: oneOf(CARD_SIZES, said('size')) ?? 'a6',
    paper: CARD_PAPERS.some(({ value }) => value === said('paper'))
      ? (said('paper') as Look['paper'])
      : paper,
    windows: windows.length ? windows : [10, 15],
  })
  const path = route.path
  watch(look, () => {
    if (route.path !== path) return
    void router.replace({
      query: {
        ...route.query,
        size: look.size,
        paper: look.paper,
        windows: [...look.windows].sort((a, b) => a - b).join(' '),
      },
    })
  })
  return look
}

/** What is asked of the server for those clients. */
export function useCardsRequest(look: Look, clients: Ref<string[]>, version: number | null) {
  return computed(() => ({
    clients: clients.value,
    version,
    size: look.size,
    paper: look.paper === 'own' ? null : look.paper,
    windows: [...look.windows].sort((a, b) => a - b),
  }))
}
