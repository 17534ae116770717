import { writeHex } from '@mint-lamp/core/color/write';
import { cssNames, gradientCss, writeCss } from '@mint-lamp/core/exchange/css';
import { writeHexList } from '@mint-lamp/core/exchange/hex-list';
import { slug } from '@mint-lamp/core/system/document';
import { colorOf } from '@mint-lamp/core/system/painted';
import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useProjectDocument, useReadout, useSystem, useTheme } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { ColorChip } from '../../ui/color-chip.tsx';
import { CopyButton } from '../../ui/copy-button.tsx';
import { useLongList } from '../../ui/long-list.ts';
import { EmptyState } from '../../ui/notice.tsx';
import { StationHeader } from '../station-header.tsx';
import { save } from './save-file.ts';

type Form = 'css' | 'hex';
const FORMS = [
  { value: 'css', label: 'CSS custom properties' },
  { value: 'hex', label: 'List of hex values' },
] as const;

/** Characters of a file that are shown; browsers lay out millions of them for many seconds. */
const SHOWN = 60_000;
const beginningOf = (text: string) =>
  text.length > SHOWN ? `${text.slice(0, text.lastIndexOf('\n', SHOWN))}\n…` : text;

/** The system as files, exactly as seen, and every value to copy with one click. */
export default function Deliver() {
  const doc = useProjectDocument();
  const system = useSystem();
  const readout = useReadout();
  const [form, setForm] = useState<Form>('css');
  const text = useMemo(() => (form === 'css' ? writeCss(system) : writeHexList(system)), [form, system]);
  const stem = slug(doc.name) || 'colours';
  const file = form === 'css' ? `${stem}.css` : `${stem}-hex.txt`;
  const failing = readout.measurements.length - readout.passingOverall;
  if (!doc.families.length && !doc.roles.length && !doc.gradients.length)
    return (
      <>
        <StationHeader title="Deliver" lead="The system as files, and every value to copy." />
        <EmptyState title="Nothing to hand over yet">Grow a family or name a role first.</EmptyState>
      </>
    );
  return (
    // As high as the station is: the two halves scroll, each for itself.
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <StationHeader title="Deliver" lead="What a page paints with this file is what you see here.">
        <Choice label="As" value={form} options={FORMS} onChange={setForm} className="w-52" />
        <Button look="primary" onClick={() => save(file, text, form === 'css' ? 'text/css' : 'text/plain')}>
          <Download aria-hidden className="size-4" /> Download {file}
        </Button>
      </StationHeader>
      {(failing > 0 || readout.broken.length > 0) && (
        <p role="status" className="px-5 pb-2 text-look">
          Before you hand over:{' '}
          {[
            failing && `${failing} ${failing === 1 ? 'measurement fails' : 'measurements fail'} at Check`,
            readout.broken.length &&
              `${readout.broken.length} broken ${readout.broken.length === 1 ? 'link' : 'links'}`,
          ]
            .filter(Boolean)
            .join(' and ')}
          .
        </p>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,5fr)_minmax(0,4fr)] gap-5 px-5 pb-4">
        <Values />
        <section aria-label={file} className="flex min-h-0 min-w-0 flex-col">
          <div className="flex items-center justify-between pb-1">
            <h2 className="font-title font-semibold">{file}</h2>
            <CopyButton text={text} label="Copy the whole file">
              Copy all
            </CopyButton>
          </div>
          <pre
            // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
            tabIndex={0}
            className="min-h-0 flex-1 overflow-auto rounded-md border border-hair bg-raised p-3 font-mono text-xs"
          >
            {beginningOf(text)}
          </pre>
          {text.length > SHOWN && (
            <p className="pt-1 text-sm text-quiet">
              The beginning of {Math.round(text.length / 1000).toLocaleString('en-GB')} kB. Copied and
              downloaded it is whole.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}

interface Value {
  readonly key: string;
  readonly name: string;
  readonly css: string;
  readonly hex: string;
  readonly property: string;
}

/** Roles of the present theme, gradients and shades: the hex code and the custom property, each to copy. */
function Values() {
  const system = useSystem();
  const theme = useTheme();
  const names = useMemo(() => cssNames(system.document), [system]);
  const roles = system.document.roles.flatMap((role): Value[] => {
    const color = theme.roles.get(role.id)?.color;
    if (!color) return [];
    return [
      {
        key: role.id,
        name: role.path,
        css: color.css,
        hex: writeHex(colorOf(color)),
        property: names.role(role.id),
      },
    ];
  });
  const gradients = [...theme.gradients.values()].flatMap((resolved): Value[] => {
    const css = gradientCss(resolved);
    const { id, name } = resolved.gradient;
    return css ? [{ key: id, name, css, hex: css, property: names.gradient(id) }] : [];
  });
  const families = [...system.families.values()].map(({ family, shades }) => ({
    title: family.name,
    values: shades.map(
      (shade): Value => ({
        key: shade.label,
        name: shade.label,
        css: shade.css,
        hex: shade.css,
        property: names.shade(family.id, shade.label),
      }),
    ),
  }));
  const many = roles.length + gradients.length + families.length * 11 > 400;
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
    <section aria-label="Values" tabIndex={0} data-scroller className="min-h-0 overflow-auto pr-2">
      <ValueList title={`Roles in ${theme.theme.name}`} values={roles} many={many} />
      <ValueList title="Gradients" values={gradients} many={many} />
      {families.map(({ title, values }) => (
        <ValueList key={title} title={title} values={values} many={many} />
      ))}
    </section>
  );
}

interface ValueListProps {
  title: string;
  values: readonly Value[];
  /** There are so many values on the page that only those near the window are drawn. */
  many: boolean;
}

function ValueList({ title, values, many }: ValueListProps) {
  const { list, rows, before, after } = useLongList<HTMLUListElement>({
    count: values.length,
    estimate: 33,
    keyOf: (index) => values[index]!.key,
    always: many,
  });
  if (!values.length) return null;
  return (
    <section aria-label={title} className="mb-4">
      <h2 className="border-b border-hair pb-1 font-title font-semibold">{title}</h2>
      <ul ref={list}>
        {before > 0 && <li aria-hidden style={{ height: before }} />}
        {rows
          .map((index) => values[index]!)
          .map((value) => (
            <li
              key={value.key}
              className="grid h-[33px] grid-cols-[28px_1fr_150px_1.1fr] items-center gap-2 border-b border-hair"
            >
              <ColorChip css={value.css} className="size-6" />
              <span className="truncate">{value.name}</span>
              <CopyButton text={value.hex} className="min-w-0" />
              <CopyButton text={`var(${value.property})`} className="min-w-0">
                {value.property}
              </CopyButton>
            </li>
          ))}
        {after > 0 && <li aria-hidden style={{ height: after }} />}
      </ul>
    </section>
  );
}
