import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import StartPage from './frame/StartPage.vue'
import { piece } from './look/piece'

/** A page that is fetched when it is first entered. */
const page =
  <T>(load: () => Promise<T>) =>
  () =>
    piece(load)

/** Stations load when they are first entered; the start page comes with the app. */
export const routes: RouteRecordRaw[] = [
  { path: '/', name: 'start', component: StartPage, meta: { title: 'The build at a glance' } },
  {
    path: '/joint/:joint',
    component: page(() => import('./stations/joint/JointFrame.vue')),
    props: true,
    children: [
      { path: '', redirect: { name: 'ask' } },
      { path: 'ask', name: 'ask', component: page(() => import('./stations/ask/AskPage.vue')), meta: { title: 'Ask' } },
      {
        path: 'shortlist',
        name: 'shortlist',
        component: page(() => import('./stations/shortlist/ShortlistPage.vue')),
        meta: { title: 'Shortlist' },
      },
      {
        path: 'plan',
        name: 'plan',
        component: page(() => import('./stations/plan/PlanPage.vue')),
        meta: { title: 'Plan' },
      },
      {
        path: 'glue',
        name: 'glue',
        component: page(() => import('./stations/glue/GluePage.vue')),
        meta: { title: 'Glue' },
      },
      {
        path: 'break',
        name: 'break',
        component: page(() => import('./stations/break/BreakPage.vue')),
        meta: { title: 'Break' },
      },
      {
        path: 'choose',
        name: 'choose',
        component: page(() => import('./stations/choose/ChoosePage.vue')),
        meta: { title: 'Choose' },
      },
    ],
  },
  {
    path: '/joint/:joint/card',
    name: 'card',
    component: page(() => import('./stations/choose/card/CardPage.vue')),
    props: true,
    meta: { title: 'Procedure card' },
  },
  {
    path: '/joint/:joint/print',
    name: 'print',
    component: page(() => import('./stations/plan/print/PrintPage.vue')),
    props: true,
    meta: { title: 'Print for the bench' },
  },
  { path: '/shelf', name: 'shelf', component: page(() => import('./shelf/ShelfPage.vue')), meta: { title: 'Shelf' } },
  {
    path: '/build',
    name: 'build',
    component: page(() => import('./build/BuildPage.vue')),
    meta: { title: 'The build' },
  },
  {
    path: '/evidence',
    name: 'evidence',
    component: page(() => import('./evidence/EvidencePage.vue')),
    meta: { title: 'Evidence' },
  },
  { path: '/files', name: 'files', component: page(() => import('./keep/FilesPage.vue')), meta: { title: 'Files' } },
  {
    path: '/incoming',
    name: 'incoming',
    component: page(() => import('./keep/IncomingPage.vue')),
    meta: { title: 'A bench file' },
  },
  {
    path: '/past',
    name: 'past',
    component: page(() => import('./keep/PastPage.vue')),
    meta: { title: 'Past tests from a spreadsheet' },
  },
  {
    path: '/merge',
    name: 'merge',
    component: page(() => import('./keep/MergePage.vue')),
    meta: { title: 'Put another bench to this one' },
  },
  {
    path: '/benches',
    name: 'benches',
    component: page(() => import('./frame/BenchesPage.vue')),
    meta: { title: 'Benches' },
  },
  {
    path: '/history',
    name: 'history',
    component: page(() => import('./frame/HistoryPage.vue')),
    meta: { title: 'History' },
  },
  {
    path: '/happened',
    name: 'happened',
    component: page(() => import('./frame/HappenedPage.vue')),
    props: ({ query }) => ({ from: String(query['from'] ?? '') || undefined }),
    meta: { title: 'Copy what happened' },
  },
  {
    path: '/:rest(.*)*',
    name: 'lost',
    component: page(() => import('./frame/LostPage.vue')),
    meta: { title: 'Not here' },
  },
]

export const router = createRouter({ history: createWebHistory(), scrollBehavior: () => ({ top: 0 }), routes })
