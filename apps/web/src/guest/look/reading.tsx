import type { ShownTheme } from '@mint-lamp/core/exchange/people/client-view';
import type { ReportedPair } from '@mint-lamp/core/judged/readout/report';
import { GuestSection } from '../guest-frame.tsx';

const SAYS = {
  passes: 'can be read',
  fails: 'is hard to read',
  broken: 'has no colour',
  exempt: 'doesn’t need to be read',
  unmeasured: 'was not measured',
} as const;

const isGood = ({ verdict }: ReportedPair) => verdict === 'passes' || verdict === 'exempt';

/** A text on its ground in words, with the letters themselves. */
function Row({ pair }: { pair: ReportedPair }) {
  const { text, ground, textColor, groundColor, ratio, required, verdict } = pair;
  return (
    <li className="flex items-center gap-3 border-b border-hair py-2">
      <span
        aria-hidden
        data-specimen
        className="grid h-10 w-14 shrink-0 place-content-center rounded-md border border-hair text-lg font-semibold"
        style={{ color: textColor ?? undefined, background: groundColor ?? undefined }}
      >
        Aa
      </span>
      <span className="min-w-0 flex-1 text-base">
        <b className="font-semibold break-words">
          {text} on {ground}
        </b>{' '}
        <span className={verdict === 'fails' || verdict === 'broken' ? 'text-fail' : 'text-quiet'}>
          {SAYS[verdict]}
          {ratio !== null && verdict !== 'exempt' && `: ${ratio} where ${required} is needed`}
        </span>
      </span>
    </li>
  );
}

/** Whether texts can be read, in every theme, what cannot first; all of them where `whole`. */
export function Reading({ themes, whole = false }: { themes: readonly ShownTheme[]; whole?: boolean }) {
  const bad = themes.reduce((sum, { pairs }) => sum + pairs.filter((pair) => !isGood(pair)).length, 0);
  const of = themes.reduce((sum, theme) => sum + theme.of, 0);
  if (!of) return null;
  return (
    <GuestSection
      title="Can it be read?"
      says={
        bad
          ? `${of - bad} of ${of} texts can be read, by the contrast that WCAG 2.2 asks for. The others stand here first.`
          : `All ${of} texts can be read, by the contrast that WCAG 2.2 asks for.`
      }
    >
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
        {themes.map(({ name, pairs }) => (
          <div key={name}>
            <h3 className="text-base font-semibold">{name}</h3>
            <ul>
              {pairs
                .filter((pair) => !isGood(pair))
                .map((pair) => (
                  <Row key={pair.pair} pair={pair} />
                ))}
            </ul>
            <details open={whole} className="mt-1">
              <summary className="min-h-9 cursor-pointer py-1.5 text-base">
                {pairs.filter(isGood).length} that can be read
              </summary>
              <ul>
                {pairs.filter(isGood).map((pair) => (
                  <Row key={pair.pair} pair={pair} />
                ))}
              </ul>
            </details>
          </div>
        ))}
      </div>
    </GuestSection>
  );
}
