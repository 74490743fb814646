import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import type { Ledger, Schemas } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { FEET_PER_METRE, amountOf, shownReading, unitOf } from '../../../units';
import type { Reading } from '../../../units';
import { bandsOf, candidateLengthM, comparisonOf } from '../document/model';
import { useSheet } from '../sheetContext';

type Point = Schemas['CurvePointResponse'];
export type Over = 'frequency' | 'length';
export type Figure = 'arrives' | 'swrAtRadio' | 'swrAtAntenna' | 'matched';

const POINTS = 201;

/** The view reaches so far beyond the lowest and the highest band. */
const BEYOND = 1.5;

/** What is drawn over frequency or over length, and of which rows. */
export function useSweep() {
  const { plan, focus, ledger, row, hasWatts } = useSheet();
  const { reading, lengths, settings } = usePreferences();
  const [over, setOver] = useState<Over>('frequency');
  const [figure, setFigure] = useState<Figure>('arrives');
  const [chosen, setRows] = useState<string[] | null>(null);
  const [range, setRange] = useState<{ from?: number; to?: number; length?: number }>({});

  const bands = bandsOf(plan);
  const frequencies = bands.map((b) => b.frequencyMHz ?? 0).filter((f) => f > 0);
  const from = range.from ?? Math.max(0.1, Math.min(...frequencies) / BEYOND);
  const to = range.to ?? Math.min(30_000, Math.max(...frequencies) * BEYOND);
  const toM = range.length ?? Math.max(10, 2 * candidateLengthM(plan));
  const rows = chosen ?? usualRows(ledger, row?.id);
  const shown = shownReading(reading, hasWatts);
  const request = {
    comparison: comparisonOf(plan, settings.tolerances, []),
    rowIds: rows,
    ...(over === 'frequency'
      ? { overFrequency: { fromMHz: from, toMHz: to, points: POINTS } }
      : { overLength: { band: focus, toM, points: POINTS } }),
  };
  const answer = useQuery({
    queryKey: ['sweep', request],
    queryFn: ({ signal }) => answered(api.POST('/api/sweeps', { body: request, signal })),
    enabled: rows.length > 0 && bands.length > 0,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  const scale = over === 'length' && lengths === 'ft' ? FEET_PER_METRE : 1;
  return {
    over,
    setOver,
    figure,
    setFigure,
    rows,
    setRows,
    from,
    to,
    toM,
    setFrom: (v: number) => v < to && setRange({ ...range, from: v }),
    setTo: (v: number) => v > from && setRange({ ...range, to: v }),
    setLength: (v: number) => setRange({ ...range, length: v }),
    answer,
    /** Shown figures over shown lengths: metres times this. */
    scale,
    shown,
    unit: unitFor(figure, shown),
    curves: curvesOf(answer.data, scale, (p) => valueOf(p, figure, shown)),
  };
}

export type Sweep = ReturnType<typeof useSweep>;

export function isSwr(figure: Figure): figure is 'swrAtRadio' | 'swrAtAntenna' {
  return figure === 'swrAtRadio' || figure === 'swrAtAntenna';
}

function unitFor(figure: Figure, shown: Reading): string {
  return isSwr(figure) ? 'SWR' : figure === 'matched' ? 'dB' : unitOf(shown);
}

/** A point as it is drawn; no number where there is none, so that the curve is broken there. */
export function valueOf(point: Point | null, figure: Figure, shown: Reading): number {
  if (point === null) return NaN;
  if (isSwr(figure)) return point[figure] ?? Infinity;
  if (figure === 'matched') return point.matchedLossDb;
  return amountOf({ lossDb: point.totalLossDb, watts: point.powerAtAntennaW }, shown);
}

export function curvesOf(
  answer: Schemas['SweepResponse'] | undefined,
  scale: number,
  value: (point: Point | null) => number,
) {
  return (answer?.rows ?? []).map((row) => ({
    id: row.id,
    label: row.name,
    points: row.points.flatMap((p, i) => {
      const x = (answer?.at[i] ?? 0) * scale;
      const isOfAnother = i > 0 && answer?.bands[i] !== answer?.bands[i - 1];
      // one band's antenna ends where the next one's begins: the curve is broken, not steep
      return [...(isOfAnother ? [{ x, y: NaN }] : []), { x, y: value(p) }];
    }),
  }));
}

/** The row in the run, and the first that passes. */
export function usualRows(ledger: Ledger | undefined, inRun: string | undefined): string[] {
  const first = ledger?.rows.find((r) => r.verdict === 'PASS')?.id;
  const usual = [inRun, first].filter((id) => id != null);
  return [...new Set(usual)];
}
