import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { addressOf, type StationId } from '../addresses.ts';
import { selectDocument, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { useWalk, walkTo } from './walking.ts';

interface Stop {
  readonly station: StationId;
  readonly title: string;
  /** What to do there, on the real thing. */
  readonly try: string;
  readonly see: string;
}

/** Six short stops in the order of the work. */
const STOPS: readonly Stop[] = [
  {
    station: 'grow',
    title: 'Change one base',
    try: 'Drag the square on the first rail left or right.',
    see: 'Its shades follow, and so does everything made of them. Undo brings it back.',
  },
  {
    station: 'assign',
    title: 'One name, a shade in every theme',
    try: 'Press a cell, then the left or right arrow key.',
    see: 'The link walks along its family. Each column is a page in its theme.',
  },
  {
    station: 'check',
    title: 'What can’t be read comes first',
    try: 'Press the repair offered under the first sample.',
    see: 'The count in the line at the top goes up by what it repairs.',
  },
  {
    station: 'fade',
    title: 'Gradients that belong to the system',
    try: 'Drag one of the posts below the strip: sideways, then up and down.',
    see: 'Up and down it walks along the shades of its family.',
  },
  {
    station: 'stage',
    title: 'On real pages',
    try: 'Open a page and press any part of it.',
    see: 'It says which role paints it, and lets you change it right there.',
  },
  {
    station: 'deliver',
    title: 'Hand it over',
    try: 'Copy the CSS, or tick other formats for a zip.',
    see: 'What a page paints with it is exactly what you saw.',
  },
];

/** The stop of the walk where one is, beside the real thing and not over it; left at any time. */
export default function Walk() {
  const at = useWalk() ?? 0;
  const id = useProjectId();
  const navigate = useNavigate();
  const next = useRef<HTMLButtonElement>(null);
  const things = useAppSelector((state) => {
    const { families, gradients } = selectDocument(state);
    return `${families[0]?.id ?? ''} ${gradients[0]?.id ?? ''}`;
  });
  const stop = STOPS[Math.min(at, STOPS.length - 1)]!;
  const go = (to: number) => {
    const there = STOPS[to]!.station;
    const [family = '', gradient = ''] = things.split(' ');
    walkTo(to);
    navigate(
      addressOf(
        id,
        there,
        ...(there === 'grow' && family ? [family] : there === 'fade' && gradient ? [gradient] : []),
      ),
    );
  };
  useEffect(() => next.current?.focus({ preventScroll: true }), []);
  const isLast = at === STOPS.length - 1;
  return (
    <section
      aria-label="Walk through the demo"
      className="fixed bottom-[84px] left-4 z-30 w-[min(372px,calc(100vw-32px))] rounded-md border border-control bg-raised p-3 shadow-[0_8px_24px_var(--veil-modal)] narrow:bottom-14"
    >
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1" aria-live="polite">
          <p className="text-sm text-quiet">
            Stop {at + 1} of {STOPS.length}
          </p>
          <h2 className="font-title text-lg leading-tight font-semibold">{stop.title}</h2>
          <p className="mt-1">
            <b>{stop.try}</b> {stop.see}
          </p>
        </div>
        <IconButton label="Leave the walk" small onClick={() => walkTo(null)}>
          <X aria-hidden className="size-4" />
        </IconButton>
      </div>
      <div className="mt-2 flex justify-end gap-2">
        {at > 0 && (
          <Button small onClick={() => go(at - 1)}>
            Back
          </Button>
        )}
        <Button
          ref={next}
          small
          look="primary"
          onClick={() => {
            if (!isLast) return go(at + 1);
            walkTo(null);
            navigate('/new/text');
          }}
        >
          {isLast ? 'Begin your own' : 'Next'}
        </Button>
      </div>
    </section>
  );
}
