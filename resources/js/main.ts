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
if ('serviceWorker' in navigator) {
  const isFirst = navigator.serviceWorker.controller === null
  void navigator.serviceWorker.register('/sw.js')
  // On the first visit the page was there before its worker: what it showed is asked for once more, through it.
  navigator.serviceWorker.addEventListener(
    'controllerchange',
    () => {
      if (isFirst) void askAgain()
    },
    { once: true },
  )
}

async function askAgain(): Promise<void> {
  // Where somebody signs in, an answer that was asked for before would bring the older cookie back.
  if (router.currentRoute.value.meta.open) return
  const [, job, station] = /^\/jobs\/([^/]+)(?:\/(\w+))?/.exec(location.pathname) ?? []
  const open = job ? [`jobs/${job}?station=${station ?? 'measure'}`] : ['homes', 'helping']
  await Promise.allSettled(
    ['session', 'vocabulary', ...open].map((path) =>
      fetch(`/api/${path}`, { headers: { Accept: 'application/json' } }),
    ),
  )
}
