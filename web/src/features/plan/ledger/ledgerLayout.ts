const WIDE = 1180;
export const COLUMNS = { mark: 30, name: 142, focus: 108, cost: 68, extra: 75, reason: 190 };
const FIXED = COLUMNS.mark + COLUMNS.name + COLUMNS.focus + COLUMNS.cost + COLUMNS.reason;
const NARROWEST_BAND = 42;
const ROOMY_BAND = 68;
const WIDEST_BAND = 100;

/** Columns that may be there or not. */
export type Extra = 'lost' | 'mass' | 'across';

/** How much of a ledger there is room for. */
export interface LedgerLayout {
  /** What is shown besides what arrives and what it costs. */
  extras: Extra[];
  /** Whether there is room for figures of full size on every band. */
  roomy: boolean;
  bandWidth: number;
  leastWidth: number;
  /** How many columns it has. */
  columns: number;
}

/**
 * Of so many bands in so many px.
 *
 * @param wanted what must be there; mass and thickness are there anyhow where there is room
 */
export function ledgerLayout(
  width: number,
  bands: number,
  wanted: readonly Extra[] = [],
): LedgerLayout {
  const isWide = width >= WIDE;
  const extras = (['lost', 'mass', 'across'] as const).filter(
    (extra) => wanted.includes(extra) || (isWide && extra !== 'lost'),
  );
  const beside = COLUMNS.extra * extras.length;
  const room = width - FIXED - beside;
  const bandWidth = Math.max(NARROWEST_BAND, Math.min(WIDEST_BAND, room / Math.max(1, bands - 1)));
  return {
    extras,
    roomy: bandWidth >= ROOMY_BAND,
    bandWidth,
    leastWidth: FIXED + beside + bandWidth * (bands - 1),
    columns: bands + 4 + extras.length,
  };
}
