import '../css/app.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { createApp } from 'vue'
import App from './shell/App.vue'
import { router } from './shell/router'
import { workshop } from './shell/theme'

createApp(App)
  .use(createPinia())
  .use(router)
  .use(VueQueryPlugin)
  .use(PrimeVue, { theme: { preset: workshop, options: { darkModeSelector: '.dark' } } })
  .use(ToastService)
  .mount('#app')
