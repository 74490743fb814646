import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { CableCurves, CableType } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Plot, QuantityField, SaveDrawing, Toggle } from '../../ui';
import {
  fixed,
  fractionLeft,
  frequencyText,
  lengthFigure,
  lengthText,
  per100,
  plain,
  powerText,
  SERVICES,
  significant,
  unitsBeside,
} from '../../units';

const POINTS = 121;
const FROM_MHZ = 1;
const TO_MHZ = 3000;

/** Bands that stand far enough apart to be read. */
const MARKED = ['80 m', '20 m', '10 m', '2 m', '70 cm', '23 cm'];

type Figure = 'attenuationDbPer100m' | 'averagePowerW';

/** What cables lose, or bear, over frequency; and a reading at any frequency and length. */
export function CurvePane({
  types,
  order,
}: {
  types: readonly CableType[];
  /** Keys in the order in which they are drawn. */
  order: readonly string[];
}) {
  const { settings, lengths } = usePreferences();
  const drawn = useRef<HTMLDivElement>(null);
  const [figure, setFigure] = useState<Figure>('attenuationDbPer100m');
  const [isLog, setLog] = useState(true);
  const [reading, setReading] = useState({ frequencyMHz: 145, lengthM: 30, powerW: 100 });
  const frequencies = Array.from({ length: POINTS }, (_, i) =>
    isLog
      ? FROM_MHZ * (TO_MHZ / FROM_MHZ) ** (i / (POINTS - 1))
      : FROM_MHZ + ((TO_MHZ - FROM_MHZ) * i) / (POINTS - 1),
  );
  const curves = useCurves(order, frequencies, reading.lengthM);
  const read = useCurves(order, [reading.frequencyMHz], reading.lengthM);
  const nameOf = (key: string) => types.find((t) => t.key === key)?.name ?? key;
  const first = curves?.curves[0];
  const isLoss = figure === 'attenuationDbPer100m';
  const floor =
    isLoss && first?.points[0]?.floorDbPer100m != null
      ? [
          {
            id: 'floor',
            label: 'copper’s floor',
            points: first.points.map((p, i) => ({
              x: frequencies[i] ?? 0,
              y: per100(p.floorDbPer100m ?? NaN),
            })),
          },
        ]
      : [];
  const region = settings.region - 1;
  const marks = (SERVICES[0]?.bands ?? [])
    .filter((b) => MARKED.includes(b.name))
    .map((b) => ({ x: b.byRegion[region] ?? 0, label: b.name }));

  return (
    <div className="pb-3">
      <div className="flex flex-wrap items-baseline gap-x-4 pb-1">
        <Toggle
          label="what is drawn"
          value={figure}
          options={[
            ['attenuationDbPer100m', 'what is lost'],
            ['averagePowerW', 'what it bears'],
          ]}
          onChange={setFigure}
        />
        <Toggle
          label="axes"
          value={isLog ? 'log' : 'linear'}
          options={[
            ['log', 'by ratio'],
            ['linear', 'evenly'],
          ]}
          onChange={(v) => setLog(v === 'log')}
        />
      </div>
      <div ref={drawn}>
        <Plot
          label={isLoss ? 'attenuation over frequency' : 'average power over frequency'}
          xLabel="MHz"
          yLabel={isLoss ? unitsBeside().loss : 'W'}
          height={250}
          isLog={isLog}
          isLogY={isLog}
          fromZero={!isLog}
          marks={marks}
          say={significant}
          sayX={(v) => plain(Number(v.toPrecision(3)), 1)}
          curves={[
            ...(curves?.curves ?? []).map((c) => ({
              id: c.key,
              label: nameOf(c.key),
              points: c.points.map((p, i) => ({
                x: frequencies[i] ?? 0,
                y: isLoss ? per100(p[figure] ?? NaN) : (p[figure] ?? NaN),
              })),
            })),
            ...floor,
          ]}
        />
      </div>
      <SaveDrawing name={isLoss ? 'attenuation' : 'average power'} drawn={drawn} />
      <div className="flex flex-wrap items-baseline gap-x-3 pt-2">
        <span className="text-soft">at</span>
        <QuantityField
          label="frequency of the reading"
          kind="frequency"
          unit="mhz"
          unitLabel="MHz"
          value={reading.frequencyMHz}
          show={(v) => plain(v, 4)}
          say={frequencyText}
          onCommit={(frequencyMHz) => setReading({ ...reading, frequencyMHz })}
        />
        <span className="text-soft">over</span>
        <QuantityField
          label="length of the reading"
          kind="length"
          unit={lengths}
          unitLabel={lengths}
          value={reading.lengthM}
          show={(v) => lengthFigure(v, lengths)}
          say={(v) => lengthText(v, lengths)}
          onCommit={(lengthM) => setReading({ ...reading, lengthM })}
        />
        <span className="text-soft">of</span>
        <QuantityField
          label="power of the reading"
          kind="power"
          unit="w"
          unitLabel="W"
          value={reading.powerW}
          show={(v) => plain(v)}
          say={powerText}
          onCommit={(powerW) => setReading({ ...reading, powerW })}
        />
      </div>
      <ul className="pt-1">
        {(read?.curves ?? []).map((c) => {
          const p = c.points[0];
          if (!p) return null;
          const left = fractionLeft(p.lossDb);
          return (
            <li key={c.key} className="flex flex-wrap gap-x-3">
              <span className="w-36 truncate font-semibold">{nameOf(c.key)}</span>
              <span className="figures">−{fixed(p.lossDb, 2)} dB</span>
              <span className="figures">{significant(100 * left)} %</span>
              <span className="figures">{powerText(reading.powerW * left)}</span>
              {p.averagePowerW !== null && (
                <span className="text-soft">bears {powerText(p.averagePowerW)}</span>
              )}
              {p.extrapolated && <span className="text-marginal">beyond its sheet</span>}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function useCurves(
  keys: readonly string[],
  frequenciesMHz: number[],
  lengthM: number,
): CableCurves | undefined {
  return useQuery({
    queryKey: ['curves', keys, frequenciesMHz, lengthM],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/cable-types/curves', {
          body: { keys: [...keys], frequenciesMHz, lengthM },
          signal,
        }),
      ),
    enabled: keys.length > 0,
    placeholderData: keepPreviousData,
  }).data;
}
