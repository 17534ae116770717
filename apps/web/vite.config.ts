import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const BROUGHT =
  /\/(rolldown-runtime|jsx-runtime|react-dom|popover|createLucideIcon|dist|chevron-\w+|plus|x|trash-2|search|command|confirm|color-chip|addresses)-[^/]+\.js$/;

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: {
      polyfill: false,
      // What the first script has brought along needs not be named with every part, nor what is a few hundred bytes.
      resolveDependencies: (_, deps) => deps.filter((name) => !BROUGHT.test(name)),
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:5170' } },
});
