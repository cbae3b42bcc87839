<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useKeys } from '@/composables/useKeys'
import { useGuide } from '@/guide/useGuide'
import { keeping } from '@/lib/keeping'
import { left } from '@/lib/time'
import ClockBell from '@/screens/shell/ClockBell.vue'
import ClocksDialog from '@/screens/shell/ClocksDialog.vue'
import GuideDialog from '@/screens/shell/GuideDialog.vue'
import SearchDialog from '@/screens/shell/SearchDialog.vue'
import OtherPersonDialog from '@/screens/shell/OtherPersonDialog.vue'
import OutboxDialog from '@/screens/shell/OutboxDialog.vue'
import { useClocks } from '@/stores/clocks'
import { useMachine } from '@/stores/machine'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'

const session = useSession()
const machine = useMachine()
const route = useRoute()
const router = useRouter()
const { t } = useI18n()
const menu = ref(false)
const clocks = useClocks()
const outbox = useOutbox()
const showClocks = ref(false)
const showOutbox = ref(false)
const showSearch = ref(false)
const guide = useGuide()
useKeys({
  '/': () => {
    if (session.person !== null) showSearch.value = true
  },
  '?': () => {
    if (session.person !== null) guide.show()
  },
})
const AGAIN_MS = 5000
const atMachineId = computed(() => (route.name === 'machine' ? Number(route.params.id) : null))
const nextEnd = computed(() => clocks.running[0])
const nextTold = computed(() => {
  if (clocks.ended.length > 0) return t('clocks.over')
  return nextEnd.value ? left(clocks.left(nextEnd.value)) : ''
})

// What waits is tried again by itself: when the signal is back, when somebody signs in, and every few seconds.
onMounted(() => void outbox.refresh().then(() => outbox.drain()))
useEventListener(window, 'online', () => void outbox.drain())
watch([() => machine.reachable, () => session.person?.id], () => void outbox.drain())
watch(
  () => session.person?.id,
  (id) => {
    if (id !== undefined) void clocks.load().catch(() => undefined)
  },
)
useIntervalFn(() => {
  if (outbox.waiting.length > 0) void outbox.drain()
}, AGAIN_MS)
useEventListener(window, 'iron-start:outbox', () => (showOutbox.value = true))
const atMachine = computed(() => route.name === 'machine' && machine.view !== null)

async function leave() {
  menu.value = false
  await session.signOut()
  await router.push({ name: 'sign-in' })
}
</script>

