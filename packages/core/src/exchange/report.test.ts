import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument, PDFName } from 'pdf-lib';
import { afterAll, describe, expect, it } from 'vitest';
import { MINT_LAMP_INTERFACE } from '../demo/interface.ts';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { after } from '../document/commands/after.fixture.ts';
import { choicesOf } from '../document/delivery/forms.ts';
import type { ProjectDocument } from '../document/document.ts';
import { repairAll, repairCommands } from '../edits/repairs/repair-all.ts';
import { drain } from '../in-parts/drain.ts';
import { allMeasurements } from '../judged/readout/readout.ts';
import { reportOf } from '../judged/readout/report.ts';
import { wholeReadout } from '../judged/readout/whole-readout.fixture.ts';
import { resolveSystem } from '../system/resolve.ts';
import { writeCheckScript } from './check-script.ts';
import { writeCss } from './css.ts';
import { writeReportCsv } from './report-csv.ts';
import { writeReportHtml } from './report-html.ts';
import { writeReportPdf } from './report-pdf.ts';

const AT = '2026-11-26T09:00:00.000Z';
const report = (doc: ProjectDocument) => reportOf(wholeReadout(resolveSystem(doc)), 7, AT);

describe('the report', () => {
  it('has every pair in every theme with the figures that are shown, what fails first', () => {
    const { passing, of, themes, revision } = report(SKERRY_LINE);
    expect([passing, of, revision]).toEqual([33, 36, 7]);
    expect(themes.map(({ name, pairs }) => [name, pairs.length])).toEqual([
      ['Day sailing', 18],
      ['Night sailing', 18],
    ]);
    expect(themes[0]!.pairs[0]).toEqual({
      pair: 'notice-delay-text-on-notice-delay-ground',
      text: 'notice.delay.text',
      ground: 'notice.delay.ground',
      target: 'AA body text',
      size: 16,
      weight: 400,
      ratio: '4.27',
      required: 4.5,
      verdict: 'fails',
      exempt: null,
      failingShare: null,
      textColor: expect.stringMatching(/^#[\da-f]{6}$/),
      groundColor: expect.stringMatching(/^#[\da-f]{6}$/),
    });
    const broken = report(after(SKERRY_LINE, { type: 'removeFamily', family: 'shingle' }));
    expect(broken.themes[0]!.pairs.find(({ verdict }) => verdict === 'broken')).toMatchObject({
      ratio: null,
      textColor: null,
    });
  });

  it('is a page that shows names as text, and a table whose fields are quoted and harmless', () => {
    const odd = after(
      SKERRY_LINE,
      { type: 'renameProject', name: '<b>Skerry</b> & "Line"' },
      { type: 'renameTheme', theme: 'day', name: '=1+1, "day"' },
    );
    const html = writeReportHtml(report(odd));
    expect(html).toContain('&lt;b&gt;Skerry&lt;/b&gt; &amp; &quot;Line&quot;: contrast report');
    expect(html).not.toMatch(/<script|<b>Skerry|https?:/);
    expect(html.match(/<tr class=/g)).toHaveLength(36);
    const lines = writeReportCsv(report(odd)).split('\r\n');
    expect(lines).toHaveLength(38);
    expect(lines[1]).toMatch(
      /^"'=1\+1, ""day""",notice\.delay\.text,notice\.delay\.ground,AA body text,16,400,4\.27,4\.5,fails,/,
    );
  });
});

describe('what is exempt and what was declined', () => {
  const board = SKERRY_LINE.pairs.find(({ foreground }) => foreground === 'board-quiet')!.id;
  const doc = after(
    SKERRY_LINE,
    {
      type: 'setPair',
      pair: board,
      change: { exempt: { as: 'inactive', reason: 'Sailings of <yesterday>.' } },
    },
    {
      type: 'declinePair',
      declined: {
        id: 'd1',
        foreground: 'hero-text',
        background: 'page-raised',
        reason: 'Never met, "so far".',
      },
    },
  );

  it('stand with their reasons in page and table', () => {
    const html = writeReportHtml(report(doc));
    expect(html).toContain('exempt: an inactive control. Sailings of &lt;yesterday&gt;.');
    expect(html).toContain('1 pair is exempt, with the reason');
    expect(html).toMatch(/hero\.text on page\.raised<\/th><td>Never met, &quot;so far&quot;\./);
    const csv = writeReportCsv(report(doc));
    expect(csv).toContain(',exempt,');
    expect(csv).toContain(',inactive,Sailings of <yesterday>.');
    expect(csv).toMatch(/,hero\.text,page\.raised,.*declined,.*"Never met, ""so far""\."/);
  });
});

describe('the check for a build', () => {
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-check-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const run = (doc: ProjectDocument, css = writeCss(resolveSystem(doc)), choices = choicesOf({}, 'css')) => {
    writeFileSync(join(folder, 'check-contrast.mjs'), writeCheckScript(resolveSystem(doc), choices));
    writeFileSync(join(folder, 'colours.css'), css);
    const { status, stdout, stderr } = spawnSync('node', ['check-contrast.mjs', 'colours.css'], {
      cwd: folder,
      encoding: 'utf8',
    });
    return { status, told: stdout + stderr };
  };

  it('names what fails in the delivered CSS just as the core measures it, translucent grounds too', () => {
    for (const doc of [SKERRY_LINE, MINT_LAMP_INTERFACE]) {
      const failing = allMeasurements(wholeReadout(resolveSystem(doc))).filter(({ passes }) => !passes);
      const { status, told } = run(doc);
      expect(told.match(/^FAILS/gm) ?? []).toHaveLength(failing.length);
      expect(status).toBe(failing.length ? 1 : 0);
    }
    expect(run(SKERRY_LINE).told).toContain(
      'FAILS  notice.delay.text on notice.delay.ground in Day sailing: 4.27, needs 4.5 (AA body text)',
    );
  });

  it('follows how the CSS was asked for: every way to a theme, notation and prefix, minified too', () => {
    const system = resolveSystem(SKERRY_LINE);
    const { measured } = wholeReadout(system);
    const failingIn = (theme: string) =>
      measured.get(theme)!.measurements.filter(({ passes }) => !passes).length;
    const contrast = SKERRY_LINE.themes.at(-1)!.id;
    const ways = [
      ['attribute', 'rgb'],
      ['class', 'hsl'],
      ['scheme', 'oklch'],
      ['both', 'hex'],
      ['function', 'hsl'],
    ] as const;
    for (const [themes, code] of ways) {
      const own = { ...choicesOf({}, 'css'), themes, code, contrast, prefix: 'skerry' };
      const choices = {
        ...own,
        text: code === 'hsl' ? ('small' as const) : own.text,
        typed: code === 'hex',
      };
      const { told } = run(SKERRY_LINE, writeCss(system, choices), choices);
      for (const { id, name } of SKERRY_LINE.themes)
        expect(
          told.split('\n').filter((line) => line.startsWith('FAILS') && line.includes(` in ${name}: `)),
          `${themes}, ${code}, ${name}`,
        ).toHaveLength(failingIn(id));
      expect(told).not.toContain('no colour');
    }
  });

  it('says which themes the CSS does not reach', () => {
    const system = resolveSystem(SKERRY_LINE);
    const choices = { ...choicesOf({}, 'css'), themes: 'scheme' as const };
    const extra = after(SKERRY_LINE, {
      type: 'addTheme',
      theme: { id: 'fog', name: 'Fog bank' },
      links: {},
    });
    expect(writeCheckScript(system, choices)).not.toContain('so not measured');
    expect(writeCheckScript(resolveSystem(extra), choices)).toContain('and so not measured: Fog bank.');
  });

  it('measures under veils, asks nothing of what is exempt, and says what it leaves to the report', () => {
    const pair = { ...SKERRY_LINE.pairs[0]!, foreground: 'hero-text' };
    const doc = after(
      SKERRY_LINE,
      { type: 'addPair', pair: { ...pair, id: 'veiled', veil: 'hero-veil' } },
      { type: 'addPair', pair: { ...pair, id: 'free', exempt: { as: 'logotype', reason: 'The name.' } } },
      {
        type: 'addPair',
        pair: {
          ...pair,
          id: 'light',
          backdrop: {
            kind: 'gradient',
            gradient: 'wake',
            width: 90,
            height: 30,
            text: { x: 0, y: 0, width: 90, height: 30 },
          },
        },
      },
    );
    const { measured } = wholeReadout(resolveSystem(doc));
    const { told } = run(doc);
    for (const { id, name } of doc.themes) {
      const veiled = measured.get(id)!.measurements.find(({ pair: { id: own } }) => own === 'veiled')!;
      expect(told.includes(`hero.text on page.ground under hero.veil in ${name}`)).toBe(!veiled.passes);
    }
    expect(told).not.toMatch(/hero\.text on (page\.ground in|Wake)/);
    expect(told).toContain('of 38 measurements fail');
    expect(writeCheckScript(resolveSystem(doc))).toContain('1 pair lies on gradients or pictures');
  });

  it('passes a repaired system, and fails when somebody changes the CSS', () => {
    const all = drain(repairAll(resolveSystem(SKERRY_LINE)));
    const mended = after(SKERRY_LINE, {
      type: 'batch',
      label: 'repair',
      commands: repairCommands(all.repairs),
    });
    expect(run(mended)).toEqual({ status: 0, told: 'All 36 measurements pass.\n' });
    const css = writeCss(resolveSystem(mended)).replace(/--shingle-600: [^;]+;/, '--shingle-600: #a9b2b1;');
    const { status, told } = run(mended, css);
    expect(status).toBe(1);
    expect(told).toMatch(/FAILS {2}text\.quiet on page\.ground in Day sailing: \d\.\d\d, needs 4\.5/);
    // What it cannot read is told with the pair, and a file that is not there as such.
    expect(
      run(mended, css.replace(/--deepwater-700: [^;]+;/, '--deepwater-700: lab(40 20 20);')).told,
    ).toContain('"lab(40 20 20)" is no colour that this script reads');
    const lost = spawnSync('node', ['check-contrast.mjs', 'nowhere.css'], { cwd: folder, encoding: 'utf8' });
    expect([lost.status, lost.stderr]).toEqual([2, expect.stringContaining('nowhere.css cannot be read')]);
  });
});

describe('the report as a PDF', () => {
  it('has a title, a language, every pair on as many pages as it needs, and any name', async () => {
    const many = {
      ...SKERRY_LINE,
      name: 'Σκέρι Line – déjà vu',
      pairs: Array.from({ length: 90 }, (_, i) => ({ ...SKERRY_LINE.pairs[i % 18]!, id: `p${i}` })),
    };
    const bytes = await writeReportPdf(report(many));
    const pdf = await PDFDocument.load(bytes);
    expect(pdf.getTitle()).toBe('Σκέρι Line – déjà vu: contrast report');
    expect(pdf.catalog.get(PDFName.of('Lang'))?.toString()).toBe('(en)');
    // 180 measurements, about 35 to a page.
    expect(pdf.getPageCount()).toBeGreaterThan(4);
    expect(pdf.getPageCount()).toBeLessThan(9);
    expect((await PDFDocument.load(await writeReportPdf(report(SKERRY_LINE)))).getPageCount()).toBe(2);
  });
});
