const WIDE = 1180;
export const COLUMNS = { mark: 30, name: 142, focus: 108, cost: 68, extra: 75, reason: 190 };
const FIXED = COLUMNS.mark + COLUMNS.name + COLUMNS.focus + COLUMNS.cost + COLUMNS.reason;
const NARROWEST_BAND = 42;
const ROOMY_BAND = 68;
const WIDEST_BAND = 100;

/** How much of a ledger there is room for. */
export interface LedgerLayout {
  /** Whether there is room for mass and diameter. */
  wide: boolean;
  /** Whether there is room for figures of full size on every band. */
  roomy: boolean;
  bandWidth: number;
  leastWidth: number;
  /** How many columns it has. */
  columns: number;
}

/** Of so many bands in so many px. */
export function ledgerLayout(width: number, bands: number): LedgerLayout {
  const wide = width >= WIDE;
  const room = width - FIXED - (wide ? 2 * COLUMNS.extra : 0);
  const bandWidth = Math.max(NARROWEST_BAND, Math.min(WIDEST_BAND, room / Math.max(1, bands - 1)));
  return {
    wide,
    roomy: bandWidth >= ROOMY_BAND,
    bandWidth,
    leastWidth: FIXED + bandWidth * (bands - 1),
    columns: bands + (wide ? 6 : 4),
  };
}
