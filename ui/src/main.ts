import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './theme/tokens.css'
import './theme/base.css'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { loadStudio } from './shared/studio'
import { preset } from './theme/preset'

void loadStudio()

createApp(App)
  .use(router)
  .use(PrimeVue, { theme: { preset, options: { darkModeSelector: 'none', cssLayer: false } } })
  .mount('#app')
