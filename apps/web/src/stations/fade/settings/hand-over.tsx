import { slug } from '@mint-lamp/core/document/naming/names';
import { gradientForms } from '@mint-lamp/core/exchange/gradient-forms';
import { writeGradientSvg } from '@mint-lamp/core/exchange/gradient-svg';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { memo, useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId, useSettledSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { save } from '../../../ui/save-file.ts';
import type { BoxSize } from '../preview/purposes.ts';
import { DownloadPng } from './download-png.tsx';
import { InEngines } from './in-engines.tsx';

/** The gradient as CSS in each form that it is needed in, each with one press; and as a drawing. */
function Handing({ resolved, size }: { resolved: ResolvedGradient; size: BoxSize }) {
  // Written a moment after it is drawn: another theme is seen first and copied then.
  const system = useDeferredValue(useSettledSystem());
  const still = useDeferredValue(resolved);
  const forms = useMemo(() => gradientForms(system, still), [system, still]);
  const project = useProjectId();
  const { id, name, kind } = resolved.gradient;
  const [width, height] = [size.width, size.height].map((side) => Math.max(1, Math.round(side)));
  const box = useMemo(() => ({ width: width!, height: height! }), [width, height]);
  const draw = () => {
    const painted = paintedGradient(resolved);
    if (painted)
      save(`${slug(name) || 'gradient'}.svg`, writeGradientSvg(painted, box, name), 'image/svg+xml');
  };
  if (!forms.length) return null;
  return (
    <section aria-label="Copy as CSS" data-help="copy-gradient">
      <h2 className="mb-1 font-title font-semibold">Copy as CSS</h2>
      <ul className="flex flex-col">
        {forms.map(({ form, name: formName, css }) => (
          <li key={form}>
            <CopyButton text={css} label={`Copy: ${formName}`} className="-mx-1.5 w-full justify-between">
              {formName}
            </CopyButton>
          </li>
        ))}
      </ul>
      <Button small className="mt-1" onClick={draw}>
        Download as SVG, {box.width} × {box.height} px
      </Button>
      <Link
        to={`${addressOf(project, 'deliver', 'shares')}?of=gradient.${id}`}
        className="mt-1 block underline underline-offset-2"
      >
        Share it at an address …
      </Link>
      {kind === 'conic' && (
        <p className="mt-0.5 text-sm text-quiet">SVG has no cone: it is drawn in 720 wedges.</p>
      )}
      <InEngines resolved={resolved} />
      <h3 className="mt-2 mb-0.5 text-sm text-quiet">As a picture</h3>
      <DownloadPng resolved={resolved} size={box} />
    </section>
  );
}

// It is given what rests: nobody copies while something is dragged.
export default memo(Handing);
