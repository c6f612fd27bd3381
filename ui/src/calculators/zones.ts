import { computed } from 'vue'
import { zonesOf } from '../api/korvel'
import { useAnswerTo } from '../shared/answer'
import { typed } from '../shared/fields'
import { theStudio } from '../shared/studio'
import { useAddress } from './calculators'

/** The form of the zones calculator and its result, for the page and for the wall. */
export function useBands() {
  const form = useAddress(
    { rest: '64', max: '176', cap: '', maxerror: '', resterror: '', lower: '', upper: '' },
    { scheme: '', compare: '', family: '', band: '' },
  )
  /** What the address leaves out is the studio's choice. */
  const scheme = computed({
    get: () => form.scheme || theStudio.value?.scheme || 'voice-ladder',
    set: (chosen) => (form.scheme = chosen),
  })
  const family = computed({
    get: () => form.family || theStudio.value?.rpeFamily || 'ratio',
    set: (chosen) => (form.family = chosen),
  })
  const request = computed(() => ({
    restingBpm: typed(form.rest),
    maximumBpm: typed(form.max),
    scheme: scheme.value,
    capBpm: typed(form.cap),
    maximumStandardErrorBpm: typed(form.maxerror),
    restingStandardErrorBpm: typed(form.resterror),
    rpeFamily: form.family || null,
    lowerThresholdBpm: typed(form.lower),
    upperThresholdBpm: typed(form.upper),
  }))
  return {
    form,
    scheme,
    family,
    request,
    one: useAnswerTo(() => request.value, zonesOf),
    other: useAnswerTo(() => ({ ...request.value, scheme: form.compare || scheme.value }), zonesOf),
  }
}
