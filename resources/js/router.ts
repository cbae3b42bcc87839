import { createRouter, createWebHistory } from 'vue-router'
import { useSession } from '@/stores/session'

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
      path: '/machines/:id(\\d+)/record',
      name: 'record',
      component: () => import('@/screens/record/RecordScreen.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { bare: true },
    },
    {
      path: '/instruments',
      name: 'instruments',
      component: () => import('@/screens/instruments/InstrumentsScreen.vue'),
    },
    { path: '/:any(.*)*', redirect: '/' },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  if (session.view === null) await session.load().catch(() => undefined)
  if (to.meta.open !== true && session.person === null)
    return { name: 'sign-in', query: to.path === '/' ? {} : { to: to.fullPath } }
  if (to.name === 'sign-in' && session.person !== null) return { name: 'today' }
  return true
})
