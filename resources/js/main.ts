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

// Pages open again without a network where a browser allows it: on this machine, and over HTTPS.
if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js')
