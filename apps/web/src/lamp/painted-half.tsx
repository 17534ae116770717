import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';

/** What a role is painted with, where that is a gradient. */
export default function PaintedHalf({ gradient }: { gradient: ResolvedGradient }) {
  return <div data-specimen className="h-full" style={{ background: gradientCss(gradient) ?? undefined }} />;
}
