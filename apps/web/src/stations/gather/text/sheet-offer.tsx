import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';

interface SheetOfferProps {
  /** What it comes to, in words; null for nothing, or not yet. */
  summary: string | null;
  busy: boolean;
  to: string;
  /** Hands the text over to where that leads. */
  onRead: () => void;
}

/** Says that the text is a style sheet and what it comes to as a system, and leads there. */
export function SheetOffer({ summary, busy, to, onRead }: SheetOfferProps) {
  if (!busy && !summary) return null;
  return (
    <p className="mb-3 flex items-center gap-3 rounded-md border border-hair bg-raised px-3 py-2">
      <span className="min-w-0 flex-1">
        This is a style sheet.{' '}
        {summary ? <b>{summary}</b> : <span className="text-quiet">Reading it as a system …</span>}
      </span>
      {summary && (
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
