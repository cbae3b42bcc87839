<script setup lang="ts">
import type { Drawing, TapeEntry } from '@/api/client'
import DrawnShape from '@/drawings/DrawnShape.vue'

/** What the bench drew of a reading. */
defineProps<{ entry: TapeEntry }>()
</script>

<template><DrawnShape :drawing="entry.drawing as unknown as Drawing" /></template>
