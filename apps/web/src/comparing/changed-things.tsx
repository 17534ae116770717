import type {
  Change,
  ColoredDifference,
  Differences,
  ThingDifference,
} from '@mint-lamp/core/edits/compare/differences';
import { type Portion, portionKey, titleOf } from '@mint-lamp/core/edits/compare/parts';
import type { ReactNode } from 'react';
import { BeforeAfter } from './before-after.tsx';
import type { Restoring } from './use-restoring.ts';

/** How many lines of one kind are drawn at first. */
const MOST = 60;

interface ChangedThingsProps {
  differences: Differences;
  /** Null where nothing can be restored. */
  restoring: Restoring | null;
}

/** Everything that differs but the roles: families with their bases, themes, pairs, gradients and the rest. */
export function ChangedThings({ differences, restoring }: ChangedThingsProps) {
  const { name, ground, themes, families, pairs, gradients, lists, orders, words } = differences;
  const { relatives, scenes, delivery } = differences;
  const rest =
    name || ground || words || relatives || scenes || delivery || lists.length > 0 || orders.length > 0;
  const swatches = (one: ColoredDifference) => <BeforeAfter before={one.before} after={one.after} />;
  return (
    <>
      <Kind title="Families" part="family" things={families} restoring={restoring} draw={swatches} />
      <Kind title="Themes" part="theme" things={themes} restoring={restoring} />
      <Kind title="Gradients" part="gradient" things={gradients} restoring={restoring} draw={swatches} />
      <Kind title="Pairs" part="pair" things={pairs} restoring={restoring} />
      {rest && (
        <Section title="The rest">
          {name && (
            <Line part={{ part: 'name' }} restoring={restoring}>
              Name of the project: {name.before}, then {name.after}
            </Line>
          )}
          {ground && (
            <Line part={{ part: 'ground' }} restoring={restoring}>
              Beneath the page: {ground.before}, then {ground.after}
            </Line>
          )}
          {orders.map((list) => (
            <Line key={list} part={{ part: 'order', list }} restoring={restoring}>
              The order of {list}
            </Line>
          ))}
          {lists.map(({ list, words }) => (
            <Line key={list} part={{ part: 'list', list }} restoring={restoring}>
              {titleOf(list)}: {words}
            </Line>
          ))}
          {words && (
            <Line part={{ part: 'words' }} restoring={restoring}>
              The words of samples
            </Line>
          )}
          {relatives && (
            <Line part={{ part: 'relatives' }} restoring={restoring}>
              The relatives and how they were adjusted
            </Line>
          )}
          {scenes && (
            <Line part={{ part: 'scenes' }} restoring={restoring}>
              What paints scenes, and what they say
            </Line>
          )}
          {delivery && (
            <Line part={{ part: 'delivery' }} restoring={restoring}>
              What is chosen at Deliver
            </Line>
          )}
        </Section>
      )}
    </>
  );
}

const WORDS: Readonly<Record<Change, string>> = { added: 'new', removed: 'gone', changed: '' };

interface KindProps<T extends ThingDifference> {
  title: string;
  part: 'family' | 'theme' | 'gradient' | 'pair';
  things: readonly T[];
  restoring: Restoring | null;
  draw?: (thing: T) => ReactNode;
}

function Kind<T extends ThingDifference>({ title, part, things, restoring, draw }: KindProps<T>) {
  if (!things.length) return null;
  return (
    <Section title={title}>
      {things.slice(0, MOST).map((thing) => (
        <Line key={thing.id} part={{ part, id: thing.id }} restoring={restoring}>
          {draw?.(thing)}
          <span className="min-w-0 truncate">{thing.name}</span>
          <span className="text-sm text-quiet">{WORDS[thing.change] || thing.words.join(', ')}</span>
        </Line>
      ))}
      {things.length > MOST && <li className="text-quiet">and {things.length - MOST} more</li>}
    </Section>
  );
}

const Section = ({ title, children }: { title: string; children: ReactNode }) => (
  <section aria-label={title}>
    <h2 className="mb-1 font-title font-semibold">{title}</h2>
    <ul className="divide-y divide-hair border-y border-hair">{children}</ul>
  </section>
);

interface LineProps {
  part: Portion;
  restoring: Restoring | null;
  children: ReactNode;
}

function Line({ part, restoring, children }: LineProps) {
  return (
    <li>
      {restoring ? (
        <label className="flex min-h-8 items-center gap-2 px-1 hover:bg-pressed">
          <input
            type="checkbox"
            checked={restoring.chosen.has(portionKey(part))}
            onChange={({ target }) => restoring.toggle([part], target.checked)}
          />
          {children}
        </label>
      ) : (
        <span className="flex min-h-8 items-center gap-2 px-1">{children}</span>
      )}
    </li>
  );
}
