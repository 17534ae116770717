import { SKERRY_LINE } from '../src/demo/skerry-line.ts';
import { emptyDocument } from '../src/document/document.ts';
import { firstSystem } from '../src/edits/first-system.ts';
import { STARTER_PARTS } from '../src/edits/roles/starter-parts.ts';
import { DERIVATIONS } from '../src/edits/themes/derivation.ts';
import { derivedTheme } from '../src/edits/themes/derive-theme.ts';
import { resolveSystem } from '../src/system/resolve.ts';
import { LARGEST } from './largest-document.ts';
import { reportShare, timeOf } from './report.ts';

const demo = resolveSystem(SKERRY_LINE);
const largest = resolveSystem(LARGEST);
for (const way of DERIVATIONS) {
  reportShare(
    `Night from Day, lamp ${way}`,
    timeOf(() => derivedTheme(demo, 'day', way), 10),
    100,
    'ms',
  );
  const from = LARGEST.themes[0]!.id;
  reportShare(
    `the same of 500 roles and 2,000 pairs, ${way}`,
    timeOf(() => derivedTheme(largest, from, way), 1),
    1000,
    'ms',
  );
}

const empty = emptyDocument('Skerry Line', [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
]);
const colors = ['#0b5f6b', '#e2552b', '#d9c7a1', '#7a8483', '#b8234a', '#3f7d3a', '#e0a21a', '#123456'].map(
  (color, i) => ({ name: `Colour ${i + 1}`, color }),
);
let n = 0;
const newId = () => `x${n++}`;
reportShare(
  'a first system of eight colours',
  timeOf(
    () =>
      firstSystem(
        empty,
        { colors, leads: 0, accent: 1, calm: 0.5, level: 'AAA', parts: new Set(STARTER_PARTS) },
        newId,
      ),
    10,
  ),
  100,
  'ms',
);
