import { createRouter, createWebHistory } from 'vue-router'
import { currentSession } from './session'

declare module 'vue-router' {
  interface RouteMeta {
    open?: boolean
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', component: () => import('./SignIn.vue'), meta: { open: true } },
    { path: '/welcome', component: () => import('./Letter.vue'), meta: { open: true } },
    { path: '/new-password', component: () => import('./Letter.vue'), meta: { open: true } },
    { path: '/join', component: () => import('./Join.vue') },
    { path: '/', component: () => import('./Jobs.vue') },
    { path: '/p/:code', component: () => import('@/saw/LabelPage.vue') },
    { path: '/sums', component: () => import('@/sums/SumChooser.vue') },
    { path: '/sums/:sum', component: () => import('@/sums/SumPage.vue') },
    { path: '/account', component: () => import('./Account.vue') },
    { path: '/homes/:home/workshop', component: () => import('./Workshop.vue') },
    {
      path: '/jobs/:job',
      component: () => import('./JobFrame.vue'),
      children: [
        { path: '', redirect: (to) => `/jobs/${String(to.params.job)}/measure` },
        { path: 'measure', component: () => import('@/measure/MeasureStation.vue') },
        { path: 'fit', component: () => import('@/fit/FitStation.vue') },
        { path: 'pieces', component: () => import('@/pieces/PiecesStation.vue') },
        { path: 'sheets', component: () => import('@/sheets/SheetsStation.vue') },
        { path: 'saw', component: () => import('@/saw/SawStation.vue') },
        { path: 'install', component: () => import('@/install/InstallStation.vue') },
        { path: 'log', component: () => import('@/log/LogStation.vue') },
      ],
    },
    { path: '/:other(.*)*', component: () => import('./NotFound.vue') },
  ],
})

router.beforeEach(async (to) => {
  const { user } = await currentSession()
  if (!user && !to.meta.open) return { path: '/sign-in', query: { to: to.fullPath } }
  if (user && to.path === '/sign-in') return '/'
  return true
})
