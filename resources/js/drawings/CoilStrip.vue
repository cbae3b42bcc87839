<script setup lang="ts">
import { computed } from 'vue'

/** The air around a coil: what comes from outdoors and back from the rooms, what should leave, and what leaves. */
const props = defineProps<{ coil: { at: string; name: string; text: string }[] }>()
const of = (at: string) => props.coil.find((one) => one.at === at)
const told = computed(() => props.coil.map((one) => `${one.name} ${one.text}`).join('; '))
/** Where each stands: left of the coil what comes, right of it what leaves. */
const PLACES = [
  { at: 'outdoor_air', x: 8, y: 22, anchor: 'start' },
  { at: 'return_air', x: 8, y: 74, anchor: 'start' },
  { at: 'should_leave', x: 352, y: 22, anchor: 'end' },
  { at: 'leaves', x: 352, y: 74, anchor: 'end' },
] as const
const FINS = Array.from({ length: 7 }, (_, i) => 158 + i * 7)
</script>

<template>
  <svg viewBox="0 0 360 104" class="coil" role="img" :aria-label="told">
    <rect x="152" y="14" width="54" height="78" class="body" />
    <line v-for="x in FINS" :key="x" :x1="x" :x2="x" y1="18" y2="88" class="fin" />
    <path d="M112 34 H138 V48 M132 42 L138 49 L144 42" class="way" />
    <path d="M112 68 H146 M139 62 L147 68 L139 74" class="way" />
    <path d="M212 68 H244 M237 62 L245 68 L237 74" class="way" />
    <path d="M212 34 H240" class="way should" />
    <g v-for="place in PLACES" :key="place.at">
      <text :x="place.x" :y="place.y" :text-anchor="place.anchor" class="word">{{ of(place.at)?.name }}</text>
      <text :x="place.x" :y="place.y + 22" :text-anchor="place.anchor" class="read">
        {{ of(place.at)?.text }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.coil {
  display: block;
  width: 100%;
}
.body {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.fin {
  stroke: var(--iron-soft);
}
.way {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.should {
  stroke: var(--forge);
  stroke-dasharray: 6 4;
}
.word {
  font-size: 13px;
  fill: var(--iron-soft);
}
.read {
  font: 600 23px/1 var(--figures);
  fill: var(--ink);
}
</style>
