import { applyCommand } from '../src/document/commands/apply.ts';
import type { Readout } from '../src/judged/readout/readout.ts';
import { reportOf } from '../src/judged/readout/report.ts';
import { wholeReadout } from '../src/judged/readout/whole-readout.fixture.ts';
import { resolveSystem, type System } from '../src/system/resolve.ts';
import { hex } from './largest-document.ts';
import { paintedDocument } from './painted-document.ts';
import { percentileOf, reportShare, SMALL, sized } from './report.ts';

// 1,000 roles of which 100 are painted by gradients, 24 themes, 4,000 pairs, 200 gradients of 64 stops.
let document = paintedDocument(SMALL ? 0.1 : 1);

const begin = performance.now();
let system: System = resolveSystem(document);
let readout: Readout = wholeReadout(system);
const counted = performance.now();
const report = JSON.stringify(reportOf(readout, 1, ''));
const written = performance.now();
reportShare('painted: resolved and counted, from nothing', counted - begin, 1500, 'ms');
reportShare('painted: the same and the report as JSON', written - begin, 2000, 'ms');
if (!report.includes('"verdict":"fails"')) throw new Error('Nothing was measured.');

const took: number[] = [];
for (let i = 0; i < sized(40, 3); i++) {
  const result = applyCommand(document, { type: 'setBase', family: `f${i % 64}`, color: hex() });
  if (!result.ok) throw new Error(result.reason);
  document = result.document;
  const start = performance.now();
  system = resolveSystem(document, system);
  readout = wholeReadout(system, readout);
  took.push(performance.now() - start);
}
reportShare('painted: the first step of a base', took[0]!, 100, 'ms');
reportShare('painted: a step of a base, median', percentileOf(took, 0.5), 100, 'ms');
reportShare('painted: a step of a base, 95th percentile', percentileOf(took, 0.95), 100, 'ms');
