import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const BROUGHT =
  /\/(rolldown-runtime|jsx-runtime|react-dom|popover|createLucideIcon|dist|chevron-\w+|plus|x|trash-2|search|command|confirm|color-chip|addresses|area|same|use-resting|use-focus-once|use-settled|severity-track|seeing-filters|readers|plain-link|check-header|number-field|copy-button|save-file|when-saved|part|line|link|link-name|icon-button|choice|painted-text|family-place|page-header|use-theme-switch|new-family|unseen-scene|light-axis|near-shades)-[^/]+\.js$/;

const OF_EVERY_PROJECT = new RegExp(
  [
    'node_modules/(redux|immer|redux-thunk|@reduxjs|use-sync-external-store|react-redux)/',
    String.raw`core/src/(color/(mix|split|computed|parse|write|difference|describe)|contrast/(ratio|targets)|family/(growth|drawn|recipes|grow))\.ts`,
    String.raw`core/src/(harmony/relations|gradient/(interpolate|area|write-css)|picture/leanings)\.ts`,
    // What is stored, but for what checks and migrates it.
    'core/src/document/(?!schema/|versions/|document-schema|commands/command-schema|commands/command\\.|coherence/coherence|naming/find-targets|version)',
    String.raw`core/src/system/(by-id|follow|resolve|painted|roles/(role-paint|resolved-role)|pictures/regions|families/(resolved-family|resolved-families|following-base))\.ts`,
    String.raw`core/src/system/gradients/(gradient-css|lost-stops|theme-gradients|resolved-gradient)\.ts`,
    String.raw`core/src/judged/(pairs/(layered|measure|surface)|readout/(alike|broken|readout))\.ts`,
    String.raw`web/src/store/(interface-slice|project-slice|store|known-regions|systems|selectors|editing|use-settled)\.ts`,
  ].join('|'),
);

/** What of the interface kit every open project needs, and the list of projects does not. */
const KIT_OF_PROJECTS =
  /node_modules\/@radix-ui\/(react-collection|react-direction|react-slider|number)\/|web\/src\/ui\/track\.tsx/;

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
        // What every open project needs comes as one, since many small files weigh more than one of the same.
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'project', test: OF_EVERY_PROJECT },
            { name: 'kit', test: KIT_OF_PROJECTS },
          ],
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
