import { createRouter, createWebHistory, type RouteLocationNormalized } from 'vue-router'
import { useSession } from '@/stores/session'

const OFFICE = [
  ['/office', 'office-sites', () => import('@/screens/office/SitesScreen.vue')],
  ['/office/jobs', 'office-jobs', () => import('@/screens/office/JobsScreen.vue')],
  ['/office/review', 'office-review', () => import('@/screens/office/ReviewScreen.vue')],
  ['/office/people', 'office-people', () => import('@/screens/office/PeopleScreen.vue')],
  ['/office/import', 'office-import', () => import('@/screens/office/ImportScreen.vue')],
  ['/office/activity', 'office-activity', () => import('@/screens/office/ActivityScreen.vue')],
  ['/office/company', 'office-company', () => import('@/screens/office/CompanyScreen.vue')],
] as const

export const router = createRouter({
  history: createWebHistory('/'),
  routes: [
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('@/screens/signin/SignInScreen.vue'),
      meta: { open: true },
    },
    { path: '/', name: 'today', component: () => import('@/screens/today/TodayScreen.vue') },
    {
      path: '/machines/:id(\\d+)',
      name: 'machine',
      component: () => import('@/screens/machine/MachineScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
    },
    {
      path: '/machines/:id(\\d+)/options',
      name: 'options',
      component: () => import('@/screens/options/OptionsScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
    },
    {
      path: '/machines/:id(\\d+)/record',
      name: 'record',
      component: () => import('@/screens/record/RecordScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { bare: true },
    },
    {
      path: '/jobs/:id(\\d+)',
      name: 'job',
      component: () => import('@/screens/job/JobScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
    },
    { path: '/pocket', name: 'pocket', component: () => import('@/screens/pocket/PocketScreen.vue') },
    {
      path: '/pocket/options',
      name: 'pocket-options',
      component: () => import('@/screens/options/OptionsScreen.vue'),
      props: { id: null },
    },
    {
      path: '/pocket/:bench',
      name: 'pocket-bench',
      component: () => import('@/screens/pocket/PocketBench.vue'),
      props: true,
    },
    {
      path: '/instruments',
      name: 'instruments',
      component: () => import('@/screens/instruments/InstrumentsScreen.vue'),
    },
    {
      path: '/join/:token',
      name: 'join',
      component: () => import('@/screens/signin/JoinScreen.vue'),
      props: true,
      meta: { open: true, bare: true },
    },
    {
      path: '/owner/:token',
      name: 'owner',
      component: () => import('@/screens/owner/OwnerScreen.vue'),
      props: true,
      meta: { open: true, bare: true, quiet: true },
    },
    ...OFFICE.map(([path, name, component]) => ({ path, name, component })),
    {
      path: '/office/sites/:id(\\d+)',
      name: 'office-site',
      component: () => import('@/screens/office/SiteScreen.vue'),
      props: (to: RouteLocationNormalized) => ({ id: Number(to.params.id) }),
    },
    { path: '/shelf', name: 'shelf', component: () => import('@/screens/shelf/ShelfScreen.vue') },
    {
      path: '/shelf/refrigerants/:name?',
      name: 'refrigerants',
      component: () => import('@/screens/shelf/RefrigerantsScreen.vue'),
      props: (to: RouteLocationNormalized) => ({ name: String(to.params.name ?? '') }),
    },
    {
      path: '/shelf/new',
      name: 'sheet-new',
      component: () => import('@/screens/shelf/SheetScreen.vue'),
      props: { id: null },
    },
    {
      path: '/shelf/:id(\\d+)',
      name: 'sheet',
      component: () => import('@/screens/shelf/SheetScreen.vue'),
      props: (to: RouteLocationNormalized) => ({ id: Number(to.params.id) }),
    },
    { path: '/:any(.*)*', redirect: '/' },
  ],
})

router.beforeEach(async (to) => {
  // An owner's page asks for nothing but its record.
  if (to.meta.quiet === true) return true
  const session = useSession()
  if (session.view === null) await session.load().catch(() => undefined)
  if (to.meta.open !== true && session.person === null)
    return { name: 'sign-in', query: to.path === '/' ? {} : { to: to.fullPath } }
  if (to.name === 'sign-in' && session.person !== null) return { name: 'today' }
  return true
})
