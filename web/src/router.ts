import { createRouter, createWebHistory } from 'vue-router'
import ShelfView from './stops/shelf/ShelfView.vue'

/** The shelf, and below each client the five stops of the route: what a view is called, and whether it has a heading. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', meta: { title: 'All clients' }, component: ShelfView },
    {
      path: '/receive',
      name: 'receive',
      meta: { title: 'A page handed over' },
      component: () => import('./stops/receive/ReceiveView.vue'),
    },
    {
      path: '/new',
      name: 'new',
      meta: { title: 'New client' },
      component: () => import('./stops/ground/NewClient.vue'),
    },
    {
      path: '/clients/:client(\\d+)/walk',
      name: 'walk',
      meta: { title: 'Walk-through' },
      component: () => import('./stops/walk/WalkView.vue'),
      props: (to) => ({ client: Number(to.params.client) }),
    },
    {
      path: '/clients/:client(\\d+)/walk/points',
      name: 'talking-points',
      meta: { title: 'Talking points' },
      component: () => import('./stops/walk/TalkingPoints.vue'),
      props: (to) => ({ client: Number(to.params.client) }),
    },
    {
      path: '/clients/:client(\\d+)',
      component: () => import('./stops/ClientView.vue'),
      children: [
        { path: '', redirect: (to) => ({ name: 'ground', params: to.params }) },
        {
          path: 'ground',
          name: 'ground',
          meta: { title: 'Ground', headed: true },
          component: () => import('./stops/ground/GroundView.vue'),
        },
        {
          path: 'site',
          name: 'site',
          meta: { title: 'Pages of the site', headed: true },
          component: () => import('./stops/site/SiteView.vue'),
        },
        {
          path: 'book',
          name: 'book',
          meta: { title: 'Phrase book', headed: true },
          component: () => import('./stops/book/BookView.vue'),
        },
        {
          path: 'found',
          name: 'found',
          meta: { title: 'Found for', headed: true },
          component: () => import('./stops/found/FoundView.vue'),
        },
        {
          path: 'standing',
          name: 'standing',
          meta: { title: 'Standing', headed: true },
          component: () => import('./stops/standing/StandingView.vue'),
        },
        {
          path: 'lineup',
          name: 'lineup',
          meta: { title: 'Lineup' },
          component: () => import('./stops/lineup/LineupView.vue'),
        },
        {
          path: 'sheet',
          name: 'overview',
          meta: { title: 'All pages' },
          component: () => import('./stops/overview/OverviewView.vue'),
        },
        {
          path: 'pages/:page(\\d+)/sheet',
          name: 'sheet',
          meta: { title: 'Sheet' },
          component: () => import('./stops/sheet/SheetView.vue'),
        },
        {
          path: 'targets',
          name: 'targets',
          meta: { title: 'Targets' },
          component: () => import('./stops/targets/TargetsView.vue'),
        },
        {
          path: 'outline',
          name: 'outline',
          meta: { title: 'Outline' },
          component: () => import('./stops/outline/OutlineView.vue'),
        },
        {
          path: 'images',
          name: 'images',
          meta: { title: 'Images' },
          component: () => import('./stops/images/ImagesView.vue'),
        },
        {
          path: 'draft',
          name: 'draft',
          meta: { title: 'Draft' },
          component: () => import('./stops/draft/DraftView.vue'),
        },
        {
          path: 'yardstick',
          name: 'yardstick',
          meta: { title: 'Yardstick' },
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
          redirect: (to) => ({
            name: 'hand-off',
            params: { client: to.params.client },
            query: { ...to.query, page: `p${to.params.page}` },
          }),
        },
        {
          path: 'hand-off',
          name: 'hand-off',
          meta: { title: 'Hand-off', headed: true },
          component: () => import('./stops/handoff/HandoffView.vue'),
        },
      ],
    },
    { path: '/:rest(.*)', meta: { title: 'Nothing here' }, component: () => import('./stops/NotFound.vue') },
  ],
})
