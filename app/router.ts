import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import StartPage from './frame/StartPage.vue'

/** Stations load when they are first entered; the start page comes with the app. */
export const routes: RouteRecordRaw[] = [
  { path: '/', name: 'start', component: StartPage, meta: { title: 'The build at a glance' } },
  {
    path: '/joint/:joint',
    component: () => import('./stations/joint/JointFrame.vue'),
    props: true,
    children: [
      { path: '', redirect: { name: 'ask' } },
      { path: 'ask', name: 'ask', component: () => import('./stations/ask/AskPage.vue'), meta: { title: 'Ask' } },
      {
        path: 'shortlist',
        name: 'shortlist',
        component: () => import('./stations/shortlist/ShortlistPage.vue'),
        meta: { title: 'Shortlist' },
      },
      {
        path: 'plan',
        name: 'plan',
        component: () => import('./stations/plan/PlanPage.vue'),
        meta: { title: 'Plan' },
      },
      {
        path: 'glue',
        name: 'glue',
        component: () => import('./stations/glue/GluePage.vue'),
        meta: { title: 'Glue' },
      },
      {
        path: 'break',
        name: 'break',
        component: () => import('./stations/break/BreakPage.vue'),
        meta: { title: 'Break' },
      },
      {
        path: 'choose',
        name: 'choose',
        component: () => import('./stations/choose/ChoosePage.vue'),
        meta: { title: 'Choose' },
      },
    ],
  },
  {
    path: '/joint/:joint/card',
    name: 'card',
    component: () => import('./stations/choose/card/CardPage.vue'),
    props: true,
    meta: { title: 'Procedure card' },
  },
  {
    path: '/joint/:joint/print',
    name: 'print',
    component: () => import('./stations/plan/print/PrintPage.vue'),
    props: true,
    meta: { title: 'Print for the bench' },
  },
  { path: '/shelf', name: 'shelf', component: () => import('./shelf/ShelfPage.vue'), meta: { title: 'Shelf' } },
  { path: '/build', name: 'build', component: () => import('./build/BuildPage.vue'), meta: { title: 'The build' } },
  {
    path: '/evidence',
    name: 'evidence',
    component: () => import('./evidence/EvidencePage.vue'),
    meta: { title: 'Evidence' },
  },
  { path: '/files', name: 'files', component: () => import('./keep/FilesPage.vue'), meta: { title: 'Files' } },
  {
    path: '/incoming',
    name: 'incoming',
    component: () => import('./keep/IncomingPage.vue'),
    meta: { title: 'A bench file' },
  },
  {
    path: '/past',
    name: 'past',
    component: () => import('./keep/PastPage.vue'),
    meta: { title: 'Past tests from a spreadsheet' },
  },
  {
    path: '/merge',
    name: 'merge',
    component: () => import('./keep/MergePage.vue'),
    meta: { title: 'Put another bench to this one' },
  },
  {
    path: '/benches',
    name: 'benches',
    component: () => import('./frame/BenchesPage.vue'),
    meta: { title: 'Benches' },
  },
  {
    path: '/history',
    name: 'history',
    component: () => import('./frame/HistoryPage.vue'),
    meta: { title: 'History' },
  },
  { path: '/:rest(.*)*', name: 'lost', component: () => import('./frame/LostPage.vue'), meta: { title: 'Not here' } },
]

export const router = createRouter({ history: createWebHistory(), scrollBehavior: () => ({ top: 0 }), routes })
