import { createRouter, createWebHashHistory } from 'vue-router'
import CampPage from '@/features/camp/CampPage.vue'
import { listenForBack, noteEntry } from '@/ui/backCloses'

/** Hash addresses, so that the build works from any folder of any file server. */
export function createAppRouter() {
  listenForBack()
  const router = createRouter({
    history: createWebHashHistory(),
    routes: [
      { path: '/', name: 'camp', component: CampPage },
      { path: '/stay', name: 'stay', component: () => import('@/features/stay/StayPage.vue') },
      { path: '/runs', name: 'runs', component: () => import('@/features/runs/RunsPage.vue') },
      {
        path: '/runs/print',
        name: 'print-plan',
        component: () => import('@/features/runs/PlanPage.vue'),
        meta: { isBare: true },
      },
      { path: '/places', name: 'places', component: () => import('@/features/places/PlacesPage.vue') },
      { path: '/season', name: 'season', component: () => import('@/features/season/SeasonPage.vue') },
      { path: '/guide', name: 'guide', component: () => import('@/features/guide/GuidePage.vue') },
      ...(['first-dump', 'first-night'] as const).map((which) => ({
        path: `/guide/${which}`,
        name: which,
        component: () => import('@/features/guide/FirstPage.vue'),
        props: { which },
      })),
      {
        path: '/guide/handbook/:page',
        name: 'handbook',
        component: () => import('@/features/guide/HandbookPage.vue'),
        props: true,
      },
      {
        path: '/guide/questions',
        name: 'questions',
        component: () => import('@/features/guide/QuestionsPage.vue'),
      },
      { path: '/cards', name: 'cards', component: () => import('@/features/cards/CardsPage.vue') },
      {
        path: '/cards/print',
        name: 'print-cards',
        component: () => import('@/features/cards/PrintPage.vue'),
        meta: { isBare: true },
      },
      {
        path: '/cards/run/:run',
        name: 'run-cards',
        component: () => import('@/features/cards/CardPage.vue'),
      },
      { path: '/cards/own/:own', name: 'own-card', component: () => import('@/features/cards/CardPage.vue') },
      {
        path: '/cards/:kind/:about?',
        name: 'card',
        component: () => import('@/features/cards/CardPage.vue'),
      },
      {
        path: '/walk',
        name: 'walk',
        component: () => import('@/features/cards/WalkPage.vue'),
        meta: { isBare: true },
      },
      { path: '/budget', name: 'budget', component: () => import('@/features/budget/BudgetPage.vue') },
      {
        path: '/shower',
        name: 'shower',
        component: () => import('@/features/shower/ShowerPage.vue'),
        meta: { isBare: true },
      },
      { path: '/chores', name: 'chores', component: () => import('@/features/chores/ChoresPage.vue') },
      { path: '/review', name: 'review', component: () => import('@/features/review/ReviewPage.vue') },
      {
        path: '/review/print',
        name: 'print-review',
        component: () => import('@/features/review/ReviewPage.vue'),
        meta: { isBare: true },
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
  router.afterEach(noteEntry)
  return router
}
