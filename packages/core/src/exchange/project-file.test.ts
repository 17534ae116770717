import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../test/runs.ts';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { anyDocument } from '../document/commands/random-document.fixture.ts';
import { DOCUMENT_VERSION } from '../document/version.ts';
import { HOSTILE } from './hostile-names.fixture.ts';
import { type FiledProject, readDocumentText, readProjectFile, writeProjectFile } from './project-file.ts';

const back = (project: FiledProject) => {
  const result = readProjectFile(writeProjectFile(project));
  if (!result.ok) throw new Error(result.reason);
  return result.project;
};
const filed = (front: unknown, more: Record<string, Uint8Array> = {}) =>
  readProjectFile(zipSync({ 'project.json': strToU8(JSON.stringify(front)), ...more }));
const SIGNED = { is: 'a project of Mint Lamp' };

describe('a project file', () => {
  it('comes back as it was, and is written again in the same bytes, whatever the project', () => {
    fc.assert(
      fc.property(anyDocument, anyDocument, (document, earlier) => {
        const pictures = document.pictures.map(({ content }, i) => ({
          content,
          bytes: Uint8Array.of(i, 2, 3),
        }));
        const unique = pictures.filter(
          ({ content }, i) => pictures.findIndex((p) => p.content === content) === i,
        );
        const project = {
          document,
          checkpoints: [{ name: 'Before', at: '2026-06-14T08:15:00.000Z', document: earlier }],
          pictures: unique,
        };
        const read = back(project);
        expect(read.document).toEqual(document);
        expect(read.checkpoints).toEqual(project.checkpoints);
        expect(writeProjectFile(read)).toEqual(writeProjectFile({ ...project, pictures: read.pictures }));
        expect(read.pictures.length).toBe(unique.length);
      }),
      { numRuns: runs(1000) },
    );
  });

  it('holds names that mean something elsewhere', () => {
    expect(back({ document: HOSTILE, checkpoints: [], pictures: [] }).document).toEqual(HOSTILE);
  });

  test.each([
    [Uint8Array.of(1, 2, 3), /no zip, or a broken one/],
    [writeProjectFile({ document: SKERRY_LINE, checkpoints: [], pictures: [] }).slice(0, -40), /broken/],
    [zipSync({ 'a.txt': strToU8('x') }), /project.json is missing/],
    [zipSync({ 'project.json': strToU8('{') }), /project.json is no JSON/],
  ])('%#: what is none says why', (bytes, reason) => {
    const result = readProjectFile(bytes);
    expect(result.ok ? '' : result.reason).toMatch(reason);
  });

  test.each<[object, RegExp]>([
    [{ document: SKERRY_LINE }, /no project file of Mint Lamp/],
    [{ ...SIGNED, document: { ...SKERRY_LINE, version: DOCUMENT_VERSION + 1 } }, /newer version/],
    [{ ...SIGNED, document: { ...SKERRY_LINE, roles: 7 } }, /"roles" must be an array/],
    [{ ...SIGNED, document: SKERRY_LINE, checkpoints: [{ name: 'x' }] }, /checkpoints-1.json is missing/],
    [{ ...SIGNED }, /no project/],
  ])('%#: what is in it is checked', (front, reason) => {
    const result = filed(front);
    expect(result.ok ? '' : result.reason).toMatch(reason);
  });

  it('is of an earlier version too, and is not unpacked where it says to be endless', () => {
    const { delivery: _, ...old } = SKERRY_LINE;
    const result = filed({ ...SIGNED, document: { ...old, version: 7 } });
    expect(result.ok && result.project.document).toEqual(SKERRY_LINE);
    const bomb = zipSync({ 'project.json': [new Uint8Array(80_000_000), { level: 9 }] });
    expect(bomb.length).toBeLessThan(200_000);
    const refused = readProjectFile(bomb);
    expect(refused.ok ? '' : refused.reason).toMatch(/larger than a project can be/);
  });

  it('is a document alone on a command line', () => {
    expect(readDocumentText(JSON.stringify(SKERRY_LINE))).toMatchObject({ ok: true });
    expect(readDocumentText(JSON.stringify({ id: 'x', document: SKERRY_LINE }))).toMatchObject({ ok: true });
    expect(readDocumentText('[')).toMatchObject({ ok: false, reason: expect.stringMatching(/no JSON/) });
  });
});
