import { ref, watch } from 'vue'

/** Whether the practice pulse is seen; kept on this machine. */
const KEPT = 'korvel.throb'
export const throbOn = ref(localStorage.getItem(KEPT) !== 'off')
watch(throbOn, (on) => localStorage.setItem(KEPT, on ? 'on' : 'off'))
