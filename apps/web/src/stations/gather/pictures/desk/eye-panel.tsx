import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type { TextOver } from '@mint-lamp/core/document/pictures/picture';
import { type Eye, eyeSentence } from '@mint-lamp/core/picture/eye';
import { Button } from '../../../../ui/button.tsx';
import { ColorChip } from '../../../../ui/color-chip.tsx';
import type { SeenFirst } from './use-eye.ts';

interface EyePanelProps {
  seen: SeenFirst;
  text: TextOver;
  set: (text: TextOver) => void;
}

const ROWS: readonly (readonly [name: string, of: (eye: Eye) => Eye['text']])[] = [
  ['Text', ({ text }) => text],
  ['Background', ({ beneath }) => beneath],
  ['The rest', ({ rest }) => rest],
  ['Strongest', ({ spot }) => spot],
];

/** What is seen first, text or picture, in a sentence and in figures; and what turns it round. */
export default function EyePanel({ seen: { answer, others, veils }, text, set }: EyePanelProps) {
  const { eye, color, veil, place } = answer;
  return (
    <section aria-label="Where the eye goes" className="mb-3 border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">Where the eye goes</h3>
      <p role="status" className="mb-1">
        {eyeSentence(eye)}
      </p>
      <table className="mb-2 w-full text-sm">
        <thead className="text-quiet">
          <tr>
            <td />
            <th className="text-right font-normal" title="CIE L*, 0 to 100">
              light
            </th>
            <th className="text-right font-normal" title="OKLCH chroma">
              colourful
            </th>
            <th className="text-right font-normal" title="Mean distance within it, OKLab">
              busy
            </th>
          </tr>
        </thead>
        <tbody className="font-mono">
          {ROWS.map(([name, of]) => {
            const { lightness, chroma, contrast } = of(eye);
            return (
              <tr key={name}>
                <th className="text-left font-sans font-normal">{name}</th>
                <td className="text-right">{lightness.toFixed(0)}</td>
                <td className="text-right">{chroma.toFixed(2)}</td>
                <td className="text-right">{contrast.toFixed(2)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {eye.first !== 'text' && (
        <ul aria-label="What makes the text stand out" className="flex flex-col gap-1.5 text-sm">
          {color && (
            <li className="flex items-center gap-2">
              <ColorChip css={others[color.index]!.color.css} className="size-4" />
              <span className="min-w-0 flex-1 truncate">
                Text in {others[color.index]!.name}: {formatRatio(color.ratio)}
              </span>
              <Button small onClick={() => set({ ...text, color: others[color.index]!.color.css })}>
                Apply
              </Button>
            </li>
          )}
          {place && (
            <li className="flex items-center gap-2">
              <span className="min-w-0 flex-1">
                At {place.x}, {place.y}: {formatRatio(place.ratio)}
              </span>
              <Button small onClick={() => set({ ...text, x: place.x, y: place.y })}>
                Move it
              </Button>
            </li>
          )}
          {veil && (
            <li className="flex items-center gap-2">
              <ColorChip css={veils[veil.index]!.color.css} className="size-4" />
              <span className="min-w-0 flex-1">
                A veil of {veils[veil.index]!.name} at {Math.round(veil.alpha * 100)} % over the picture:{' '}
                {formatRatio(veil.ratio)}
              </span>
            </li>
          )}
          {!color && !place && !veil && (
            <li className="text-quiet">
              No other colour, place or veil is enough. Use a calmer picture, or put the text on a ground.
            </li>
          )}
        </ul>
      )}
    </section>
  );
}
