import { createRouter, createWebHistory } from 'vue-router'
import ShelfView from './stops/shelf/ShelfView.vue'

/** The shelf, and below each client the five stops of the route. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    { path: '/receive', name: 'receive', component: () => import('./stops/receive/ReceiveView.vue') },
    { path: '/new', name: 'new', component: () => import('./stops/ground/NewClient.vue') },
    {
      path: '/clients/:client(\\d+)',
      component: () => import('./stops/ClientView.vue'),
      children: [
        { path: '', redirect: (to) => ({ name: 'ground', params: to.params }) },
        { path: 'ground', name: 'ground', component: () => import('./stops/ground/GroundView.vue') },
        { path: 'site', name: 'site', component: () => import('./stops/site/SiteView.vue') },
        { path: 'book', name: 'book', component: () => import('./stops/book/BookView.vue') },
        { path: 'found', name: 'found', component: () => import('./stops/found/FoundView.vue') },
        { path: 'lineup', name: 'lineup', component: () => import('./stops/lineup/LineupView.vue') },
        { path: 'sheet', name: 'overview', component: () => import('./stops/overview/OverviewView.vue') },
        {
          path: 'pages/:page(\\d+)/sheet',
          name: 'sheet',
          component: () => import('./stops/sheet/SheetView.vue'),
        },
        { path: 'targets', name: 'targets', component: () => import('./stops/targets/TargetsView.vue') },
        { path: 'outline', name: 'outline', component: () => import('./stops/outline/OutlineView.vue') },
        { path: 'images', name: 'images', component: () => import('./stops/images/ImagesView.vue') },
        { path: 'draft', name: 'draft', component: () => import('./stops/draft/DraftView.vue') },
        {
          path: 'yardstick',
          name: 'yardstick',
          component: () => import('./stops/yardstick/YardstickView.vue'),
        },
        {
          path: 'pages/:page(\\d+)/targets',
          redirect: (to) => ({
            name: 'targets',
            params: { client: to.params.client },
            query: { page: `p${to.params.page}` },
          }),
        },
        {
          path: 'pages/:page(\\d+)/hand-off',
          name: 'hand-off',
          component: () => import('./stops/handoff/HandoffView.vue'),
        },
      ],
    },
    { path: '/:rest(.*)', component: () => import('./stops/NotFound.vue') },
  ],
})
