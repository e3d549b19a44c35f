import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync } from 'node:zlib'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'
import vuetify from 'vite-plugin-vuetify'

const dist = fileURLToPath(new URL('../internal/server/dist/', import.meta.url))

/** Packs scripts and styles once, when they are built, and not each time that they are asked for. */
const packed = {
  name: 'packed',
  closeBundle() {
    for (const file of readdirSync(`${dist}assets`).filter((f) => /\.(js|css)$/.test(f)))
      writeFileSync(`${dist}assets/${file}.br`, brotliCompressSync(readFileSync(`${dist}assets/${file}`)))
  },
}

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true }), packed],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: {
    outDir: '../internal/server/dist',
    emptyOutDir: true,
    chunkSizeWarningLimit: 1600,
    rolldownOptions: { input: ['index.html', 'api.html'] },
  },
  /* Style sheets are read as they are written (scale.test.ts). */
  test: { include: ['src/**/*.test.ts'], css: true },
  server: { proxy: { '/api': 'http://127.0.0.1:8017' } },
})
