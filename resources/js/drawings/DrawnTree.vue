<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing } from '@/api/client'
import { placed, type Placed } from './tree'

/**
 * The piping of a system from its outdoor units to every indoor unit: a column for each step, a line for each indoor
 * unit. Below it every limit of the sheet, with how near the nearest path comes; the one at hand is drawn strong.
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
          <text v-if="node.kind === 'indoor'" :x="node.x + 28" :y="node.y + 5" class="name">
            {{ node.id }}
            <tspan class="more" dx="6">{{ said(node) }}</tspan>
          </text>
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
  min-width: 560px;
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
.node.on rect:not(.port),
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
