import { onBeforeUnmount, ref, type Ref } from 'vue'

/** Whether the page is as narrow as a phone: pictures are then drawn for that width. */
export function useNarrow(): Ref<boolean> {
  const query = matchMedia('(max-width: 560px)')
  const narrow = ref(query.matches)
  const changed = () => (narrow.value = query.matches)
  query.addEventListener('change', changed)
  onBeforeUnmount(() => query.removeEventListener('change', changed))
  return narrow
}
