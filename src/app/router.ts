import { createRouter, createWebHashHistory } from 'vue-router'
import CampPage from '@/features/camp/CampPage.vue'

/** Hash addresses, so that the build works from any folder of any file server. */
export function createAppRouter() {
  return createRouter({
    history: createWebHashHistory(),
    routes: [
      { path: '/', name: 'camp', component: CampPage },
      { path: '/stay', name: 'stay', component: () => import('@/features/stay/StayPage.vue') },
      { path: '/runs', name: 'runs', component: () => import('@/features/runs/RunsPage.vue') },
      {
        path: '/guide/schools',
        name: 'schools',
        component: () => import('@/features/guide/SchoolsPage.vue'),
      },
      { path: '/log', name: 'log', component: () => import('@/features/log/LogPage.vue') },
      { path: '/rig', name: 'rig', component: () => import('@/features/rig/RigPage.vue') },
      { path: '/habits', name: 'habits', component: () => import('@/features/habits/HabitsPage.vue') },
      {
        path: '/rig/gray-to-black',
        name: 'gray-to-black',
        component: () => import('@/features/rig/transfer/TransferPage.vue'),
      },
      { path: '/more', name: 'more', component: () => import('@/features/more/MorePage.vue') },
      {
        path: '/settings',
        name: 'settings',
        component: () => import('@/features/settings/SettingsPage.vue'),
      },
      { path: '/start', name: 'start', component: () => import('@/features/start/StartPage.vue') },
      { path: '/:rest(.*)*', redirect: '/' },
    ],
    // The first screen stands at its top already.
    scrollBehavior: (_, from) => (from.matched.length === 0 ? false : { top: 0 }),
  })
}
