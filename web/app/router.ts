import { createRouter, createWebHistory, loadRouteLocation } from 'vue-router';
import { useSession } from '../stores/session';

declare module 'vue-router' {
  interface RouteMeta {
    /** Shown without the rail and without a person. */
    bare?: true;
    title: string;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/sign-in',
      component: () => import('../pages/SignInPage.vue'),
      meta: { bare: true, title: 'Sign in' },
    },
    { path: '/', component: () => import('../pages/FloorPage.vue'), meta: { title: 'The floor' } },
    {
      path: '/jobs/new',
      component: () => import('../pages/NewJobPage.vue'),
      meta: { title: 'Receive a valve' },
    },
    {
      path: '/jobs/:id',
      component: () => import('../pages/JobPage.vue'),
      props: true,
      meta: { title: 'Job' },
    },
    {
      path: '/jobs/:id/certificate',
      component: () => import('../pages/CertificatePage.vue'),
      props: true,
      meta: { title: 'Certificate' },
    },
    {
      path: '/jobs/:id/isolation',
      component: () => import('../pages/IsolationPage.vue'),
      props: true,
      meta: { title: 'Isolation sheet' },
    },
    {
      path: '/jobs/:id/fetch',
      component: () => import('../pages/FetchPage.vue'),
      props: true,
      meta: { title: 'Fetch list' },
    },
    {
      path: '/jobs/:id/labels',
      component: () => import('../pages/LabelsPage.vue'),
      props: true,
      meta: { title: 'Tray labels' },
    },
    {
      path: '/papers/:code?',
      component: () => import('../pages/PaperPage.vue'),
      props: true,
      meta: { title: 'A paper and its record' },
    },
    {
      path: '/week/file',
      component: () => import('../pages/WeekFilePage.vue'),
      meta: { title: 'A week out of a file' },
    },
    {
      path: '/week/outages',
      component: () => import('../pages/OutagesPage.vue'),
      meta: { title: 'Outages' },
    },
    {
      path: '/week/outages/:id',
      component: () => import('../pages/OutagePage.vue'),
      props: true,
      meta: { title: 'Outage' },
    },
    { path: '/drill', component: () => import('../pages/DrillPage.vue'), meta: { title: 'Drills' } },
    { path: '/drill/class', component: () => import('../pages/ClassPage.vue'), meta: { title: 'The class' } },
    {
      path: '/drill/sent/:task',
      component: () => import('../pages/SentDrillPage.vue'),
      props: true,
      meta: { title: 'Drill' },
    },
    {
      path: '/drill/:drill',
      component: () => import('../pages/DoDrillPage.vue'),
      props: true,
      meta: { title: 'Drill' },
    },
    { path: '/week', component: () => import('../pages/PlanPage.vue'), meta: { title: 'The week' } },
    {
      path: '/setup',
      component: () => import('../pages/SetupPage.vue'),
      props: ({ query }) => ({ shown: query['view'] ?? '' }),
      meta: { title: 'Setup' },
    },
    {
      path: '/interface',
      component: () => import('../pages/InterfacePage.vue'),
      meta: { title: 'For other programs' },
    },
    { path: '/valves', component: () => import('../pages/ValvesPage.vue'), meta: { title: 'Valves' } },
    { path: '/valves/due', component: () => import('../pages/DuePage.vue'), meta: { title: 'Due' } },
    {
      path: '/valves/fleet',
      component: () => import('../pages/FleetPage.vue'),
      meta: { title: 'All valves together' },
    },
    {
      path: '/valves/:id',
      component: () => import('../pages/ValvePage.vue'),
      props: true,
      meta: { title: 'Valve' },
    },
    { path: '/store', component: () => import('../pages/StockPage.vue'), meta: { title: 'Store' } },
    { path: '/workings', component: () => import('../pages/WorkingsPage.vue'), meta: { title: 'Workings' } },
    {
      path: '/workings/signature.analyse',
      component: () => import('../pages/SignaturePage.vue'),
      meta: { title: 'Signature' },
    },
    {
      path: '/workings/bluing.read',
      component: () => import('../pages/BluingPage.vue'),
      meta: { title: 'Photograph of a blued seat' },
    },
    {
      path: '/workings/:id',
      component: () => import('../pages/WorkingPage.vue'),
      props: true,
      meta: { title: 'Working' },
    },
    {
      path: '/:rest(.*)*',
      component: () => import('../pages/LostPage.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
});

router.beforeEach(async (to) => {
  const session = useSession();
  if (!session.known) {
    // The page comes while it is asked who is here; what keeps it from coming is met where it is shown.
    void loadRouteLocation(to).catch(() => undefined);
    await session.load().catch(() => undefined);
  }
  if (!session.person && to.meta.bare !== true) return { path: '/sign-in', query: { to: to.fullPath } };
  return true;
});
router.afterEach((to) => {
  document.title = `${to.meta.title} · Dusk Wren`;
});
