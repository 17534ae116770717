import { applyCommand } from '../src/document/commands/apply.ts';
import { commandsBetween } from '../src/edits/compare/commands-between.ts';
import { differencesBetween } from '../src/edits/compare/differences.ts';
import { LARGEST } from './largest-document.ts';
import { reportShare, timeOf } from './report.ts';

const moved = applyCommand(LARGEST, {
  type: 'setBase',
  family: LARGEST.families[0]!.id,
  color: '#6b2147',
});
if (!moved.ok) throw new Error(moved.reason);
reportShare(
  'comparing two states of 500 roles in 12 themes',
  timeOf(() => differencesBetween(LARGEST, moved.document), 5),
  1000,
  'ms',
);
reportShare(
  'the way back between them',
  timeOf(() => commandsBetween(moved.document, LARGEST), 5),
  50,
  'ms',
);
