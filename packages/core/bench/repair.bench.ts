import { applyCommand } from '../src/document/commands/apply.ts';
import type { SimpleCommand } from '../src/document/commands/command.ts';
import type { ProjectDocument } from '../src/document/document.ts';
import { repairAll, repairCommands } from '../src/edits/repairs/repair-all.ts';
import { drain } from '../src/in-parts/drain.ts';
import { readoutOf } from '../src/judged/readout/readout.ts';
import { resolveSystem } from '../src/system/resolve.ts';
import { LARGEST } from './largest-document.ts';
import { reportShare, sized, timeOf } from './report.ts';

function repaired(doc: ProjectDocument) {
  return drain(repairAll(resolveSystem(doc)));
}

function after(doc: ProjectDocument, commands: readonly SimpleCommand[]): ProjectDocument {
  let next = doc;
  for (let i = 0; i < commands.length; i += 1000) {
    const result = applyCommand(next, {
      type: 'batch',
      label: 'x',
      commands: commands.slice(i, i + 1000),
    });
    if (!result.ok) throw new Error(result.reason);
    next = result.document;
  }
  return next;
}

// 500 roles in 4 themes, mended as far as one can; then some of the links as they were before, until 400 measurements fail.
const themes = LARGEST.themes.slice(0, 4);
const four: ProjectDocument = {
  ...LARGEST,
  themes,
  roles: LARGEST.roles.map((role, i) => ({
    ...role,
    links: Object.fromEntries(
      themes.map(({ id }, t) => [
        id,
        i < 100
          ? { to: 'shade' as const, family: `f${(i * 7 + t) % 64}`, shade: String(10 * (1 + (i % 4))) }
          : role.links[id]!,
      ]),
    ),
  })),
  // Texts on grounds, as they are: a hundred light grounds, and each other role on two to five of them.
  pairs: LARGEST.pairs.slice(0, sized(1500, 150)).map((pair, i) => ({
    ...pair,
    foreground: `r${100 + (i % 400)}`,
    background: `r${1 + ((i * 37) % 99)}`,
  })),
};
const whole = repaired(four);
const mended = after(four, repairCommands(whole.repairs));
const failingIn = (doc: ProjectDocument) => {
  const { passingOverall, pairs } = readoutOf(resolveSystem(doc));
  return pairs * themes.length - passingOverall;
};
const left = failingIn(mended);
let broken = mended;
for (let i = 0; i < whole.repairs.length && failingIn(broken) < left + sized(400, 20); i++) {
  const { role, theme, from } = whole.repairs[(i * 7) % whole.repairs.length]!;
  broken = after(broken, [{ type: 'setLink', role, theme, link: from }]);
}
const failing = failingIn(broken);
reportShare(
  `repairing ${failing} failing measurements of 500 roles in 4 themes, ${left} of which nothing mends`,
  timeOf(() => repaired(broken), 3),
  1000,
  'ms',
);
reportShare(
  `the same where ${whole.failing} fail to begin with`,
  timeOf(() => repaired(four), 1),
  10_000,
  'ms',
);
