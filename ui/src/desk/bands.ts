import { computed } from 'vue'
import { zonesOf } from '../api/korvel'
import { typed } from '../shared/fields'
import { useAddress, useSum } from './desk'

/** The form of the bands calculator and what comes of it, for the desk and for the wall. */
export function useBands() {
  const form = useAddress(
    { rest: '64', max: '176', cap: '', maxerror: '', resterror: '' },
    { scheme: 'voice-ladder', compare: '', family: 'ratio', band: '' },
  )
  const request = computed(() => ({
    restingBpm: typed(form.rest),
    maximumBpm: typed(form.max),
    scheme: form.scheme,
    capBpm: typed(form.cap),
    maximumStandardErrorBpm: typed(form.maxerror),
    restingStandardErrorBpm: typed(form.resterror),
    rpeFamily: form.family,
  }))
  return {
    form,
    request,
    one: useSum(() => request.value, zonesOf),
    other: useSum(() => ({ ...request.value, scheme: form.compare || form.scheme }), zonesOf),
  }
}
