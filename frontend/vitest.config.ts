import { svelte } from '@sveltejs/vite-plugin-svelte'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [svelte()],
  resolve: { conditions: ['browser'] }, // Svelte's runes as they run in the browser
  test: {
    include: ['tests/**/*.test.ts'],
    environment: 'node',
    setupFiles: 'tests/setup.ts',
    testTimeout: 0, // no machine's speed fails a test
  },
})
