import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';
import { sheetSummary } from '../sheets/sheet-summary.ts';

interface SheetOfferProps {
  system: SheetSystem | null;
  busy: boolean;
  to: string;
  /** Hands the text over to where that leads. */
  onRead: () => void;
}

/** Says that the text is a style sheet and what it comes to as a system, and leads there. */
export function SheetOffer({ system, busy, to, onRead }: SheetOfferProps) {
  if (!busy && !system) return null;
  return (
    <p className="mb-3 flex items-center gap-3 rounded-md border border-hair bg-raised px-3 py-2">
      <span className="min-w-0 flex-1">
        This is a style sheet.{' '}
        {system ? (
          <b>{sheetSummary(system)}</b>
        ) : (
          <span className="text-quiet">Reading it as a system …</span>
        )}
      </span>
      {system && (
        <Link
          to={to}
          onClick={onRead}
          className="inline-flex h-8 items-center gap-1.5 rounded-md border border-control px-3 whitespace-nowrap hover:bg-sunken"
        >
          Read it as a system
          <ArrowRight aria-hidden className="size-4" />
        </Link>
      )}
    </p>
  );
}
