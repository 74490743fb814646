import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Schemas, SheetText } from '../../../api';
import { answered, api } from '../../../api';
import { useSettled } from '../../../ui';
import { numberIn } from './draft';
import type { Draft, NumberName } from './draft';

type Request = Schemas['SheetTextRequest'];

/** The table is read so long after the last key. */
const SETTLED_MS = 250;

/** The rows of a sheet as they are read, how they are to be read, and which are left out. */
export interface SheetReading {
  lossPer: Request['lossPer'];
  setLossPer: (lossPer: Request['lossPer']) => void;
  frequencyUnit: Request['frequencyUnit'];
  setFrequencyUnit: (unit: Request['frequencyUnit']) => void;
  /** Of several cables side by side, which; from 2, the frequencies being the first. */
  setLossColumn: (column: number) => void;
  swapColumns: () => void;
  read: SheetText | undefined;
  error: Error | null;
  /** Whether what is read is older than what is typed. */
  isOld: boolean;
  isReady: boolean;
  leftOut: ReadonlySet<number>;
  leaveOut: (line: number) => void;
  leaveNothingOut: () => void;
  /** The rows that are taken. */
  points: { frequencyMHz: number; attenuationDbPer100m: number }[];
}

export function useSheetText(draft: Draft): SheetReading {
  const [lossPer, setLossPer] = useState<Request['lossPer']>();
  const [frequencyUnit, setFrequencyUnit] = useState<Request['frequencyUnit']>();
  const [lossColumn, setLossColumn] = useState<number>();
  const [swapped, setSwapped] = useState<boolean>();
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  const wanted = useMemo(
    () => ({ ...requestFor(draft), lossPer, frequencyUnit, lossColumn, swapped }),
    [draft, lossPer, frequencyUnit, lossColumn, swapped],
  );
  const request = useSettled(wanted, SETTLED_MS);
  const reading = useQuery({
    queryKey: ['sheet', request],
    queryFn: ({ signal }) => answered(api.POST('/api/sheets', { body: request, signal })),
    enabled: request.text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });
  const isEmpty = draft.sheet.trim() === '';
  const read = isEmpty ? undefined : reading.data;
  const points = useMemo(
    () =>
      (read?.rows ?? [])
        .filter((r) => !leftOut.has(r.line))
        .map(({ frequencyMHz, attenuationDbPer100m }) => ({ frequencyMHz, attenuationDbPer100m })),
    [read, leftOut],
  );
  const isOld = request !== wanted;
  return {
    lossPer,
    setLossPer,
    frequencyUnit,
    setFrequencyUnit,
    setLossColumn,
    swapColumns: () => setSwapped((was) => !was || undefined),
    read,
    error: isEmpty ? null : reading.error,
    isOld,
    isReady: read !== undefined && !reading.isError && !isOld,
    leftOut,
    leaveOut: (line) => setLeftOut(toggled(leftOut, line)),
    leaveNothingOut: () => setLeftOut(new Set()),
    points,
  };
}

/** With what is known of a coaxial cable, by which its losses can be checked. */
function requestFor(draft: Draft): Request {
  const number = (name: NumberName) => {
    const value = numberIn(draft, name);
    return typeof value === 'number' ? value : undefined;
  };
  return {
    text: draft.sheet,
    ...(!draft.balanced && {
      impedanceOhm: number('impedanceOhm'),
      velocityFactor: number('velocityFactor'),
      outerDiameterMm: number('outerDiameterMm'),
      shieldBoreMm: number('shieldBoreMm'),
      shield: draft.shield.trim() || undefined,
    }),
  };
}

function toggled(set: ReadonlySet<number>, item: number): ReadonlySet<number> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}
