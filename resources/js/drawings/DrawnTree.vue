<script setup lang="ts">
import { computed, inject, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'
import { GOING } from '@/benches/correcting'
import { placed, type Placed } from './tree'
import { useUnits } from './units'

/**
 * The piping of a system from its outdoor units to every indoor unit: a column for each step, a line for each indoor
 * unit with what it ran at; pressed, it tells the rest and leads to its benches. Below it every limit of the sheet, with
 * how near the nearest path comes; the one at hand is drawn strong.
 */
const props = defineProps<{ drawing: Extract<Drawing, { shape: 'tree' }> }>()
const { t } = useI18n()
const tree = computed(() => placed(props.drawing))
const limits = computed(() => props.drawing.limits)
const nearest = computed(() =>
  limits.value.reduce(
    (best, one, i) => (one.share > (limits.value[best]?.share ?? -1) && one.path.length > 0 ? i : best),
    limits.value.findIndex((one) => one.path.length > 0),
  ),
)
const picked = ref<number>()
const shown = computed(() => limits.value[picked.value ?? nearest.value])
const path = computed(() => new Set(shown.value?.path ?? []))
const isOn = (pipe: { from: string; to: string }) => path.value.has(pipe.from) && path.value.has(pipe.to)
const units = useUnits()
const go = inject(GOING, undefined)
/** The indoor unit that was pressed. */
const chosen = ref('')
const atHand = computed(() => tree.value.nodes.find((node) => node.id === chosen.value))
/** What is known of each, looked up once. */
const known = computed(
  () =>
    new Map(
      tree.value.nodes
        .filter((node) => node.kind === 'indoor')
        .map((node) => [node.id, units.value(node.id)]),
    ),
)
const of = (id: string) => known.value.get(id) ?? units.value(id)
const unit = computed(() => of(chosen.value))
const choose = (id: string) => (chosen.value = chosen.value === id ? '' : id)
const ran = (id: string) => {
  const { temperatures, unit: sign } = of(id)
  return temperatures.some((text) => text !== '')
    ? `${temperatures.map((text) => text || '–').join(' ')} ${sign}`
    : ''
}
const told = (node: Placed) =>
  [
    node.id,
    node.room,
    ran(node.id),
    of(node.id).items.length > 0 ? t('tree.left', of(node.id).items.length) : '',
  ]
    .filter(Boolean)
    .join(', ')
const WAYS = ['vrf.run_plan', 'air.split', 'vrf.crossed_zones'] as const
const said = (node: Placed) => node.room ?? ''
const SIZE = 9
/** What a limit may fill of its bar, and where the limit itself stands. */
const FULL = 1.25
const width = (share: number) => `${Math.round((100 * Math.min(FULL, share)) / FULL)}%`
</script>

<template>
  <figure class="tree">
    <div class="sheet">
      <svg
        :viewBox="`0 0 ${tree.width} ${tree.height}`"
        :style="{ minWidth: `${Math.max(560, tree.width - 160)}px` }"
        role="img"
        :aria-label="
          drawing.pipes
            .map((one) => t('tree.pipe', { from: one.from, to: one.to, length: one.length }))
            .join('; ')
        "
      >
        <g v-for="(pipe, i) in tree.pipes" :key="i" class="pipe" :class="{ on: isOn(pipe) }">
          <path :d="pipe.d" />
          <text :x="pipe.label.x" :y="pipe.label.y" class="length">{{ pipe.words }}</text>
          <text v-if="pipe.rise" :x="pipe.label.x" :y="pipe.label.y + 18" class="length">
            {{ pipe.rise }}
          </text>
        </g>
        <g
          v-for="node in tree.nodes"
          :key="node.id"
          class="node"
          :class="[node.kind, { on: path.has(node.id) }]"
        >
          <rect
            v-if="node.kind === 'outdoor'"
            :x="node.x - 2"
            :y="node.y - SIZE - 3"
            :width="2 * SIZE + 8"
            :height="2 * SIZE + 6"
          />
          <circle v-else-if="node.kind === 'joint'" :cx="node.x + SIZE" :cy="node.y" r="4.5" />
          <rect
            v-else-if="node.kind === 'box'"
            :x="node.x"
            :y="node.y - SIZE - 4"
            width="14"
            :height="2 * SIZE + 8"
          />
          <path v-else :d="`M${node.x} ${node.y - 6} h16 l5 6 l-5 6 h-16 z`" />
          <g
            v-if="node.kind === 'indoor'"
            class="unit"
            :class="{ chosen: node.id === chosen }"
            role="button"
            tabindex="0"
            :aria-label="told(node)"
            :aria-pressed="node.id === chosen"
            @click="choose(node.id)"
            @keydown.enter.prevent.stop="choose(node.id)"
            @keydown.space.prevent="choose(node.id)"
          >
            <rect class="press" :x="node.x - 4" :y="node.y - 15" :width="tree.width - node.x" height="30" />
            <text :x="node.x + 28" :y="node.y + (ran(node.id) === '' ? 5 : 0)" class="name">
              {{ node.id }}
              <tspan class="more" dx="6">{{ said(node) }}</tspan>
              <tspan v-if="of(node.id).items.length > 0" class="left" dx="6">
                {{ t('tree.left', of(node.id).items.length) }}
              </tspan>
            </text>
            <text v-if="ran(node.id)" :x="node.x + 28" :y="node.y + 12" class="ran">
              <tspan :class="of(node.id).passed === false ? 'failed' : 'passed'">
                {{
                  of(node.id).passed === undefined ? '' : t(of(node.id).passed ? 'tree.ran' : 'tree.failed')
                }}
              </tspan>
              {{ ran(node.id) }}
            </text>
          </g>
          <text v-else :x="node.x + SIZE" :y="node.y - SIZE - 8" text-anchor="middle" class="name">
            {{ node.id }}
          </text>
          <template
            v-for="(port, i) in (node.ports ?? []).filter((one) => one.is !== 'used')"
            :key="port.port"
          >
            <rect
              :x="node.x + 4 + (i - 1) * 9"
              :y="node.y + SIZE + 7"
              width="7"
              height="7"
              class="port"
              :class="port.is"
            />
          </template>
        </g>
      </svg>
    </div>
    <section v-if="atHand" class="at" :aria-label="atHand.id">
      <h3>{{ [atHand.id, atHand.room, atHand.capacity].filter(Boolean).join(', ') }}</h3>
      <dl>
        <div v-for="(name, i) in ['return', 'supply', 'liquid', 'gas'] as const" :key="name">
          <dt>{{ t(`tree.four.${name}`) }}</dt>
          <dd>{{ unit.temperatures[i] ? `${unit.temperatures[i]} ${unit.unit}` : '–' }}</dd>
        </div>
      </dl>
      <p>
        {{
          unit.passed === undefined ? t('tree.notRun') : t(unit.passed ? 'tree.ranAlone' : 'tree.failedAlone')
        }}
        {{ unit.split }}
      </p>
      <ul v-if="unit.items.length > 0">
        <li v-for="(item, i) in unit.items" :key="i">{{ item }}</li>
      </ul>
      <p v-if="go" class="ways">
        <button v-for="way in WAYS" :key="way" type="button" class="press small" @click="go(way)">
          {{ t(`tree.way.${way.split('.')[1] as 'split'}`) }}
        </button>
      </p>
    </section>
    <table v-if="limits.length > 0" class="limits">
      <caption class="sr-only">
        {{
          t('tree.limits')
        }}
      </caption>
      <tbody>
        <tr
          v-for="(one, i) in limits"
          :key="i"
          :class="[one.is, { shown: one === shown }]"
          @mouseenter="picked = i"
          @mouseleave="picked = undefined"
        >
          <th scope="row">{{ one.name }}</th>
          <td class="bar"><span :style="{ width: width(one.share) }"></span><i></i></td>
          <td class="figure">{{ t('tree.of', { value: one.value, limit: one.limit }) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="shown && shown.path.length > 1" class="path">
      {{ t('tree.nearest', { what: shown.name, path: shown.path.join(' › ') }) }}
    </p>
  </figure>
</template>

<style scoped>
.tree {
  margin: 0;
}
.sheet {
  overflow-x: auto;
}
svg {
  display: block;
  width: 100%;
}
.pipe path {
  fill: none;
  stroke: var(--iron);
  stroke-width: 2;
}
.pipe.on path {
  stroke: var(--forge);
  stroke-width: 4;
}
.length {
  font-size: 11.5px;
  fill: var(--iron-soft);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.node rect,
.node path,
.node circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.node.joint circle {
  fill: var(--ink);
}
.node.on rect:not(.port, .press),
.node.on > path {
  stroke: var(--forge);
  stroke-width: 3;
}
.name {
  font: 600 15px/1 var(--figures);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.unit {
  cursor: pointer;
}
.unit .press {
  fill: none;
  stroke: none;
  pointer-events: all;
}
.unit:focus-visible {
  outline: none;
}
.unit:focus-visible .press,
.unit.chosen .press {
  fill: none;
  stroke: var(--forge);
  stroke-width: 2;
}
.ran {
  font: 500 12.5px/1 var(--figures);
  fill: var(--ink);
}
.ran .passed {
  fill: var(--clear);
}
.ran .failed,
.left {
  fill: var(--stop);
}
.left {
  font: 600 13px/1 var(--text);
}
.at {
  margin-top: 8px;
  padding: 8px 12px;
  border: 2px solid var(--forge);
}
.at h3 {
  margin: 0;
  font: 600 20px/1.2 var(--figures);
}
.at dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  margin: 4px 0;
}
.at dt {
  font-size: 13.5px;
  color: var(--iron-soft);
}
.at dd {
  margin: 0;
  font: 600 24px/1.1 var(--figures);
}
.at p,
.at ul {
  margin: 4px 0;
  font-size: 15px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.more {
  font: 400 13px/1 var(--text);
  fill: var(--iron-soft);
}
.node .port {
  stroke: var(--iron);
  stroke-width: 1.5;
}
.node .port.capped {
  fill: var(--iron);
}
.node .port.open,
.node .port.twice {
  fill: var(--stop);
  stroke: var(--stop);
}
.limits {
  width: 100%;
  margin-top: 10px;
  border-collapse: collapse;
  font-size: 14.5px;
}
th {
  padding: 4px 6px 4px 0;
  font-weight: 400;
  text-align: left;
}
td {
  padding: 4px 0;
}
.bar {
  position: relative;
  width: 34%;
}
.bar span {
  display: block;
  height: 12px;
  background: var(--iron-soft);
}
.bar i {
  position: absolute;
  top: 2px;
  bottom: 2px;
  left: 80%;
  width: 2px;
  background: var(--ink);
}
.stop .bar span {
  background: var(--stop);
}
.limits .figure {
  padding-left: 8px;
  white-space: nowrap;
  text-align: right;
}
.shown th,
.shown .figure {
  font-weight: 600;
}
.path {
  margin: 6px 0 0;
  font-size: 14px;
  color: var(--iron-soft);
}
</style>
