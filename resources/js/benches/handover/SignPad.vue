<script setup lang="ts">
import SignaturePad from 'signature_pad'
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'

/** A field to sign in by hand. What comes out are strokes on a field one wide and one high. */
const emit = defineEmits<{ drawn: [strokes: number[][][]] }>()
const { t } = useI18n()
const canvas = ref<HTMLCanvasElement | null>(null)
const MOST = 3000
let pad: SignaturePad | undefined
let watcher: ResizeObserver | undefined

onMounted(() => {
  const field = canvas.value
  if (field === null) return
  pad = new SignaturePad(field, { penColor: '#1b1f22', minDistance: 3 })
  pad.addEventListener('endStroke', tell)
  watcher = new ResizeObserver(fit)
  watcher.observe(field)
})
onBeforeUnmount(() => {
  watcher?.disconnect()
  pad?.off()
})

/** A field of another size is an empty one. */
function fit() {
  const field = canvas.value
  if (field === null || pad === undefined || field.offsetWidth === 0) return
  const scale = window.devicePixelRatio
  if (field.width === Math.round(field.offsetWidth * scale)) return
  field.width = Math.round(field.offsetWidth * scale)
  field.height = Math.round(field.offsetHeight * scale)
  field.getContext('2d')?.scale(scale, scale)
  clear()
}

function tell() {
  const field = canvas.value
  if (field === null || pad === undefined) return
  const within = (v: number) => Math.min(1, Math.max(0, v))
  const all = pad.toData().map((stroke) => stroke.points)
  const thin = Math.max(1, Math.ceil(all.flat().length / MOST))
  emit(
    'drawn',
    all.map((points) =>
      points
        .filter((_, i) => i % thin === 0)
        .map((p) => [within(p.x / field.offsetWidth), within(p.y / field.offsetHeight)]),
    ),
  )
}

function clear() {
  pad?.clear()
  emit('drawn', [])
}
</script>

<template>
  <div class="pad">
    <canvas ref="canvas" :aria-label="t('leave.field')"></canvas>
    <button type="button" class="press small" @click="clear">{{ t('leave.clear') }}</button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: end;
}
canvas {
  width: 100%;
  height: 150px;
  border: 2px solid var(--iron-soft);
  border-bottom: 3px solid var(--ink);
  background: #ffffff;
  touch-action: none;
}
</style>
