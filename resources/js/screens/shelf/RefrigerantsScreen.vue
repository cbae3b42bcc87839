<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import ReadingField from '@/components/ReadingField.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { useAttempt } from '@/composables/useAttempt'
import { useVerdict } from '@/composables/useVerdict'
import { firstUnit, shownUnit, toWire, type Typed } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useSession } from '@/stores/session'
import PressureChart from './PressureChart.vue'
import { decimals, figure, isSingle } from './pressures'
import ShelfTabs from './ShelfTabs.vue'

/** What each refrigerant is, and its pressure over temperature at the altitude one stands at. */
const props = defineProps<{ name: string }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const checks = useChecks()
const { problem, fetched } = useAttempt()
const all = ref<Schemas['RefrigerantView'][]>([])
const table = ref<Schemas['PressureTableView'] | null>(null)
const chosen = computed(() => all.value.find((one) => one.name === props.name))
const isUs = computed(() => session.units !== 'si')
const CHECK = 'refrigerant.saturation'
const BOXES = ['pressure', 'temperature', 'altitude'] as const
type Box = (typeof BOXES)[number]
const fields = computed(() => checks.check(CHECK)?.fields ?? [])
const fieldOf = (name: Box) => fields.value.find((field) => field.name === name)
const typed = ref<Record<Box, Typed>>({
  pressure: { text: '', unit: 'psig' },
  temperature: { text: '', unit: 'degF' },
  altitude: { text: '', unit: 'ft' },
})

onMounted(() =>
  fetched(async () => {
    await checks.load()
    for (const box of BOXES) {
      const field = fieldOf(box)
      if (field !== undefined)
        typed.value[box].unit = firstUnit(field, session.units, session.person?.fieldUnits ?? {})
    }
    all.value = (await answer(api.GET('/api/v1/refrigerants'))).refrigerants
    if (chosen.value === undefined)
      await router.replace({ name: 'refrigerants', params: { name: all.value[0]?.name } })
  }),
)

/** One of the two gives the other: what is typed last stands. */
function type(box: Box, next: Typed) {
  typed.value[box] = next
  const other = { pressure: 'temperature', temperature: 'pressure', altitude: null }[box] as Box | null
  if (other !== null && next.text.trim() !== '') typed.value[other] = { ...typed.value[other], text: '' }
}
const input = computed(() => {
  const told: Record<string, unknown> = { refrigerant: props.name }
  for (const box of BOXES) {
    const wire = toWire(typed.value[box])
    if (wire !== undefined) told[box] = wire
  }
  return told
})
const asked = computed(
  () => figure(typed.value.pressure.text) !== undefined || figure(typed.value.temperature.text) !== undefined,
)
const looked = useVerdict(ref(CHECK), input, asked)

/** The table stands in the units of the boxes, at the altitude that was typed. */
const query = computed(() => {
  const altitude = toWire(typed.value.altitude)
  return {
    temperature: typed.value.temperature.unit as 'degF' | 'degC',
    pressure: typed.value.pressure.unit,
    ...(altitude === undefined ? {} : { altitude }),
  }
})
const TEMPERATURES = ['degF', 'degC']
let run = 0
watch(
  [() => props.name, () => JSON.stringify(query.value), all],
  async () => {
    if (chosen.value === undefined || !TEMPERATURES.includes(query.value.temperature)) return
    const mine = ++run
    await fetched(async () => {
      const told = await answer(
        api.GET('/api/v1/refrigerants/{refrigerant}/pressures', {
          params: { path: { refrigerant: props.name }, query: query.value },
        }),
      )
      if (mine === run) table.value = told
    })
  },
  { immediate: true },
)
const file = computed(
  () =>
    `/api/v1/refrigerants/${encodeURIComponent(props.name)}/pressures.csv?${new URLSearchParams(query.value)}`,
)
const places = computed(() => decimals(table.value?.rows ?? []))
const single = computed(() => table.value !== null && isSingle(table.value.rows))
const at = computed(() => {
  const [pressure, temperature] = [figure(typed.value.pressure.text), figure(typed.value.temperature.text)]
  return pressure !== undefined ? { pressure } : temperature !== undefined ? { temperature } : {}
})
const round = (value: number, places: number) => value.toFixed(places)
const facts = computed(() => {
  const one = chosen.value
  if (one === undefined) return []
  const us = isUs.value
  const density = (si: number, inUs: number) =>
    us ? `${round(inUs, 1)} ${t('refrigerants.perRoomUs')}` : `${round(si, 0)} g/m³`
  return [
    { key: 'class', value: one.class, mark: one.lfl !== null },
    { key: 'rcl', value: density(one.rcl, one.rclUs) },
    {
      key: 'lfl',
      value:
        one.lfl === null || one.lflUs === null ? t('refrigerants.burnsNot') : density(one.lfl, one.lflUs),
    },
    { key: 'gwp', value: round(one.gwp, 0) },
    {
      key: 'glide',
      value:
        one.glide === 0
          ? t('refrigerants.none')
          : us
            ? `${round(one.glideUs, 1)} °F`
            : `${round(one.glide, 1)} K`,
    },
  ] as const
})
</script>

