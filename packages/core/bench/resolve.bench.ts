import { applyCommand } from '../src/document/commands/apply.ts';
import type { Command } from '../src/document/commands/command.ts';
import { type Readout, readoutOf } from '../src/judged/readout/readout.ts';
import { resolveSystem, type System } from '../src/system/resolve.ts';
import { hex, LARGEST } from './largest-document.ts';
import { percentileOf, reportShare, sized, timeOf } from './report.ts';

const fresh = () => ({ ...LARGEST, families: LARGEST.families.map((family) => ({ ...family })) });
reportShare(
  'resolving the largest document in full',
  timeOf(() => resolveSystem(fresh())),
  50,
  'ms',
);

let system = resolveSystem(LARGEST);
let n = 0;
const change = () => {
  n += 1;
  const at = n % 64;
  const next = { ...system.document, families: [...system.document.families] };
  next.families[at] = { ...next.families[at]!, base: hex() };
  return next;
};
const times: number[] = [];
let seen = 0;
// Once round first, so that the figures are not those of code that the engine has not compiled yet.
for (let i = 0; i < sized(64, 1); i++) system = resolveSystem(change(), system);
const CHANGES = sized(300, 2);
for (let i = 0; i < CHANGES; i++) {
  const next = change();
  const start = performance.now();
  system = resolveSystem(next, system);
  // The gradients of the theme that is shown are read as well, since they are worked out only then.
  for (const gradient of system.themes.get('t0')!.gradients.values()) seen += gradient.colors.length;
  times.push(performance.now() - start);
}
if (seen !== CHANGES * 200 * 64) throw new Error('Not all stops were read.');
reportShare('resolving after one base has changed, median', percentileOf(times, 0.5), 2, 'ms');
reportShare('resolving after one base has changed, 95th percentile', percentileOf(times, 0.95), 2, 'ms');

/** The first of some orders of an edit, then the middle of several, resolved and counted. */
function timesOf(commandFor: (i: number) => Command): { median: number; p95: number } {
  let doc = LARGEST;
  let now: System = resolveSystem(doc);
  let readout: Readout = readoutOf(now);
  const took: number[] = [];
  const warm = sized(20, 0);
  for (let i = 0; i < warm + sized(100, 2); i++) {
    const result = applyCommand(doc, commandFor(i));
    if (!result.ok) throw new Error(result.reason);
    doc = result.document;
    const start = performance.now();
    now = resolveSystem(doc, now);
    readout = readoutOf(now, readout);
    for (const gradient of now.themes.get('t0')!.gradients.values()) seen += gradient.colors.length;
    if (i >= warm) took.push(performance.now() - start);
  }
  return { median: percentileOf(took, 0.5), p95: percentileOf(took, 0.95) };
}

const first = LARGEST.pairs[0]!;
const COMMANDS: Readonly<Record<string, (i: number) => Command>> = {
  setBase: (i) => ({ type: 'setBase', family: `f${i % 64}`, color: hex() }),
  setLink: (i) => ({
    type: 'setLink',
    role: `r${i}`,
    theme: `t${i % 12}`,
    link: { to: 'color', color: hex() },
  }),
  renameRole: (i) => ({ type: 'renameRole', role: `r${i}`, group: ['other'], name: `name-${i}` }),
  addPair: (i) => ({ type: 'addPair', pair: { ...first, id: `new-${i}` } }),
  setGradient: (i) => ({
    type: 'setGradient',
    gradient: `g${i}`,
    change: { space: i % 2 ? 'lab' : 'srgb' },
  }),
  moveStop: (i) => ({
    type: 'moveStop',
    gradient: 'g7',
    stop: 's9',
    places: [{ value: 13 + (i % 10) / 10, unit: '%' }],
  }),
};
for (const [name, commandFor] of Object.entries(COMMANDS)) {
  const { median, p95 } = timesOf(commandFor);
  reportShare(`resolving and counting after ${name}, median`, median, 4, 'ms');
  reportShare(`resolving and counting after ${name}, 95th percentile`, p95, 8, 'ms');
}
