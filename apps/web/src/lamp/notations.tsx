import type { SpaceId } from '@mint-lamp/core/color/spaces';
import { plainCmyk, writeColor, writeHex } from '@mint-lamp/core/color/write';
import { colorOf, type Painted } from '@mint-lamp/core/system/resolve/painted';
import { memo } from 'react';
import { useSettled } from '../store/use-settled.ts';
import { CopyButton } from '../ui/copy-button.tsx';

const SHOWN: readonly SpaceId[] = ['srgb', 'hsl', 'hwb', 'oklch', 'oklab', 'lch', 'lab', 'display-p3'];

/**
 * The colour in every notation, each copied with one click. While a gesture lasts nothing can be copied, so the
 * list waits for its end and leaves the frame to what moves.
 */
export function Notations({ painted }: { painted: Painted }) {
  return <NotationList painted={useSettled(painted)} />;
}

const NotationList = memo(function NotationList({ painted }: { painted: Painted }) {
  const c = colorOf(painted);
  const [cyan, magenta, yellow, black] = plainCmyk(c).map(Math.round);
  const inks = `${cyan} ${magenta} ${yellow} ${black}`;
  return (
    <section aria-label="Notations" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">Copy as</h3>
      <ul className="-mx-1.5">
        <li>
          <CopyButton text={writeHex(c)} className="w-full justify-between" />
        </li>
        {SHOWN.map((space) => (
          <li key={space}>
            <CopyButton text={writeColor(c, space)} className="w-full justify-between" />
          </li>
        ))}
        <li>
          <CopyButton text={inks} label={`Copy uncalibrated CMYK ${inks}`} className="w-full justify-between">
            cmyk {inks} <span className="font-sans text-quiet">uncalibrated</span>
          </CopyButton>
        </li>
      </ul>
    </section>
  );
});
