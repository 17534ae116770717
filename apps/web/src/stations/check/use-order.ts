import type { ProjectDocument } from '@mint-lamp/core/system/document';
import type { Measurement } from '@mint-lamp/core/system/measure';
import type { Readout } from '@mint-lamp/core/system/readout';
import { useEffect, useState } from 'react';

const worth = (row: readonly Measurement[]) => Math.min(...row.map((m) => m.ratio / m.required));

/** Measurements by pair, each in the order of the themes. */
function rowsOf(readout: Readout): Map<string, Measurement[]> {
  const rows = new Map<string, Measurement[]>();
  for (const m of readout.measurements) {
    const row = rows.get(m.pair.id);
    if (row) row.push(m);
    else rows.set(m.pair.id, [m]);
  }
  return rows;
}

/**
 * The pairs' rows, worst first. The order is taken when the board opens and when pairs come or go, and stays
 * while colours change: a row that is being repaired does not jump away from the eye.
 */
export function useOrder(doc: ProjectDocument, readout: Readout): Measurement[][] {
  const rows = rowsOf(readout);
  const ids = doc.pairs.map((pair) => pair.id);
  const sorted = () => [...ids].sort((a, b) => worth(rows.get(a)!) - worth(rows.get(b)!));
  const [order, setOrder] = useState(sorted);
  const same = order.length === ids.length && order.every((id) => rows.has(id));
  const now = same ? order : sorted();
  useEffect(() => {
    if (!same) setOrder(now);
  });
  return now.map((id) => rows.get(id)!);
}
