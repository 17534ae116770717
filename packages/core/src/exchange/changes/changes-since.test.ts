import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { Command } from '../../document/commands/command.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { changedLines } from './changed-lines.ts';
import { writeChangesList } from './changes-list.ts';
import { writeChangesPage } from './changes-page.ts';
import { changesSince, isUnchanged } from './changes-since.ts';
import { searchPairs, writeRenameScript } from './rename-script.ts';

const since = (commands: readonly Command[], prefix = '', base = SKERRY_LINE) =>
  changesSince(
    { system: resolveSystem(base), prefix: '' },
    { system: resolveSystem(after(base, ...commands)), prefix },
  );

describe('what changed since a hand-over', () => {
  it('is nothing where nothing did, and nothing that files do not tell', () => {
    expect(isUnchanged(since([]))).toBe(true);
    expect(isUnchanged(since([{ type: 'setWords', words: { text: 'x', action: null } }]))).toBe(true);
  });

  it('is each value with what it was, by theme, and ratios with whether they pass', () => {
    const { values, ratios, renamed, removed } = since([
      {
        type: 'setLink',
        role: 'text-main',
        theme: 'day',
        link: { to: 'shade', family: 'shingle', shade: '300' },
      },
    ]);
    expect(values).toEqual([
      {
        kind: 'role',
        name: 'text.main',
        property: '--text-main',
        theme: 'Day sailing',
        was: '#07191e',
        is: '#a7b1b0',
      },
    ]);
    expect(ratios.every(({ theme, pair }) => theme === 'Day sailing' && pair.startsWith('text.main'))).toBe(
      true,
    );
    expect(ratios.find(({ pair }) => pair === 'text.main on page.ground')).toMatchObject({
      was: '16.80',
      passed: true,
      passes: false,
    });
    expect([renamed, removed]).toEqual([[], []]);
  });

  it('is new names, also where two change places, and what to put instead of what is gone', () => {
    const changes = since([
      { type: 'renameRole', role: 'text-main', group: ['text'], name: 'tmp' },
      { type: 'renameRole', role: 'text-quiet', group: ['text'], name: 'main' },
      { type: 'renameRole', role: 'text-main', group: ['text'], name: 'quiet' },
      { type: 'renameTheme', theme: 'night', name: 'By night' },
      { type: 'retireRole', role: 'text-link', instead: 'action.fill' },
    ]);
    expect(changes.renamed).toEqual([
      { kind: 'theme', from: 'night-sailing', to: 'by-night' },
      { kind: 'property', from: '--text-main', to: '--text-quiet' },
      { kind: 'property', from: '--text-quiet', to: '--text-main' },
    ]);
    const retired = after(SKERRY_LINE, { type: 'retireRole', role: 'text-link', instead: 'accent.fill' });
    const gone = since(
      [
        { type: 'removePair', pair: 'text-link-on-page-ground' },
        { type: 'removeRole', role: 'text-link' },
      ].filter(({ type }) => type === 'removeRole') as Command[],
      '',
      retired,
    );
    expect(gone.removed).toEqual([
      {
        property: '--text-link',
        name: 'text.link',
        instead: '--accent-fill',
        why: 'it was retired for that',
      },
    ]);
    expect(since([{ type: 'removeRole', role: 'text-link' }]).removed[0]).toMatchObject({
      instead: '--action-fill',
      why: 'it has the same colours',
    });
  });

  it('is put into files in one pass by the script, longer names untouched', () => {
    const changes = since([{ type: 'renameRole', role: 'text-main', group: ['text'], name: 'body' }], 'sk');
    expect(searchPairs(changes)[0]!.search.length).toBeGreaterThan(10);
    const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-rename-'));
    writeFileSync(join(folder, 'rename.mjs'), writeRenameScript('*/ \n process.exit(3)', changes));
    const sheet = join(folder, 'own.css');
    writeFileSync(sheet, 'a { color: var(--text-main); top: var(--text-main-2); left: var(--text-quiet) }');
    const { stdout, status } = spawnSync('node', [join(folder, 'rename.mjs'), sheet], { encoding: 'utf8' });
    expect([status, stdout.trim().endsWith(': 2')]).toEqual([0, true]);
    expect(readFileSync(sheet, 'utf8')).toBe(
      'a { color: var(--sk-text-body); top: var(--text-main-2); left: var(--sk-text-quiet) }',
    );
    rmSync(folder, { recursive: true });
  });

  it('is told as a list and as a page, in which no name does anything', () => {
    const odd = after(SKERRY_LINE, { type: 'renameProject', name: '</title><script>1</script>' });
    const changes = since([{ type: 'setBase', family: 'buoy', color: '#aa3311' }]);
    expect(writeChangesList(odd.name, '14 June', changes)).toMatch(
      /`--buoy-\d+` \(Buoy \d+\): #.{6} → #.{6}/,
    );
    const page = writeChangesPage(odd.name, '14 June', changes);
    expect(page).not.toContain('<script>');
    expect(page).toContain('before and after');
    expect(writeChangesPage('x', 'y', since([]))).toContain('No colour is another than it was.');
  });
});

describe('changed lines', () => {
  it('are those that were not there', () => {
    expect(changedLines('a\nb\nc', 'a\nx\nc\nd')).toEqual([1, 3]);
    expect(changedLines('a', 'a')).toEqual([]);
    expect(changedLines('', 'x\n'.repeat(30_000))).toBeNull();
  });
});
