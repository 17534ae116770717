import { defineConfig } from 'vite';

export default defineConfig({
  // All in files of its own but what Node has: reading hundreds of small ones would take longer than to start.
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { main: 'src/main.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
});