<template>
  <div class="shelf">
    <ShelfTabs />
    <div class="sides">
      <nav :aria-label="t('refrigerants.title')">
        <RouterLink
          v-for="one in all"
          :key="one.name"
          :to="{ name: 'refrigerants', params: { name: one.name } }"
          :aria-current="one.name === name ? 'page' : undefined"
          replace
          >{{ one.name }}<small>{{ one.class }}</small></RouterLink
        >
      </nav>
      <section v-if="chosen">
        <h1>{{ chosen.name }}</h1>
        <dl>
          <div v-for="fact in facts" :key="fact.key">
            <dt>{{ t(`refrigerants.${fact.key}`) }}</dt>
            <dd :class="{ burns: 'mark' in fact && fact.mark }">{{ fact.value }}</dd>
          </div>
        </dl>
        <div class="ask">
          <template v-for="box in BOXES" :key="box">
            <ReadingField
              v-if="fieldOf(box)"
              :model-value="typed[box]"
              :label="fieldOf(box)?.label ?? ''"
              :kind="fieldOf(box)?.kind ?? ''"
              :units="
                (fieldOf(box)?.units ?? []).filter(
                  (unit) => box !== 'temperature' || TEMPERATURES.includes(unit),
                )
              "
              compact
              @update:model-value="type(box, $event)"
            />
          </template>
        </div>
        <VerdictLine
          v-if="asked && (looked.problem.value || looked.verdict.value)"
          :status="looked.problem.value ? 'open' : (looked.verdict.value?.status ?? 'open')"
          :sentence="
            looked.problem.value?.detail.replace(/^[a-z_]+: /, '') ?? looked.verdict.value?.headline ?? ''
          "
          :said="t(looked.problem.value ? 'status.open' : 'status.clear')"
        />
        <BothSides v-if="problem" :problem="problem" />
        <div v-if="table" class="shown">
          <PressureChart
            :rows="table.rows"
            :temperature="table.temperature"
            :pressure="table.pressure"
            :at="at"
          />
          <div class="listed" tabindex="0" role="region" :aria-label="t('refrigerants.table')">
            <table>
              <thead>
                <tr>
                  <th>{{ shownUnit(table.temperature) }}</th>
                  <th v-if="single">{{ shownUnit(table.pressure) }}</th>
                  <template v-else>
                    <th>{{ t('refrigerants.bubble') }}, {{ shownUnit(table.pressure) }}</th>
                    <th>{{ t('refrigerants.dew') }}, {{ shownUnit(table.pressure) }}</th>
                  </template>
                </tr>
              </thead>
              <tbody>
                <tr v-for="row in table.rows" :key="row[0]">
                  <td>{{ row[0] }}</td>
                  <td v-if="!single">{{ row[1]?.toFixed(places) }}</td>
                  <td>{{ row[2]?.toFixed(places) }}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </div>
        <a class="press small" :href="file" download>{{ t('refrigerants.file') }}</a>
      </section>
    </div>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  gap: 14px;
  max-width: 1180px;
  height: 100%;
  margin: 0 auto;
  padding: 16px 24px;
}
.sides {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 24px;
  min-height: 0;
}
nav {
  overflow: auto;
}
nav a {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 48px;
  padding: 0 10px;
  border-left: 5px solid transparent;
  border-bottom: 1px solid var(--rule);
  font: 600 20px/1.1 var(--figures);
  color: var(--ink);
  text-decoration: none;
}
nav [aria-current] {
  border-left-color: var(--ink);
  background: var(--box);
}
nav small {
  font: 400 14px/1 var(--text);
  color: var(--iron-soft);
}
section {
  display: grid;
  align-content: start;
  gap: 10px;
  min-width: 0;
  overflow: auto;
}
h1 {
  font-size: 34px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  padding: 6px 0 10px;
  border-bottom: 1px solid var(--rule);
}
dt {
  font-size: 14px;
  color: var(--iron-soft);
}
dd {
  font: 600 22px/1.2 var(--figures);
}
.burns {
  color: var(--stop);
}
.ask {
  display: grid;
  grid-template-columns: repeat(3, minmax(120px, 200px));
  gap: 14px;
}
.shown {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 20px;
}
.listed {
  max-height: 320px;
  overflow: auto;
  border: 1px solid var(--rule);
}
table {
  width: 100%;
  border-collapse: collapse;
  font: 17px/1.3 var(--figures);
  text-align: right;
}
th {
  position: sticky;
  top: 0;
  padding: 6px 12px;
  background: var(--pan);
  font: 400 14px/1.2 var(--text);
  color: var(--iron-soft);
}
td {
  padding: 3px 12px;
  border-top: 1px solid var(--rule);
}
.press {
  justify-self: start;
  display: inline-grid;
  place-items: center;
  text-decoration: none;
}
@media (max-width: 700px) {
  .shelf {
    padding: 12px 14px;
    height: auto;
  }
  .sides,
  .shown {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    display: flex;
  }
  nav a {
    flex: none;
    gap: 8px;
    border-left: 0;
    border-bottom: 4px solid transparent;
  }
  nav [aria-current] {
    border-bottom-color: var(--ink);
  }
  .ask {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
