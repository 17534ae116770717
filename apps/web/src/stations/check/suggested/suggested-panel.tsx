import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type { DeclinedPair } from '@mint-lamp/core/document/declined/declined-pair';
import { pairName } from '@mint-lamp/core/document/naming/pair-name';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { measurePair } from '@mint-lamp/core/judged/pairs/measure';
import type { Suggestion } from '@mint-lamp/core/judged/pairs/suggested-pairs';
import clsx from 'clsx';
import { useState } from 'react';
import { newId, useEditing } from '../../../store/editing.ts';
import { useLayers, useSystem, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/text-field.tsx';

const FROM = { names: 'by their names', scene: 'on a scene' } as const;

/** The suggested pairs one by one, each to be made or declined with a reason; and what was declined. */
export default function SuggestedPanel({ suggestions }: { suggestions: readonly Suggestion[] }) {
  const { document } = useSystem();
  return (
    <div className="flex w-[460px] flex-col gap-3">
      {suggestions.length ? (
        <ul aria-label="Suggested pairs" className="divide-y divide-hair border-y border-hair">
          {suggestions.map((one) => (
            <Suggested key={`${one.from} ${pairName(document, one.pair)}`} suggestion={one} />
          ))}
        </ul>
      ) : (
        <p className="text-quiet">Nothing to suggest: every text on your pages has its pair.</p>
      )}
      {document.declined.length > 0 && (
        <section aria-label="Declined">
          <h3 className="mb-0.5 text-sm text-quiet">Declined, as the report says</h3>
          <ul>
            {document.declined.map((one) => (
              <Declined key={one.id} declined={one} />
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function Suggested({ suggestion: { pair, from } }: { suggestion: Suggestion }) {
  const { edit } = useEditing();
  const system = useSystem();
  const theme = useTheme();
  const [declining, setDeclining] = useState(false);
  const { document } = system;
  const { text, ground, ratio, passes } = measurePair(system, theme, pair, useLayers());
  const name = pairName(document, pair);
  const css = (c: typeof text) => (c ? `rgb(${c.r} ${c.g} ${c.b})` : undefined);
  return (
    <li className="py-1.5">
      <div className="flex items-center gap-2">
        <span
          aria-hidden
          data-specimen
          className="grid h-7 w-14 shrink-0 place-content-center rounded-[4px] border border-hair font-semibold"
          style={{ background: css(ground), color: css(text) }}
        >
          {ratio ? formatRatio(ratio) : ''}
        </span>
        <span className="min-w-0 flex-1">
          <span className="block truncate" title={name}>
            {name}
          </span>
          <span className={clsx('block text-sm', passes ? 'text-quiet' : 'text-fail')}>
            {FROM[from]}, {pair.size} px; {ratio ? formatRatio(ratio) : 'no ratio'} in {theme.theme.name}
          </span>
        </span>
        <Button small aria-label={`Add ${name}`} onClick={() => edit({ type: 'addPair', pair })}>
          Add
        </Button>
        <Button
          small
          look="quiet"
          aria-expanded={declining}
          aria-label={`Decline ${name}`}
          onClick={() => setDeclining(!declining)}
        >
          Decline …
        </Button>
      </div>
      {declining && (
        <TextField
          label={`Why you decline ${name}; the report says it`}
          value=""
          className="mt-1"
          whileTyping={() => 'Press Enter to decline'}
          onCommit={(reason) => {
            if (!reason) return 'A reason is needed';
            const { foreground, background } = pair;
            edit({ type: 'declinePair', declined: { id: newId(), foreground, background, reason } });
            return null;
          }}
        />
      )}
    </li>
  );
}

function Declined({ declined: { id, foreground, background, reason } }: { declined: DeclinedPair }) {
  const { edit } = useEditing();
  const { document } = useSystem();
  const name = `${roleNameIn(document.roles, foreground)} on ${roleNameIn(document.roles, background)}`;
  return (
    <li className="flex items-center gap-2 py-0.5">
      <span className="min-w-0 flex-1">
        <span className="block truncate">{name}</span>
        <span className="block text-sm text-quiet">{reason}</span>
      </span>
      <Button
        small
        look="quiet"
        aria-label={`Suggest ${name} again`}
        onClick={() => edit({ type: 'reconsiderPair', declined: id })}
      >
        Suggest again
      </Button>
    </li>
  );
}
