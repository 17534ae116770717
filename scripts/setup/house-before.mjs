import { existsSync, mkdirSync, readdirSync, symlinkSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';

const PARTS = 'apps packages e2e'.split(' ');

/**
 * The code of an earlier commit, built in a folder of its own, for figures of before beside those of now. It takes the
 * packages that are here. `folder` is made and has to be removed by `removeHouse`.
 */
export function buildHouseOf(commit, folder) {
  run('git', ['worktree', 'add', '--detach', folder, commit], {
    sentence: `There is no commit ${commit} to build.`,
  });
  const packages = join(folder, 'node_modules');
  mkdirSync(packages);
  for (const name of readdirSync(join(ROOT, 'node_modules')))
    if (name !== '@mint-lamp') symlinkSync(join(ROOT, 'node_modules', name), join(packages, name));
  // What is ours is that commit's own.
  mkdirSync(join(packages, '@mint-lamp'));
  for (const part of PARTS) {
    const inside = part === 'e2e' ? ['.'] : readdirSync(join(folder, part));
    for (const name of inside) {
      const at = join(folder, part, name);
      if (existsSync(join(at, 'package.json')))
        symlinkSync(at, join(packages, '@mint-lamp', name === '.' ? part : name));
    }
  }
  // Of a build only what runs: licences are looked for among packages that are there themselves.
  for (const part of ['apps/web', 'apps/server'])
    run('npx', ['vite', 'build'], {
      cwd: join(folder, part),
      sentence: `The build of ${commit} failed.`,
    });
  return folder;
}

export function removeHouse(folder) {
  run('git', ['worktree', 'remove', '--force', folder], { sentence: `${folder} could not be removed.` });
}
