import { svelte } from '@sveltejs/vite-plugin-svelte'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [svelte()],
  base: '/static/',
  build: {
    manifest: true,
    // All styles come with the page: a part that is fetched again would come without those that had not come with it.
    cssCodeSplit: false,
    assetsInlineLimit: 0, // the Content-Security-Policy allows no data: addresses
    rolldownOptions: {
      input: 'src/main.ts',
      output: {
        // Fonts keep their names: the core reads the same files to lay text out.
        assetFileNames: (asset) =>
          asset.names.some((name) => name.endsWith('.woff2'))
            ? 'fonts/[name][extname]'
            : 'assets/[name]-[hash][extname]',
      },
    },
  },
})
