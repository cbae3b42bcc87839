<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** What is said of a site, with what somebody needs on a bad day. */
const props = defineProps<{ site?: Schemas['SiteView']; busy: boolean }>()
const emit = defineEmits<{ send: [site: Record<string, unknown>] }>()
const { t } = useI18n()
const SAFETY = [
  'hospital',
  'roof_hatch_key',
  'gas_shut_off',
  'emergency_switch',
  'contact',
  'access',
] as const
const FOOT_M = 0.3048
const name = ref(props.site?.name ?? '')
const address = ref(props.site?.address ?? '')
const unit = ref<'ft' | 'm'>('ft')
const altitude = ref(props.site ? String(Math.round(props.site.altitude / FOOT_M)) : '')
const safety = ref(
  Object.fromEntries(
    SAFETY.map((what) => [what, (props.site?.safety as Record<string, string>)?.[what] ?? '']),
  ),
)
const first = ref<HTMLInputElement | null>(null)
onMounted(() => first.value?.focus())

function send() {
  const height = Number(altitude.value || 0) * (unit.value === 'ft' ? FOOT_M : 1)
  emit('send', {
    name: name.value,
    address: address.value,
    altitude: Number.isFinite(height) ? height : altitude.value,
    safety: safety.value,
  })
}
</script>

<template>
  <form @submit.prevent="send">
    <label>{{ t('office.site') }}<input ref="first" v-model="name" maxlength="120" required /></label>
    <label>{{ t('office.address') }}<input v-model="address" maxlength="240" /></label>
    <label
      >{{ t('office.altitude')
      }}<span class="height"
        ><input v-model="altitude" inputmode="decimal" /><select
          v-model="unit"
          :aria-label="t('office.unit')"
        >
          <option value="ft">ft</option>
          <option value="m">m</option>
        </select></span
      ></label
    >
    <label v-for="what in SAFETY" :key="what"
      >{{ t(`office.safety.${what}`) }}<input v-model="safety[what]" maxlength="240"
    /></label>
    <button type="submit" class="press small" :disabled="busy || name.trim() === ''">
      {{ t('office.keep') }}
    </button>
  </form>
</template>

<style scoped>
.height {
  display: grid;
  grid-template-columns: 1fr 76px;
  gap: 6px;
}
</style>
