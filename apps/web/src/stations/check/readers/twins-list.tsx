import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { partingOf, type ReaderTwins, readerTwins } from '@mint-lamp/core/judged/readers/reader-twins';
import { simulate } from '@mint-lamp/core/vision/simulate';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { percentOfPeople, WITH } from '../../../links/twins-warning.tsx';
import { useEditing } from '../../../store/editing.ts';
import { useLayers, useProjectId, useSystem, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

/** Lines that are drawn at first, those of the commonest deficiency. */
const MOST = 12;

/** Colours that say different things and cannot be told apart by somebody, with the least change that parts them. */
export function TwinsList({ severity }: { severity: number }) {
  const system = useSystem();
  const theme = useTheme();
  const twins = useMemo(() => readerTwins(system, theme, severity), [system, theme, severity]);
  return (
    <section aria-label="Told apart by colour" className="px-5 pb-6">
      <h2 className="mb-1 font-title font-semibold">Colours that carry meaning</h2>
      {twins.length ? (
        <>
          <p className="mb-1 text-sm text-quiet">
            These mean different things, and somebody cannot tell them apart. A word or an icon beside the
            colour helps too.
          </p>
          <ul className="divide-y divide-hair border-y border-hair">
            {twins.slice(0, MOST).map((one) => (
              <Twins key={`${one.a} ${one.b} ${one.deficiency}`} twins={one} severity={severity} />
            ))}
          </ul>
          {twins.length > MOST && (
            <p className="pt-1 text-sm text-quiet">and {twins.length - MOST} more, of rarer kinds</p>
          )}
        </>
      ) : (
        <p className="text-quiet">
          No two roles that say different things in {theme.theme.name} become the same for anyone. Roles of
          one name in sister groups, such as notice.delay.text and notice.cancelled.text, are looked at.
        </p>
      )}
    </section>
  );
}

function Twins({ twins, severity }: { twins: ReaderTwins; severity: number }) {
  const { a, b, deficiency, people } = twins;
  const system = useSystem();
  const theme = useTheme();
  const id = useProjectId();
  const { edit } = useEditing();
  const { document } = system;
  const layers = useLayers();
  const parting = useMemo(
    () => partingOf(system, theme, twins, severity, layers),
    [system, theme, twins, severity, layers],
  );
  const colors = [a, b].map((role) => theme.roles.get(role)!.color!);
  const seen = colors.map((color) => {
    const { r, g, b: blue } = simulate(color, deficiency, severity);
    return `rgb(${r} ${g} ${blue})`;
  });
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
      <Both css={[colors[0]!.css, colors[1]!.css]} says="as they are" />
      <Both css={[seen[0]!, seen[1]!]} says="as seen" />
      <span className="min-w-0 flex-1">
        {[a, b].map((role, i) => (
          <span key={role}>
            {i > 0 && ' and '}
            <Link
              to={addressOf(id, 'assign', role)}
              className="inline-flex min-h-[24px] items-center hover:underline"
            >
              {roleNameIn(document.roles, role)}
            </Link>
          </span>
        ))}
        <span className="block text-sm text-quiet">
          with {WITH[deficiency]}, {percentOfPeople(people)} of people
        </span>
      </span>
      {parting ? (
        <Button
          small
          onClick={() =>
            edit({ type: 'setLink', role: parting.role, theme: parting.theme, link: parting.link })
          }
        >
          Use {linkName(document, parting.link)} for {roleNameIn(document.roles, parting.role)}
        </Button>
      ) : (
        <span className="text-sm text-quiet">No single shade sets them apart.</span>
      )}
    </li>
  );
}

const Both = ({ css, says }: { css: readonly [string, string]; says: string }) => (
  <span className="flex shrink-0 flex-col items-center text-sm text-quiet">
    <span className="flex">
      <ColorChip css={css[0]} className="h-6 w-9 rounded-r-none" />
      <ColorChip css={css[1]} className="h-6 w-9 rounded-l-none" />
    </span>
    {says}
  </span>
);
