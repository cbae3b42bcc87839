import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import ElementPlus from 'unplugin-element-plus/vite'
import Components from 'unplugin-vue-components/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [
    vue(),
    Components({ dts: 'resources/js/components.d.ts', dirs: [], resolvers: [ElementPlusResolver()] }),
    ElementPlus({}),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('resources/js', import.meta.url)) } },
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: 'manifest.json',
    rollupOptions: { input: 'resources/js/main.ts' },
  },
  // Element Plus imports its styles as it goes: inlined, the test runner can read them.
  test: { include: ['resources/js/**/*.test.ts'], css: false, server: { deps: { inline: ['element-plus'] } } },
})
