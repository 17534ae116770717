import { luminance } from '@mint-lamp/core/contrast/ratio';
import { requiredRatio } from '@mint-lamp/core/contrast/targets';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import type { TextOver } from '@mint-lamp/core/document/pictures/picture';
import { type Painted, paint } from '@mint-lamp/core/system/painted';
import { useEffect, useMemo, useState } from 'react';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { EyeAnswer } from '../../../../pixels/seen-first.ts';
import { useSystem } from '../../../../store/selectors.ts';
import { useResting } from '../../../../ui/use-resting.ts';

/** A colour that a text, or a veil, could have. */
interface Named {
  readonly name: string;
  readonly color: Painted;
}

/** Where the eye goes, and what was looked at for it. */
export interface SeenFirst {
  readonly answer: EyeAnswer;
  /** Colours that the text could have, and a veil, in the order in which they are told of. */
  readonly others: readonly Named[];
  readonly veils: readonly Named[];
}

/** Every shade of the project, by its name; black and white where there is none. */
function useShades(): readonly Named[] {
  const { families, document } = useSystem();
  return useMemo(() => {
    const all = [...families.values()].flatMap(({ family, shades }) =>
      shades.flatMap((color): Named[] => {
        const link: Link = { to: 'shade', family: family.id, shade: color.label };
        return color.alpha < 1 ? [] : [{ name: linkName(document, link), color }];
      }),
    );
    return all.length ? all : ['#000000', '#ffffff'].map((css) => ({ name: css, color: paint(css) }));
  }, [families, document]);
}

const MOST_SHADES = 160;

/** Where the eye goes first with a text over a region of the picture; worked out once both rest. */
export function useEye(
  picture: OpenedPicture,
  text: TextOver | null,
  candidates: readonly string[],
): SeenFirst | null {
  const [seen, setSeen] = useState<SeenFirst | null>(null);
  const shades = useShades();
  const key = text && JSON.stringify([text, candidates]);
  const resting = useResting(key);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at anew once neither text nor colours change
  useEffect(() => {
    if (!text || !resting) {
      setSeen(null);
      return;
    }
    let over = false;
    const byLight = [...shades].sort((a, b) => luminance(a.color) - luminance(b.color));
    const [dark, light] = [byLight[0]!, byLight[byLight.length - 1]!];
    const others = [
      ...candidates.map((css): Named => ({ name: css, color: paint(css) })),
      ...shades.slice(0, MOST_SHADES),
    ];
    const veils = [dark, light];
    const { x, y, width, height } = text;
    void picture
      .eye(
        paint(text.color),
        { x, y, width, height },
        requiredRatio(text.target),
        others.map(({ color }) => color),
        veils.map(({ color }) => color),
        null,
      )
      .then((answer) => {
        if (!over) setSeen({ answer, others, veils });
      });
    return () => {
      over = true;
    };
  }, [picture, resting, shades]);
  return text ? seen : null;
}
