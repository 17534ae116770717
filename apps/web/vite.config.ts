import { join } from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { chunkGroups } from './chunk-groups.ts';

const src = (file: string) => join(import.meta.dirname, 'src', file);

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    // For what looks at how much each route loads.
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: chunkGroups({
            first: src('main.tsx'),
            list: src('projects/projects-page.tsx'),
            project: src('frame/frame.tsx'),
          }),
        },
      },
    },
    modulePreload: { polyfill: false },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:5170' } },
});
