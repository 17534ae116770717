import { CopyButton } from '../../ui/copy-button.tsx';
import { GuestSection } from '../guest-frame.tsx';

/** CSS, to be copied as a whole. */
export function CssToCopy({ css }: { css: string }) {
  return (
    <GuestSection title="As CSS">
      <CopyButton
        text={css}
        label="Copy the CSS"
        className="mb-2 h-10 border border-control px-3! font-sans!"
      >
        Copy the CSS
      </CopyButton>
      <pre
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what is longer than its box is scrolled by keys
        tabIndex={0}
        className="max-h-72 overflow-auto rounded-md border border-hair bg-raised p-3 font-mono text-sm whitespace-pre-wrap [overflow-wrap:anywhere]"
      >
        {css}
      </pre>
    </GuestSection>
  );
}
