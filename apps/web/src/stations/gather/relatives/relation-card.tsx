import { describeColor } from '@mint-lamp/core/color/describe';
import { oklchToRgb8 } from '@mint-lamp/core/color/gamut';
import { readColor } from '@mint-lamp/core/color/parse';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import {
  NO_SHIFT,
  type RelationRow,
  type Shift,
  withShift,
} from '@mint-lamp/core/document/relatives/relatives';
import { type ColorFacts, factsOf } from '@mint-lamp/core/harmony/facts';
import { hueRibbon, type RibbonPlace } from '@mint-lamp/core/harmony/ribbon';
import { signedTurn } from '@mint-lamp/core/numbers/signed-turn';
import { relativesOf, sourceOklch } from '@mint-lamp/core/system/relatives';
import { lruMemoize } from '@reduxjs/toolkit';
import { memo, useCallback, useMemo, useRef, useState } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { useSettled } from '../../../store/use-settled.ts';
import { useTaking } from '../taking/use-taking.ts';
import { HueRibbon } from './hue-ribbon.tsx';
import { MemberTracks } from './member-tracks.tsx';
import { RelationFoot } from './relation-foot.tsx';
import { RelationHead } from './relation-head.tsx';
import { RELATION_NAMES } from './relation-names.ts';
import { Sample } from './sample.tsx';
import { useDragFrom } from './use-drag-from.ts';

interface RelationCardProps {
  source: string;
  row: RelationRow;
}

const CARRIES = 4.5;

/** All hues as the source has them; the same for all relations, of which a few may show an older source. */
const ribbonOf = lruMemoize(
  (source: string): readonly RibbonPlace[] => {
    const [l, chroma] = sourceOklch(source);
    return hueRibbon(l, chroma);
  },
  { maxSize: 4 },
);

const both = ({ a, b }: { a: number; b: number }) => `${a + 1} and ${b + 1}`;

/** What must be known before the row is taken. */
const toldOf = ({ twins, redGreen }: ColorFacts): string =>
  [
    ...(twins.length ? [`${twins.slice(0, 2).map(both).join(', ')} nearly the same`] : []),
    ...(redGreen.length
      ? [`${redGreen.slice(0, 2).map(both).join(', ')} alike without red-green vision`]
      : []),
  ].join('; ');

const carried = (white: boolean, black: boolean) =>
  white || black ? [...(white ? ['white'] : []), ...(black ? ['black'] : [])].join(' and ') : 'no';

/** One relation: its members large, its ribbon with pegs, what is to be known of it, and the ways to take it. */
export const RelationCard = memo(function RelationCard({ source, row }: RelationCardProps) {
  const ribbon = ribbonOf(source);
  const { edit, preview } = useEditing();
  const [alone, setAlone] = useState(false);
  const [selected, setSelected] = useState<number | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const { relation } = row;
  const name = RELATION_NAMES[relation];
  const { members, hexes, facts } = useMemo(() => {
    const all = relativesOf(source, row);
    return {
      members: all,
      hexes: all.map(({ r, g, b }) => hexOfRgb8(r, g, b)),
      facts: factsOf(all.map(({ r, g, b }) => ({ r, g, b, alpha: 1 }))),
    };
  }, [source, row]);
  const carries = (i: number) => [facts.onWhite[i]! >= CARRIES, facts.onBlack[i]! >= CARRIES] as const;
  // Names and words for those who do not see wait for the end of a gesture, and leave the frame to what moves.
  const settled = useSettled(
    hexes.map((hex, i) => {
      const words = describeColor(readColor(hex));
      return { hex, words, label: `${i + 1}: ${hex}, ${words}, carries ${carried(...carries(i))} text` };
    }),
  );
  const taking = useTaking(name);
  const picked = [...chosen].filter((i) => i < hexes.length).map((i) => hexes[i]!);
  const latest = useRef<readonly string[]>(hexes);
  latest.current = picked.length ? picked : hexes;
  const onTray = useCallback(() => taking.tray(latest.current), [taking]);
  const onFamilies = useCallback(() => taking.families(latest.current), [taking]);
  const onToggle = useCallback((number: number) => {
    // Its tracks come too: what is under another peg is moved by them.
    setSelected(number - 1);
    setChosen((old) => {
      const next = new Set(old);
      if (!next.delete(number - 1)) next.add(number - 1);
      return next;
    });
  }, []);

  const setRow = (next: RelationRow) => ({ type: 'setRelation', relation, row: next }) as const;
  const shiftOf = (member: number): Shift => (row.showsOwn && row.own[member - 1]) || NO_SHIFT;
  /** A peg that is moved: alone it makes a version of one's own, else all turn with it. */
  const moved = (member: number, degrees: number) => {
    if (alone && member > 0) {
      const before = shiftOf(member);
      const turn = signedTurn(before.turn + degrees);
      return setRow(withShift(row, member, { ...before, turn }));
    }
    const [l, c, h] = sourceOklch(source);
    return { type: 'setRelativesSource', color: hexOfRgb8(...oklchToRgb8(l, c, h + degrees)) } as const;
  };
  // A gesture goes by what was there when it began, while what is shown changes under it.
  const drag = useDragFrom(moved);
  const onDrag = useCallback(
    (member: number, degrees: number | null) =>
      preview(degrees === null ? drag.end() : drag.by(member, degrees)),
    [drag, preview],
  );
  const onMove = useCallback(
    (member: number, degrees: number) => {
      const command = drag.by(member, degrees);
      drag.end();
      edit(command);
    },
    [drag, edit],
  );

  return (
    <li aria-label={name} className="isolate min-w-0 border-t border-hair py-3">
      <RelationHead row={row} />
      <ul className="flex h-16 overflow-hidden rounded-md border border-hair">
        {hexes.map((hex, i) => {
          const [white, black] = carries(i);
          return (
            <Sample
              // biome-ignore lint/suspicious/noArrayIndexKey: a member is its place in the relation
              key={i}
              hex={hex}
              number={i + 1}
              words={settled[i]?.words ?? ''}
              label={settled[i]?.label ?? hex}
              white={white}
              black={black}
              dark={facts.onWhite[i]! >= facts.onBlack[i]!}
              chosen={chosen.has(i)}
              onToggle={onToggle}
            />
          );
        })}
      </ul>
      <div className="mt-1.5">
        <HueRibbon
          name={name}
          places={ribbon}
          members={members}
          selected={selected}
          onSelect={setSelected}
          onDrag={onDrag}
          onMove={onMove}
        />
      </div>
      <RelationFoot
        name={name}
        alone={alone}
        onAlone={setAlone}
        told={toldOf(facts)}
        count={hexes.length}
        picked={picked.length}
        onTray={onTray}
        onFamilies={onFamilies}
      />
      {selected !== null && selected > 0 && members[selected] && (
        <MemberTracks
          key={selected}
          member={members[selected]}
          number={selected + 1}
          shift={shiftOf(selected)}
          onPreview={(shift) => preview(setRow(withShift(row, selected, shift)))}
          onCommit={(shift) => edit(setRow(withShift(row, selected, shift)))}
          onGiveBack={() => preview(null)}
        />
      )}
    </li>
  );
});
