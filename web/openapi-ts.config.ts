import { defineConfig } from '@hey-api/openapi-ts'

/* Types, calls, queries, changes and their keys, from the description of the API. */
export default defineConfig({
  input: '../docs/openapi.json',
  output: { path: 'src/api/gen' },
  plugins: ['@hey-api/typescript', '@hey-api/client-fetch', '@hey-api/sdk', '@tanstack/vue-query'],
})
