import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const BROUGHT =
  /\/(rolldown-runtime|jsx-runtime|react-dom|popover|createLucideIcon|dist|chevron-\w+|plus|x|trash-2|search|command|confirm|color-chip|addresses|area|same|use-resting|use-focus-once|use-settled|severity-track|seeing-filters|readers|plain-link|check-header|number-field|copy-button|save-file|when-saved|part|line|link-name|icon-button|choice)-[^/]+\.js$/;

const OF_EVERY_PROJECT = new RegExp(
  [
    'node_modules/(redux|immer|redux-thunk|@reduxjs|use-sync-external-store|react-redux)/',
    String.raw`core/src/(color/(mix|split|computed|parse|write|difference)|contrast/(ratio|targets)|family/(growth|drawn|recipes|grow))\.ts`,
    String.raw`core/src/(harmony/relations|gradient/(interpolate|area)|system/names)\.ts`,
    String.raw`core/src/system/(commands/(lists|apply|refusal|describe)|links/circles|project/sample-words|notes/note(-name)?)\.ts`,
    String.raw`core/src/system/\w+/\w+-commands\.ts`,
    String.raw`core/src/system/resolve/(by-id|follow|resolve|painted)\.ts`,
    String.raw`core/src/system/roles/(role|role-name|resolved-role)\.ts`,
    String.raw`core/src/system/pairs/(pair|pair-name|layered|regions|measure)\.ts`,
    String.raw`core/src/system/readout/(alike|broken|readout)\.ts`,
    String.raw`core/src/system/gradients/(gradient|lost-stops|theme-gradients|resolved-gradient)\.ts`,
    String.raw`core/src/system/families/(following|growth-ground|resolved-family|resolved-families)\.ts`,
    String.raw`core/src/system/(declined/declined-pair|pictures/picture|rounds/round|tray/swatch)\.ts`,
    String.raw`web/src/store/(interface-slice|project-slice|store|known-regions|systems|selectors|editing|use-settled)\.ts`,
  ].join('|'),
);

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: {
      output: {
        // What every open project needs comes as one, since many small files weigh more than one of the same.
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ name: 'project', test: OF_EVERY_PROJECT }],
        },
      },
    },
    modulePreload: {
      polyfill: false,
      // What the first script has brought along needs not be named with every part, nor what is a few hundred bytes.
      resolveDependencies: (_, deps) => deps.filter((name) => !BROUGHT.test(name)),
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:5170' } },
});
