import { emptyDocument } from '@mint-lamp/core/document/document';
import { NEW_THEMES } from '@mint-lamp/core/document/themes/new-themes';
import { ApiProvider } from '@reduxjs/toolkit/query/react';
import { type ComponentType, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../fetching/api.ts';
import { useJob } from '../jobs/use-job.ts';
import type { Cast } from '../jobs/work/begin-system.ts';
import { BEGIN_WAYS, type BeginWay, BeginWays } from '../projects/begin-ways.tsx';
import { HintProvider } from '../ui/hint.tsx';
import { Mark } from '../ui/mark.tsx';
import { Failure } from '../ui/notice.tsx';
import { part } from '../ui/part.tsx';
import { Progress } from '../ui/progress.tsx';
import { useFocusKept } from '../ui/use-focus-kept.ts';
import { BeginBar } from './begin-bar.tsx';
import { ShownSystem } from './shown-system.tsx';
import type { ToBeginWith, WayProps } from './to-begin-with.ts';

const WAYS: Readonly<Record<BeginWay, ComponentType<WayProps>>> = {
  text: part(() => import('./from-text.tsx')),
  picture: part(() => import('./from-picture.tsx')),
  sheet: part(() => import('./from-sheet.tsx')),
  colour: part(() => import('./from-color.tsx')),
  set: part(() => import('./from-set.tsx')),
  nothing: part(() => import('./from-nothing.tsx')),
};

const wayOf = (text: string | undefined): BeginWay => BEGIN_WAYS.find(({ id }) => id === text)?.id ?? 'text';

/** A project begins: with what one has, and with what it comes to beside it. */
export default function BeginPage() {
  const way = wayOf(useParams().from);
  const [name, setName] = useState('');
  return (
    <ApiProvider api={api}>
      <HintProvider>
        <Begin key={way} way={way} name={name} onName={setName} />
      </HintProvider>
    </ApiProvider>
  );
}

const EMPTY = emptyDocument('', NEW_THEMES);

interface BeginProps {
  way: BeginWay;
  name: string;
  onName: (name: string) => void;
}

function Begin({ way, name, onName }: BeginProps) {
  const [begin, setBegin] = useState<ToBeginWith | null>(null);
  const [cast, setCast] = useState<Cast | null>(null);
  // Other colours are cast anew.
  const take = useCallback((next: ToBeginWith | null) => {
    setBegin(next);
    setCast(null);
  }, []);
  const given = useMemo(
    () => (begin && cast && begin.given.of === 'colors' ? { ...begin.given, cast } : (begin?.given ?? null)),
    [begin, cast],
  );
  const whole = useMemo(() => begin && given && { ...begin, given }, [begin, given]);
  const called = useDeferredValue(name.trim() || begin?.name || '');
  const input = useMemo(() => given && { document: { ...EMPTY, name: called }, given }, [given, called]);
  const job = useJob('beginSystem', input);
  const begun = given ? job.result : null;
  useFocusKept();
  const Way = WAYS[way];
  return (
    <main className="mx-auto flex min-h-full max-w-[1240px] flex-col px-6 pt-6">
      <header className="mb-4 flex items-center gap-3">
        <Mark className="size-10" />
        <h1 className="flex-1 font-title text-2xl leading-none font-semibold">A new project</h1>
        <Link to="/" className="underline underline-offset-2">
          All projects
        </Link>
      </header>
      <BeginWays open={way} />
      <div className="grid flex-1 items-start gap-x-8 gap-y-5 py-5 lg:grid-cols-[minmax(0,430px)_1fr]">
        <section aria-label="What you have" className="min-w-0">
          <Way onGiven={take} />
        </section>
        <section aria-label="What it comes to" aria-busy={job.busy} className="min-w-0">
          {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
          {begun && !job.fault ? (
            <ShownSystem begun={begun} name={called} onCast={setCast} />
          ) : job.busy ? (
            <p className="flex items-center gap-3 text-quiet">
              Working it out …
              <Progress label="How far it is worked out" value={job.progress || null} className="w-48" />
            </p>
          ) : (
            <Nothing />
          )}
        </section>
      </div>
      <BeginBar name={name} onName={onName} begin={whole} begun={job.busy || job.fault ? null : begun} />
    </main>
  );
}

/** What will stand here, before there is a colour. */
function Nothing() {
  return (
    <div className="grid min-h-64 place-content-center gap-1 rounded-md border border-dashed border-hair px-6 text-center">
      <p className="font-title text-lg font-semibold">Your page appears here, light and dark</p>
      <p className="max-w-md text-quiet">
        From the first colour on: families with their shades, named roles in both themes, text that can be
        read, and CSS to copy.
      </p>
    </div>
  );
}
