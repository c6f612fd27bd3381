<script setup lang="ts">
import { defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import UndoBar from './shared/UndoBar.vue'
import { ON_A_PHONE, PLACES } from './shared/places'
import { meantForField } from './shared/keys'
import { hearShortcuts, useShortcuts } from './shared/shortcuts'
import { theStudio } from './shared/studio'
import { undoLast, undoOffer } from './shared/undo'

/** Asked for seldom, and with a dialog in it. */
const KeysHelp = defineAsyncComponent(() => import('./shared/KeysHelp.vue'))
const route = useRoute()
const router = useRouter()
const help = ref(false)
const wasAsked = ref(false)
watch(help, () => (wasAsked.value = true))

/** Whether the places that a phone has no room for are shown. */
const more = ref(false)
router.afterEach(() => (more.value = false))

async function find() {
  await router.push('/clients')
  document.querySelector<HTMLInputElement>('[data-find]')?.focus()
}

useShortcuts({
  list: [
    ['/', 'find a client'],
    ['?', 'this list'],
    ['u', 'undo, while the bar below offers it'],
    ['l', 'log sessions'],
    ...PLACES.map(({ name }, at): [string, string] => [String(at + 1), `go to ${name}`]),
    ['Tab', 'next field or button'],
  ],
  act: {
    '/': find,
    '?': () => (help.value = true),
    u: undoLast,
    l: () => router.push('/log'),
    ...Object.fromEntries(PLACES.map(({ to }, at) => [String(at + 1), () => router.push(to)])),
  },
})
useShortcuts({
  list: [['Esc', 'out of a field, so that single keys act']],
  act: { Escape: (event) => meantForField(event.target) && (event.target as HTMLElement).blur() },
  inFields: true,
})
hearShortcuts()
</script>

<template>
  <a class="skip no-print" href="#content">To the content</a>
  <RouterView v-if="route.meta.bare" />
  <div v-else class="frame" :class="{ offered: undoOffer }">
    <header class="rail no-print" :class="{ more }">
      <RouterLink to="/today" class="brand" aria-label="Korvel, today">
        <svg viewBox="0 0 34 22" width="34" height="22" aria-hidden="true">
          <path d="M1.5 20.5h31M3 20v-4m7 4v-7m7 7V10m7 10V6m7 14V2" />
        </svg>
        <span>Korvel</span>
      </RouterLink>
      <nav aria-label="Places">
        <RouterLink
          v-for="(place, at) in PLACES"
          :key="place.id"
          :to="place.to"
          :class="{ here: route.meta.place === place.id, rest: at >= ON_A_PHONE }"
          :aria-current="route.meta.place === place.id ? 'page' : undefined"
          >{{ place.name }}<kbd aria-hidden="true">{{ at + 1 }}</kbd></RouterLink
        >
        <button
          type="button"
          :class="{ here: PLACES.findIndex(({ id }) => id === route.meta.place) >= ON_A_PHONE }"
          :aria-expanded="more"
          @click="more = !more"
        >
          More
        </button>
      </nav>
      <div id="at-hand" />
      <UndoBar />
      <div class="foot">
        <p v-if="theStudio?.demo" class="demo">Demo: invented crew, gone when it stops.</p>
        <button type="button" class="keys" @click="help = true"><kbd>?</kbd> Keys</button>
      </div>
    </header>
    <main id="content" tabindex="-1">
      <RouterView />
    </main>
  </div>
  <UndoBar v-if="route.meta.bare" class="over" />
  <KeysHelp v-if="wasAsked" v-model="help" />
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 164px minmax(0, 1fr);
  min-height: 100vh;
}

.rail {
  background: var(--ground-2);
  border-right: 1px solid var(--line);
  padding: 22px 12px 16px;
  display: flex;
  flex-direction: column;
  gap: 24px;
  position: sticky;
  top: 0;
  height: 100vh;
  /* On a low screen what was offered scrolls with the places. */
  overflow-y: auto;
}

.brand {
  display: flex;
  gap: 9px;
  align-items: center;
  padding: 4px 10px;
  font-size: 1.3rem;
  font-weight: 750;
  color: var(--ink);
  text-decoration: none;
}

.brand path {
  fill: none;
  stroke: var(--mark);
  stroke-width: 2.6;
  stroke-linecap: round;
}

nav {
  display: grid;
  gap: 4px;
}

nav :is(a, button) {
  font: inherit;
  color: var(--ink-quiet);
  background: none;
  border: 0;
  cursor: pointer;
  text-decoration: none;
  font-weight: 600;
  padding: 10px 12px;
  border-radius: 6px;
  min-height: var(--touch);
}

nav button {
  display: none;
}

nav a {
  display: flex;
  justify-content: space-between;
  align-items: center;
}

nav kbd {
  border: 0;
  background: none;
  padding: 0;
  font-size: 0.8rem;
  color: inherit;
}

nav :is(a, button):hover {
  background: color-mix(in oklab, var(--line) 45%, transparent);
}

nav :is(a, button).here {
  background: var(--ink);
  color: var(--paper);
}

.foot {
  margin-top: auto;
  display: grid;
  gap: 10px;
}

.demo {
  font-size: 0.8rem;
  color: var(--ink-quiet);
  padding: 0 10px;
}

.keys {
  font: inherit;
  font-size: 0.88rem;
  color: var(--ink-quiet);
  background: none;
  border: 0;
  padding: 0 10px;
  min-height: var(--touch);
  text-align: left;
  cursor: pointer;
  border-radius: 6px;
}

kbd {
  font-family: var(--mono);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 1px 6px;
  background: var(--sheet);
}

main {
  padding: 24px 28px 48px;
  max-width: 1500px;
  width: 100%;
  outline: none;
}

/* On a tablet upright and on a phone the places are a bar under the thumb. */
@media (max-width: 860px) {
  .frame {
    grid-template-columns: minmax(0, 1fr);
  }

  .rail {
    position: fixed;
    inset: auto 0 0;
    height: auto;
    overflow: visible;
    z-index: 20;
    gap: 0;
    padding: 4px 6px max(4px, env(safe-area-inset-bottom));
    border-right: 0;
    border-top: 1px solid var(--line);
  }

  .brand,
  .foot {
    display: none;
  }

  nav {
    order: 1;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    gap: 2px;
  }

  nav :is(a, button) {
    justify-content: center;
    padding: 8px 4px;
    font-size: 0.9rem;
  }

  main {
    padding: 14px 14px 96px;
  }

  /* Whatever lies at the end of a page can be brought above the bars. */
  .offered main,
  .frame:has(.at-hand) main {
    padding-bottom: 168px;
  }

  .offered:has(.at-hand) main {
    padding-bottom: 240px;
  }
}

@media (max-width: 640px) {
  nav {
    grid-auto-flow: row;
    grid-template-columns: repeat(5, minmax(0, 1fr));
  }

  nav button {
    display: block;
    order: 1;
  }

  .rail:not(.more) nav .rest {
    display: none;
  }

  .more nav .rest {
    background: var(--sheet);
    grid-column: span 5;
    order: -1;
    justify-content: flex-start;
    padding-left: 16px;
  }

  .more .foot {
    order: 2;
    display: block;
    margin-top: 4px;
  }

  .keys {
    display: none;
  }
}

@media print {
  .frame {
    display: block;
  }

  main {
    padding: 0;
    max-width: none;
  }
}
</style>
