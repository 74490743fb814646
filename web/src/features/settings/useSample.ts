import { useQuery } from '@tanstack/react-query';
import { answered, api, usePlans } from '../../api';
import { usePreferences } from '../../app/preferences';
import { degreesText, lengthText, levelText, massText, shownReading } from '../../units';
import { moneyText, reasonText, words } from '../../words';

/** One line of a sheet for each kind of settings, of the first plan there is; null while there is none. */
export function useSample(): { reading: string; money: string; judged: string } | null {
  const { reading, lengths, settings } = usePreferences();
  const first = usePlans({ limit: 10 }).data?.items.find((p) => p.sketch !== null);
  const answer = useQuery({
    queryKey: ['in-run', first?.id, null],
    queryFn: () =>
      answered(api.GET('/api/plans/{id}/in-run', { params: { path: { id: first?.id ?? '' } } })),
    enabled: first !== undefined,
  });
  const inRun = answer.data;
  if (!inRun) return null;
  const { row, assessment } = inRun;
  const band = assessment.bands?.[row.decidingBand];
  const cell = row.cells[row.decidingBand];
  const level = { lossDb: cell?.totalLossDb ?? 0, watts: cell?.powerAtAntennaW ?? null };
  const name = band?.name ?? `${band?.frequencyMHz} MHz`;
  const lengthM = row.assignment.reduce((sum, a) => sum + a.lengthM, 0);
  const [reason] = row.reasons;
  return {
    reading: [
      `${lengthText(lengthM, lengths)} of ${row.name}`,
      `${levelText(level, shownReading(reading, level.watts !== null))} on ${name}`,
      row.mass && massText(row.mass.totalKg),
      `at ${degreesText(assessment.ambientC ?? 20)}`,
    ]
      .filter(Boolean)
      .join(', '),
    money: `${row.name} ${row.cost ? moneyText(row.cost) : 'has no price'}; a dB ${moneyText({ amount: settings.cableWorthPerDb, currency: settings.currency })}`,
    judged: `${row.name} ${words.judged[row.verdict]}${reason ? `: ${reasonText(reason, name)}` : ''}`,
  };
}
