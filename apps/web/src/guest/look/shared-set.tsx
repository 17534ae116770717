import { emptyDocument } from '@mint-lamp/core/document/document';
import type { Family } from '@mint-lamp/core/document/families/family';
import { plainlyGrounded } from '@mint-lamp/core/document/links/growth-ground';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { SharedView } from '@mint-lamp/core/wire/shares';
import { GuestSection } from '../guest-frame.tsx';
import { CssToCopy } from './css-to-copy.tsx';
import { Palette } from './palette.tsx';

type Set = Extract<SharedView['shown'], { readonly kind: 'set' }>['set'];

/** A set of the shelf, large, with its CSS. */
export function SharedSet({ set, codes }: { set: Set; codes: boolean }) {
  const { name, content, colors } = set;
  if (content.kind === 'palette') return <Palette name={name} colors={content.colors} codes={codes} />;
  if (content.kind === 'gradient')
    return (
      <>
        <GuestSection title={name}>
          <div className="h-[46vh] rounded-md border border-hair" style={{ background: content.css }} />
        </GuestSection>
        <CssToCopy css={`background: ${content.css};`} />
      </>
    );
  if (content.kind === 'family')
    return <Palette name={name} colors={shadesOf(name, content)} codes={codes} />;
  return (
    <>
      <Palette name={name} colors={colors.map((color) => ({ name, color }))} codes={codes} />
      <CssToCopy css={content.css} />
    </>
  );
}

/** The shades of a family that stands by itself. */
function shadesOf(name: string, { base, growth, handSet }: Extract<Set['content'], { kind: 'family' }>) {
  const family: Family = {
    id: 'family',
    name,
    base,
    growth: plainlyGrounded(growth),
    handSet,
    follows: null,
  };
  const document = { ...emptyDocument(name, [{ id: 'only', name: 'Only' }]), families: [family] };
  const { shades } = resolveSystem(document).families.get('family')!;
  return shades.map(({ label, css }) => ({ name: `${name} ${label}`, color: css }));
}
