import { useState } from 'react';
import type { CableType, Row } from '../../../api';

const A_YEAR_MS = 365 * 24 * 3600 * 1000;

/** Day of the oldest price of a row, where it is older than a year. */
export function oldPriceOf(row: Row, catalogue: CableType[], now: number): string | null {
  const days = row.assignment
    .map((a) => catalogue.find((t) => t.key === a.source.cableKey)?.pricedOn ?? null)
    .filter((day): day is string => day !== null && now - Date.parse(day) > A_YEAR_MS)
    .toSorted();
  return days[0] ?? null;
}

/** The time when the note was opened: prices do not age while one looks. */
export function useNow(): number {
  return useState(() => Date.now())[0];
}
