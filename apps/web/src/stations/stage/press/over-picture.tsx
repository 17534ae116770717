import { formatRatio, luminance, reaches } from '@mint-lamp/core/contrast/ratio';
import { isLargeText, requiredRatio } from '@mint-lamp/core/contrast/targets';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import type { Area } from '@mint-lamp/core/gradient/area';
import { eyeSentence } from '@mint-lamp/core/picture/eye';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import clsx from 'clsx';
import { useEffect, useMemo, useState } from 'react';
import { pictureAddress } from '../../../fetching/send-picture.ts';
import { lookAt } from '../../../pixels/opened-picture.ts';
import type { EyeAnswer } from '../../../pixels/seen-first.ts';
import type { Pressable } from '../../../scene/scene-parts.ts';
import { beneath, groundsOf, textsOf } from '../../../scene/text-places.ts';
import { useCast } from '../../../scene/use-scene.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectId, useSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { useResting } from '../../../ui/use-resting.ts';

interface OverPictureProps {
  page: HTMLElement;
  pressed: Pressable;
  theme: ResolvedTheme;
}

/** The part of a picture, in its px, that a box on another covers, where the picture fills that one as `cover` does. */
function partUnder(box: DOMRect, on: DOMRect, picture: { width: number; height: number }): Area {
  const scale = Math.max(on.width / picture.width, on.height / picture.height);
  const [left, top] = [(on.width - picture.width * scale) / 2, (on.height - picture.height * scale) / 2];
  return {
    x: Math.round((box.left - on.left - left) / scale),
    y: Math.round((box.top - on.top - top) / scale),
    width: Math.max(1, Math.round(box.width / scale)),
    height: Math.max(1, Math.round(box.height / scale)),
  };
}

/** A text that stands on a picture of the project on a scene: how it is read there, and where the eye goes. */
export default function OverPicture({ page, pressed, theme }: OverPictureProps) {
  const id = useProjectId();
  const uses = useCast();
  const { edit } = useEditing();
  const { document, families } = useSystem();
  const [answer, setAnswer] = useState<EyeAnswer | null>(null);
  const text = useMemo(
    () => textsOf(page).find(({ element }) => element === pressed.element),
    [page, pressed],
  );
  const under =
    text &&
    beneath(
      groundsOf(page),
      uses,
      theme,
      text.box.left + text.box.width / 2,
      text.box.top + text.box.height / 2,
    );
  const link = under?.wide?.cast.link;
  const picture =
    link?.to === 'picture' ? document.pictures.find((one) => one.id === link.picture) : undefined;
  const roleOf = (use: Pressable['sides'][number]['use'] | undefined) => {
    const cast = use && uses.get(use)?.link;
    return cast?.to === 'role' ? theme.roles.get(cast.role) : undefined;
  };
  const role = roleOf(text?.use);
  const color = role?.color ?? null;
  const veil = roleOf(under?.veil?.use)?.color ?? null;
  const shades = useMemo(
    () =>
      [...families.values()].flatMap(({ family, shades: list }) =>
        list.flatMap((shade) =>
          shade.alpha < 1
            ? []
            : [{ shade, link: { to: 'shade', family: family.id, shade: shade.label } as const }],
        ),
      ),
    [families],
  );
  const key = useResting(color && picture ? [color.css, veil?.css, picture.content].join(' ') : null);
  const { size, weight } = lettering(text?.lettered);
  const required = requiredRatio({ level: 'AA', content: isLargeText(size, weight) ? 'large' : 'body' });
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at anew once colours rest
  useEffect(() => {
    if (!key || !color || !picture || !text || !under?.wide) return;
    const { opening, leave } = lookAt(pictureAddress(id, picture.content), null, () => {});
    let over = false;
    const area = partUnder(text.box, under.wide.box, picture);
    const byLight = [...shades].sort((a, b) => luminance(a.shade) - luminance(b.shade));
    const ends = byLight.length ? [byLight[0]!.shade, byLight.at(-1)!.shade] : [];
    void opening
      .then((opened) =>
        opened.eye(
          color,
          area,
          required,
          shades.map(({ shade }) => shade),
          ends,
          veil,
        ),
      )
      .then((found) => {
        if (!over) setAnswer(found);
      })
      .catch(() => {});
    return () => {
      over = true;
      leave();
    };
  }, [key]);
  if (!picture || !color) return null;
  if (!answer)
    return (
      <p role="status" className="text-quiet">
        Looking at {picture.name} …
      </p>
    );
  const passes = reaches(answer.ratio, required);
  const other = answer.color && shades[answer.color.index];
  return (
    <div className="flex flex-col gap-1">
      <p className="flex items-baseline gap-2" role="status">
        <span className={clsx('font-mono text-lg whitespace-nowrap', !passes && 'font-bold text-fail')}>
          {formatRatio(answer.ratio)} : 1
        </span>
        <span className="text-sm text-quiet">
          {passes ? 'passes' : 'needs'} {required} as {size} px text, at its worst place on {picture.name}
        </span>
      </p>
      <p className="text-sm">{eyeSentence(answer.eye)}</p>
      {other && role && (
        <p className="flex items-center gap-2 text-sm">
          <span className="min-w-0 flex-1">
            {linkName(document, other.link)} makes the text stand out: {formatRatio(answer.color!.ratio)}
          </span>
          <Button
            small
            onClick={() =>
              edit({ type: 'setLink', role: role.role.id, theme: theme.theme.id, link: other.link })
            }
          >
            Apply
          </Button>
        </p>
      )}
      {answer.veil && (
        <p className="text-sm text-quiet">
          Or add a {answer.veil.index ? 'light' : 'dark'} veil at {Math.round(answer.veil.alpha * 100)} %:{' '}
          {formatRatio(answer.veil.ratio)}.
        </p>
      )}
    </div>
  );
}

const lettering = (element: HTMLElement | undefined) => {
  if (!element) return { size: 16, weight: 400 };
  const { fontSize, fontWeight } = getComputedStyle(element);
  return { size: Number.parseFloat(fontSize), weight: Number(fontWeight) };
};
