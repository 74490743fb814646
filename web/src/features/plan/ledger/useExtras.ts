import { useMemo } from 'react';
import { usePreferences } from '../../../app/preferences';
import { preferenceOf, requirementsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import type { Extra } from './ledgerLayout';

const BY_COLUMN = { LOST: 'lost', MASS: 'mass', ACROSS: 'across' } as const;

/** Columns that the operator wants, and those that what is asked or preferred speaks of. */
export function useExtras(): Extra[] {
  const { plan } = useSheet();
  const { ledgerColumns } = usePreferences().settings;
  return useMemo(() => {
    const asked = requirementsOf(plan)
      .filter((r) => !r.off)
      .map((r) => r.kind);
    const isMass =
      preferenceOf(plan) === 'LIGHTEST' ||
      asked.includes('MOST_MASS') ||
      asked.includes('MOST_MASS_ON_MAST');
    return [
      ...ledgerColumns.map((column) => BY_COLUMN[column]),
      ...(isMass ? (['mass'] as const) : []),
      ...(asked.includes('DUCT_BORE') ? (['across'] as const) : []),
    ];
  }, [plan, ledgerColumns]);
}
