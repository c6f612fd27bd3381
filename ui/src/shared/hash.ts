import { onMounted, watch } from 'vue'
import { useRoute } from 'vue-router'

/** Does something when a part of the page is asked for in its address, at once or later. */
export function onHash(act: (part: string) => unknown) {
  const route = useRoute()
  const look = () => {
    if (route.hash) void act(route.hash.slice(1))
  }
  onMounted(look)
  watch(() => route.hash, look)
}
