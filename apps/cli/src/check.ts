import type { ContrastReport, ReportedPair } from '@mint-lamp/core/judged/readout/report';
import { Fault, FOUND, WELL } from './fault.ts';
import { readFlags } from './flags.ts';
import { apiOf, asked, readSource, splitPlace } from './source.ts';

/** A pair of a theme that falls short, or whose colours are missing. */
const isBad = ({ verdict }: ReportedPair) => verdict === 'fails' || verdict === 'broken';

/** Every pair in every theme: by the server, which has the pictures; of a file or a checkpoint, here. */
async function reportOn(place: string): Promise<ContrastReport> {
  const { at, checkpoint } = splitPlace(place);
  const api = apiOf(at);
  if (api && checkpoint === null) return asked<ContrastReport>(`${api}/report`);
  const { document, revision } = await readSource(place);
  const [{ resolveSystem }, { readoutOf }, { reportOf }, { underTexts }] = await Promise.all([
    import('@mint-lamp/core/system/resolve'),
    import('@mint-lamp/core/judged/readout/readout'),
    import('@mint-lamp/core/judged/readout/report'),
    import('@mint-lamp/core/judged/pairs/under-text'),
  ]);
  const readout = readoutOf(resolveSystem(document), undefined, underTexts);
  return reportOf(readout, revision, new Date().toISOString());
}

function asText({ project, themes, passing, of }: ContrastReport): string {
  const lines = themes.flatMap(({ name, pairs }) =>
    pairs
      .filter((pair) => isBad(pair) || pair.verdict === 'unmeasured')
      .map((pair) => {
        const said =
          pair.verdict === 'unmeasured'
            ? 'not measured: it lies over a picture'
            : `${pair.ratio ?? 'no colour'} of ${pair.required}`;
        return `${isBad(pair) ? 'FAILS' : '     '}  ${name}: ${pair.text} on ${pair.ground}, ${said} (${pair.target}, ${pair.size} px)`;
      }),
  );
  return `${[...lines, `${project}: ${passing} of ${of} measurements pass.`].join('\n')}\n`;
}

const xml = (text: string) =>
  text
    .replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

/** The form that builds read: a suite for each theme, a case for each pair. */
function asJunit({ project, themes }: ContrastReport): string {
  const suites = themes.map(({ name, pairs }) => {
    const cases = pairs.map((pair) => {
      const open = `    <testcase classname="${xml(name)}" name="${xml(`${pair.text} on ${pair.ground}`)}"`;
      if (isBad(pair)) {
        const message = `${pair.ratio ?? 'no colour'} of ${pair.required}, ${pair.target}, ${pair.size} px`;
        return `${open}>\n      <failure message="${xml(message)}"/>\n    </testcase>`;
      }
      return pair.verdict === 'passes' ? `${open}/>` : `${open}>\n      <skipped/>\n    </testcase>`;
    });
    const count = (test: (pair: ReportedPair) => boolean) => pairs.filter(test).length;
    const skipped = count((pair) => pair.verdict === 'exempt' || pair.verdict === 'unmeasured');
    return `  <testsuite name="${xml(name)}" tests="${pairs.length}" failures="${count(isBad)}" skipped="${skipped}">\n${cases.join('\n')}\n  </testsuite>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<testsuites name="${xml(`${project}: contrast`)}">\n${suites.join('\n')}\n</testsuites>\n`;
}

const FORMATS = {
  text: asText,
  json: (report: ContrastReport) => `${JSON.stringify(report, null, 2)}\n`,
  junit: asJunit,
} as const;

/** `mint-lamp check`: measures every pair, and fails where one falls short. */
export async function run(args: readonly string[]): Promise<number> {
  const { places, values } = readFlags(args, ['format']);
  const [place] = places;
  if (!place || places.length > 1) throw new Fault('Say one project: a project file, or its address.');
  const { format = 'text' } = values;
  if (!Object.hasOwn(FORMATS, format))
    throw new Fault(`"${format}" is no format: write one of ${Object.keys(FORMATS).join(', ')}.`);
  const report = await reportOn(place);
  process.stdout.write(FORMATS[format as keyof typeof FORMATS](report));
  return report.themes.some(({ pairs }) => pairs.some(isBad)) ? FOUND : WELL;
}
