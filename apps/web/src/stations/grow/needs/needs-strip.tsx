import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { type Carrier, FEW_HUES, type Needs, needsOf } from '@mint-lamp/core/judged/readout/needs';
import { Check, CircleAlert } from 'lucide-react';
import { memo, type ReactNode, useDeferredValue } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import {
  selectTheme,
  useProjectId,
  useSampleWords,
  useSettledSystem,
  useSystem,
} from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { HueShares } from './hue-shares.tsx';

const settledNeeds = new WeakMap<object, Map<string, Needs>>();

/** What the system needs, as a short line that leads to its things. It waits for the end of a drag, and for what was edited to be drawn. */
export function NeedsStrip() {
  const system = useDeferredValue(useSettledSystem());
  const switched = useAppSelector((state) => selectTheme(state).theme.id);
  // While another is switched to, the system is still the one before.
  const theme = system.themes.get(useDeferredValue(switched)) ?? system.themes.values().next().value!;
  let known = settledNeeds.get(system);
  if (!known) {
    known = new Map();
    settledNeeds.set(system, known);
  }
  const needs = known.get(theme.theme.id) ?? needsOf(system, theme);
  known.set(theme.theme.id, needs);
  return <Strip needs={needs} />;
}

const Strip = memo(function Strip({ needs }: { needs: Needs }) {
  const { dark, light, alike, hues, unused } = needs;
  if (!dark || !light) return null;
  return (
    <section
      aria-label="What the system needs"
      data-help="needs"
      className="flex flex-wrap items-center gap-x-1 px-3.5 pb-1 text-sm"
    >
      <CarrierNeed what="a dark" ground="lightest" carrier={dark} />
      <CarrierNeed what="a light" ground="darkest" carrier={light} />
      <Need
        ok={!alike.length}
        text={count(alike.length, 'no families alike', 'pair of families alike', 'pairs of families alike')}
      >
        {alike.length > 0 && <AlikeList needs={needs} />}
      </Need>
      <Need
        ok={hues.length <= FEW_HUES}
        text={`${count(hues.length, 'no hue in use', 'hue in use', 'hues in use')}${hues.length > FEW_HUES ? `, more than about ${FEW_HUES}` : ''}`}
      >
        {hues.length > 0 && <HueShares hues={hues} />}
      </Need>
      <Need ok text={count(unused.length, 'every shade is used', 'shade unused', 'shades unused')}>
        {unused.length > 0 && <UnusedList needs={needs} />}
      </Need>
    </section>
  );
});

const count = (n: number, none: string, one: string, many: string) =>
  n === 0 ? none.charAt(0).toUpperCase() + none.slice(1) : `${n} ${n === 1 ? one : many}`;

/** One need: whether it is met, and what it is about behind it. */
function Need({ ok, text, children }: { ok: boolean; text: string; children?: ReactNode }) {
  const inside = (
    <>
      {ok ? (
        <Check aria-label="met" className="size-3.5 text-quiet" />
      ) : (
        <CircleAlert aria-label="needs a look" className="size-3.5" />
      )}
      <span>{text}</span>
    </>
  );
  const look = `flex items-center gap-1 rounded-md px-1.5 py-0.5 ${ok ? 'text-quiet' : 'text-look'}`;
  if (!children) return <span className={look}>{inside}</span>;
  return (
    <Popover
      label={text}
      trigger={
        <button
          type="button"
          className={`${look} min-h-[24px] underline underline-offset-2 hover:bg-pressed hover:text-main`}
        >
          {inside}
        </button>
      }
    >
      {children}
    </Popover>
  );
}

interface CarrierNeedProps {
  what: string;
  ground: 'lightest' | 'darkest';
  carrier: Carrier;
}

function CarrierNeed({ what, ground, carrier }: CarrierNeedProps) {
  const text = carrier.enough
    ? `${what.charAt(0).toUpperCase()}${what.slice(1)} on the ${ground} ground, ${formatRatio(carrier.ratio)}`
    : `Needs ${what} for the ${ground} ground`;
  return (
    <Need ok={carrier.enough} text={text}>
      <CarrierDetail carrier={carrier} />
    </Need>
  );
}

function CarrierDetail({ carrier: { ground, shade, ratio, enough } }: { carrier: Carrier }) {
  const words = useSampleWords();
  const { document, families } = useSystem();
  const id = useProjectId();
  const { r, g, b } = ground.color;
  const css = hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
  const themeName = document.themes.find((one) => one.id === ground.theme)?.name ?? '';
  const family = shade && families.get(shade.family);
  const best = shade && family?.byLabel.get(shade.shade);
  return (
    <div className="flex w-72 flex-col gap-2">
      {best && (
        <p
          data-specimen
          className="rounded-md border border-hair px-3 py-2 text-[16px]"
          style={{ background: css, color: best.css }}
        >
          {words.text}
        </p>
      )}
      <p className="flex items-center gap-2">
        <ColorChip css={css} className="size-4" />
        {ground.role ? (
          <Link className="underline underline-offset-2" to={addressOf(id, 'assign', ground.role)}>
            {roleNameIn(document.roles, ground.role)}
          </Link>
        ) : (
          'White'
        )}
        in {themeName}
      </p>
      {best && shade && (
        <p className="flex items-center gap-2">
          <ColorChip css={best.css} className="size-4" />
          <Link
            className="underline underline-offset-2"
            to={addressOf(id, 'grow', shade.family, shade.shade)}
          >
            {family!.family.name} {shade.shade}
          </Link>
          <span className="font-mono">{formatRatio(ratio)}</span> at best
        </p>
      )}
      {!enough && (
        <p className="text-look">
          Body text needs 4.5. Drag a base or an end of a growth until a shade reaches it, or grow a family
          from a colour that does.
        </p>
      )}
    </div>
  );
}

function AlikeList({ needs }: { needs: Needs }) {
  const { families } = useSystem();
  const id = useProjectId();
  const name = (family: string) => families.get(family)?.family.name ?? '';
  return (
    <ul className="max-w-80">
      {needs.alike.map(({ a, b, twins, of }) => (
        <li key={`${a} ${b}`}>
          <Link className="block rounded-md px-2 py-1 hover:bg-pressed" to={addressOf(id, 'grow', b)}>
            {name(a)} and {name(b)}: {twins} of {of} shades can hardly be told apart
          </Link>
        </li>
      ))}
    </ul>
  );
}

function UnusedList({ needs }: { needs: Needs }) {
  const { families } = useSystem();
  const id = useProjectId();
  const byFamily = new Map<string, string[]>();
  for (const { family, shade } of needs.unused) {
    const list = byFamily.get(family);
    if (list) list.push(shade);
    else byFamily.set(family, [shade]);
  }
  return (
    <div className="max-w-96">
      <p className="mb-1 text-quiet">No role, gradient or growth comes to these. They cost nothing.</p>
      <ul>
        {[...byFamily].map(([family, labels]) => (
          <li key={family} className="flex flex-wrap items-center gap-x-1.5 py-0.5">
            <span className="w-24 truncate">{families.get(family)?.family.name}</span>
            {[...labels].reverse().map((label) => (
              <Link
                key={label}
                className="flex items-center gap-1 rounded-md px-1 text-sm hover:bg-pressed"
                to={addressOf(id, 'grow', family, label)}
              >
                <ColorChip css={families.get(family)?.byLabel.get(label)?.css ?? null} className="size-4" />
                {label}
              </Link>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}
