import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { slug } from '@mint-lamp/core/document/naming/names';
import type { PaletteEntry } from '@mint-lamp/core/shelf/shelf-set';
import { GuestSection } from '../guest-frame.tsx';
import { Code } from './codes.tsx';
import { CssToCopy } from './css-to-copy.tsx';

interface PaletteProps {
  name: string;
  colors: readonly PaletteEntry[];
  codes: boolean;
}

/** Colours by themselves, large, with their CSS. */
export function Palette({ name, colors, codes }: PaletteProps) {
  return (
    <>
      <GuestSection title={name}>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-4">
          {colors.map(({ name: called, color }, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, in which the same may come twice
            <li key={i}>
              <div className="h-32 rounded-md border border-hair" style={{ background: color }} />
              <b className="mt-1 block font-semibold break-words">{called}</b>
              <span className="block text-quiet">{describeColor(readColor(color))}</span>
              <Code text={color} on={codes} />
            </li>
          ))}
        </ul>
      </GuestSection>
      <CssToCopy css={propertiesOf(name, colors)} />
    </>
  );
}

/** Custom properties by the names of colours, each name once. */
function propertiesOf(name: string, colors: readonly PaletteEntry[]): string {
  const taken = new Set<string>();
  const lines = colors.map(({ name: called, color }) => {
    const wanted = slug(called) || slug(name) || 'colour';
    let property = wanted;
    for (let n = 2; taken.has(property); n++) property = `${wanted}-${n}`;
    taken.add(property);
    return `  --${property}: ${color};`;
  });
  return `:root {\n${lines.join('\n')}\n}`;
}
