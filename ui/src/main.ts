import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './theme/tokens.css'
import './theme/base.css'
import './theme/floor.css'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { forgetDraftsUnlessReloaded } from './shared/draft'
import { keepFocus } from './shared/keepFocus'
import { followToday, loadStudio } from './shared/studio'
import { keepUndoToPages } from './shared/undo'
import { preset } from './theme/preset'

forgetDraftsUnlessReloaded()
keepUndoToPages(router)
keepFocus(router)
followToday()

// Every page reads in the studio's units from its first moment on.
void loadStudio().then(() =>
  createApp(App)
    .use(router)
    .use(PrimeVue, { theme: { preset, options: { darkModeSelector: 'none', cssLayer: false } } })
    .mount('#app'),
)
