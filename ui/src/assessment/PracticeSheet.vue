<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, reactive } from 'vue'
import { useRouter } from 'vue-router'
import { practiceTests, practiseTest, type PracticeTests } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { day } from '../shared/words'

/** A graded test practised on somebody who is not there: at the end it is told what was missed. */
const { data, load } = useAnswer(practiceTests)
onMounted(load)
const router = useRouter()
type Level = PracticeTests['levels'][number]['level']
const chosen = reactive({ level: 'shown' as Level, speed: 4 })
const { save, saving } = useSave(() => practiseTest(chosen.level, chosen.speed), {
  saved: ({ sheet }) => router.push(`/floor/tests/${sheet.id}`),
})
</script>

<template>
  <section v-if="data" class="sheet stack" aria-labelledby="practice-test-title">
    <h2 id="practice-test-title">A whole graded test</h2>
    <p class="quiet">
      Somebody who is not there walks the treadmill: a strap, a cuff, and answers when you ask. At
      the end you see what was missed, when, and which rule asks for it.
    </p>
    <form class="stack" novalidate @submit.prevent="save()">
      <ChoiceField
        v-model="chosen.level"
        label="Level"
        :options="data.levels.map(({ level, name }) => ({ value: level, name }))"
      />
      <ChoiceField
        v-model="chosen.speed"
        label="Time goes"
        :options="
          data.speeds.map((value) => ({ value, name: value === 1 ? 'As it is' : `${value}×` }))
        "
      />
      <div><Button type="submit" label="Begin the test" :loading="saving" /></div>
    </form>
    <ul v-if="data.tests.length" class="before">
      <li v-for="each in data.tests" :key="each.id">
        <RouterLink :to="`/floor/tests/${each.id}`">{{ day(each.openedAt) }}</RouterLink>
        <span class="quiet">{{ each.open ? 'still on' : 'closed' }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.before li {
  display: flex;
  gap: 16px;
  padding: 6px 0;
}
</style>