<template>
  <div class="shell" :class="{ bare: route.meta.bare }">
    <header v-if="session.person && !route.meta.bare" class="top" :class="{ 'at-machine': atMachine }">
      <RouterLink :to="{ name: 'today' }" class="brand">
        <svg width="8" height="26" viewBox="0 0 8 26" aria-hidden="true">
          <rect width="8" height="10" fill="#59636a" />
          <rect y="10" width="8" height="5" fill="#d9591a" />
          <rect y="15" width="8" height="11" fill="#f1ede2" />
        </svg>
        <span>{{ t('app.name') }}</span>
      </RouterLink>
      <nav>
        <RouterLink :to="{ name: 'today' }" :class="{ on: route.name === 'today' }">{{
          t('app.today')
        }}</RouterLink>
        <RouterLink :to="{ name: 'pocket' }" :class="{ on: String(route.name).startsWith('pocket') }">{{
          t('pocket.title')
        }}</RouterLink>
        <RouterLink
          v-if="session.may('office')"
          class="office-link"
          :to="{ name: 'office-sites' }"
          :class="{ on: String(route.name).startsWith('office') }"
          >{{ t('office.title') }}</RouterLink
        >
        <RouterLink
          :to="{ name: 'shelf' }"
          :class="{ on: ['shelf', 'sheet', 'sheet-new'].includes(String(route.name)) }"
          class="shelf-link"
          >{{ t('shelf.title') }}</RouterLink
        >
        <span v-if="atMachine" class="on"
          ><b>{{ machine.view?.name }}</b> <i>{{ machine.view?.site }}</i></span
        >
      </nav>
      <button
        v-if="route.name !== 'machine' && outbox.mine.length > 0"
        type="button"
        class="bar waits"
        @click="showOutbox = true"
      >
        {{ t('foot.waiting', { count: outbox.mine.length }) }}
      </button>
      <button type="button" class="bar find" :aria-label="t('search.title')" @click="showSearch = true">
        <span>{{ t('search.field') }}</span><kbd>/</kbd>
      </button>
      <button type="button" class="bar guide" :aria-label="t('guide.title')" @click="guide.show()">
        <kbd>?</kbd>
      </button>
      <button type="button" class="bar" @click="showClocks = true">
        <span :class="{ word: clocks.clocks.length > 0 }">{{ `${t('clocks.title')} ` }}</span>
        <b v-if="clocks.clocks.length > 0">{{ nextTold }}</b>
      </button>
      <button type="button" class="who" @click="menu = true">
        <span class="first">{{ session.person.name.split(' ')[0] }}</span><span class="rest"
          >{{ session.person.name.slice(session.person.name.split(' ')[0]?.length) }},
          {{ t(`roles.${session.person.role}`) }}</span
        >
      </button>
    </header>
    <div class="calls">
      <ClockBell />
      <p v-if="keeping.fails" class="keeps-nothing" role="status">{{ t('app.keepsNothing') }}</p>
    </div>
    <main><RouterView :key="session.person?.id" /></main>
    <ElDialog v-model="menu" :title="t('app.settings')" width="min(420px, 94vw)">
      <div class="menu">
        <button type="button" class="press small wide" @click="((menu = false), guide.show())">
          {{ t('guide.title') }}
        </button>
        <button
          v-for="theme in ['light', 'dark', 'device'] as const"
          :key="theme"
          type="button"
          class="press small"
          :class="{ wide: theme === 'device' }"
          :aria-pressed="session.person?.theme === theme"
          @click="session.prefer({ theme })"
        >
          {{ t(`app.${theme}`) }}
        </button>
        <button
          type="button"
          class="press small"
          :aria-pressed="session.units === 'us'"
          @click="session.prefer({ units: 'us' })"
        >
          {{ t('app.us') }}
        </button>
        <button
          type="button"
          class="press small"
          :aria-pressed="session.units === 'si'"
          @click="session.prefer({ units: 'si' })"
        >
          {{ t('app.si') }}
        </button>
        <RouterLink class="press small wide link" :to="{ name: 'instruments' }" @click="menu = false">{{
          t('instruments.title')
        }}</RouterLink>
        <button type="button" class="press small wide" @click="leave">{{ t('app.signOut') }}</button>
      </div>
    </ElDialog>
    <ClocksDialog v-model="showClocks" :at="atMachineId" />
    <SearchDialog v-model="showSearch" />
    <GuideDialog v-if="session.person" />
    <OutboxDialog v-model="showOutbox" />
    <OtherPersonDialog />
  </div>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  height: 100%;
}
.shell.bare {
  display: block;
  height: auto;
}
main {
  grid-row: 3;
  min-height: 0;
  height: 100%;
}
.top {
  display: flex;
  align-items: center;
  gap: 26px;
  height: 48px;
  padding: 0 18px;
  background: var(--frame);
  color: var(--on-frame);
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
  font: 600 23px/1 var(--figures);
  letter-spacing: 0.03em;
  text-transform: uppercase;
  text-decoration: none;
}
nav {
  display: flex;
  flex: 1;
  gap: 22px;
  min-width: 0;
}
nav > * {
  padding: 12px 0 9px;
  border-bottom: 3px solid transparent;
  color: var(--on-frame-soft);
  text-decoration: none;
  white-space: nowrap;
}
nav .on {
  border-color: var(--on-frame);
  color: var(--on-frame);
}
.on i {
  font-style: normal;
}
.on b {
  display: none;
  font-weight: 600;
}
.calls {
  grid-row: 2;
}
.keeps-nothing {
  padding: 8px 18px;
  border-left: 8px solid var(--forge);
  background: var(--pan);
}
.link {
  display: grid;
  place-items: center;
  text-decoration: none;
}
.bar {
  min-height: 44px;
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--on-frame);
  white-space: nowrap;
}
/* The word before it may be hidden. */
.bar span + b {
  margin-left: 6px;
}
.bar b {
  font: 600 20px/1 var(--figures);
}
.find {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-width: 148px;
  min-height: 36px;
  padding: 0 8px;
  border: 1px solid var(--iron-soft);
  color: var(--on-frame-soft);
  font-size: 15px;
}
.guide {
  display: grid;
  place-items: center;
  min-width: 44px;
}
.guide kbd {
  display: grid;
  place-items: center;
  width: 34px;
  height: 34px;
}
.find kbd,
.guide kbd {
  padding: 1px 7px;
  border: 1px solid var(--iron-soft);
  font: 600 15px/1.2 var(--figures);
}
.waits {
  padding: 0 10px;
  background: var(--on-frame);
  color: var(--frame);
}
.who {
  min-height: 44px;
  border: 0;
  background: none;
  color: var(--on-frame-soft);
}
.menu {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.menu [aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.menu .wide {
  grid-column: 1 / -1;
}
@media (max-width: 640px) {
  .top {
    gap: 12px;
    padding: 0 12px;
  }
  .word {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .shelf-link,
  .guide,
  .find,
  .rest,
  .at-machine .office-link,
  .brand span,
  nav i {
    display: none;
  }
  .on b {
    display: inline;
  }
  .who {
    font-size: 15px;
  }
}
@media print {
  .top {
    display: none;
  }
}
</style>
