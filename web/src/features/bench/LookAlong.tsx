import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { BenchNotes, Schemas } from '../../api';
import { answered, api, useCableTypes } from '../../api';
import { PlanChoice } from '../../app/PlanChoice';
import { usePreferences } from '../../app/preferences';
import { QuantityField, Select, useWidth } from '../../ui';
import { fixed, lengthText, plain } from '../../units';
import { alongRun } from './alongPlan';
import { capital, PEAK_WORDS, peakSentence, sentences, WINDOW_WORDS } from '../../words';

type Distances = Schemas['DistanceResponse'];
type Window = NonNullable<Schemas['DistanceRequest']['window']>;

const HEIGHT = 120;
const LINE = 92;
const LEFT = 8;

/** A figure centred here would be cut off, px. */
const NEAR_THE_EDGE = 20;

/** What reflects where along the line, drawn above the line itself. */
export function LookAlong({
  notes,
  fileId,
  measured,
  onChange,
}: {
  notes: BenchNotes;
  fileId: string;
  /** Velocity factor of the sweep itself, where its length is known. */
  measured: number | null;
  onChange: (notes: BenchNotes) => void;
}) {
  const [velocity, setVelocity] = useState<number | null>(null);
  const [window, setWindow] = useState<Window>('KAISER');
  const { lengths } = usePreferences();
  const types = useCableTypes().data ?? [];
  const planned = useQuery({
    queryKey: ['plan of a test', notes.planId],
    queryFn: () =>
      answered(api.GET('/api/plans/{id}', { params: { path: { id: notes.planId ?? '' } } })),
    enabled: notes.planId !== undefined,
  }).data;
  const along = planned
    ? alongRun(
        planned.document.assessment?.run ?? [],
        (key) => types.find((t) => t.key === key)?.name ?? key,
      )
    : null;
  const lengthM = notes.lengthM ?? along?.lengthM;
  const jointsM = along?.places.map((p) => p.atM) ?? [];
  const look = useQuery({
    queryKey: [
      'bench',
      'distances',
      fileId,
      notes.cableKey,
      lengthM,
      jointsM,
      velocity,
      measured,
      window,
    ],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/bench/distances', {
          body: {
            fileId,
            window,
            cableKey: notes.cableKey,
            lengthM,
            jointsM,
            velocityFactor: velocity ?? measured ?? (notes.cableKey ? undefined : USUAL_VELOCITY),
          },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const found = look.data;
  return (
    <section aria-label="along the line" className="flex flex-col gap-1">
      <span className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h2 className="text-lead font-bold">Along the line</h2>
        {found && (
          <span className="inline-flex items-baseline gap-1 text-soft">
            at a velocity factor of
            <QuantityField
              label="velocity factor of the line"
              kind="ratio"
              unit=""
              unitLabel=""
              value={found.velocityFactor}
              show={(v) => plain(v, 3)}
              say={(v) => plain(v, 3)}
              onCommit={setVelocity}
            />
          </span>
        )}
        <label className="inline-flex items-baseline gap-1 text-soft">
          it is
          <PlanChoice
            label="plan that was measured"
            value={notes.planId ?? ''}
            none={{
              text: 'a piece by itself',
              onPick: () => onChange({ ...notes, planId: undefined }),
            }}
            onPick={(plan) => onChange({ ...notes, planId: plan.id })}
          />
        </label>
        <label className="inline-flex items-baseline gap-1 text-soft">
          window
          <Select
            label="window"
            value={window}
            options={(Object.keys(WINDOW_WORDS) as Window[]).map((value) => ({
              value,
              text: WINDOW_WORDS[value],
            }))}
            onChange={setWindow}
          />
        </label>
      </span>
      {look.isError && (
        <p role="alert" className="text-fail">
          {capital(look.error.message)}.
        </p>
      )}
      {found && (
        <>
          <Strip found={found} lengthM={lengthM} along={along} />
          <ul aria-label="reflections" className="text-fine">
            {found.peaks.length === 0 && <li>{sentences.nothingAlongIt}</li>}
            {found.peaks.map((p) => (
              <li key={p.distanceM}>{peakSentence(p, lengths)}</li>
            ))}
          </ul>
          <p className="text-fine text-soft">
            Told apart from {lengthText(Number(found.resolutionM.toPrecision(2)), lengths)}; up to{' '}
            {lengthText(Number(found.farthestM.toPrecision(3)), lengths)}, where distances begin
            again.{found.resampled && ' The steps were not even and were brought to even ones.'}
          </p>
        </>
      )}
    </section>
  );
}

/** Of solid polyethylene; stated on the sheet and to be changed there. */
const USUAL_VELOCITY = 0.66;

function Strip({
  found,
  lengthM,
  along,
}: {
  found: Distances;
  lengthM: number | undefined;
  /** The run of the plan that was measured, to be drawn below. */
  along: ReturnType<typeof alongRun> | null;
}) {
  const { lengths } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const far = found.places.at(-1)?.distanceM ?? 1;
  const most = Math.max(0.01, ...found.places.map((p) => p.reflection));
  const x = (m: number) => LEFT + (m / far) * Math.max(1, width - 2 * LEFT);
  const y = (r: number) => LINE - 12 - (r / most) * (LINE - 34);
  const end = lengthM ?? far;
  const path = found.places
    .map(
      (p, i) => `${i === 0 ? 'M' : 'L'}${x(p.distanceM).toFixed(1)} ${y(p.reflection).toFixed(1)}`,
    )
    .join('');
  return (
    <div ref={box}>
      <svg
        width={width}
        height={HEIGHT + (along ? 26 : 0)}
        role="img"
        aria-label={`reflections along the line, up to ${fixed(100 * most, 1)} %`}
        className="block"
      >
        <path d={path} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
        <path d={`M${x(0)} ${LINE}H${x(end)}`} stroke="var(--ink)" strokeWidth="5" />
        {end < far && (
          <path d={`M${x(end)} ${LINE}H${x(far)}`} stroke="var(--hairline)" strokeDasharray="3 3" />
        )}
        {along?.lines.map((l, i) => (
          <g key={`${l.name} ${i}`}>
            <path
              d={`M${x(l.fromM)} ${HEIGHT + 4}v-6M${x(l.fromM)} ${HEIGHT}H${x(l.toM)}M${x(l.toM)} ${HEIGHT + 4}v-6`}
              stroke="var(--ink)"
              fill="none"
            />
            <text
              x={x((l.fromM + l.toM) / 2)}
              y={HEIGHT + 15}
              fontSize="11"
              textAnchor="middle"
              fill="var(--ink)"
            >
              {x(l.toM) - x(l.fromM) > 7 * l.name.length ? l.name : ''}
            </text>
          </g>
        ))}
        {found.peaks.map((p) => (
          <g key={p.distanceM}>
            <path
              d={`M${x(p.distanceM)} ${y(p.reflection) - 2}V${LINE + 6}`}
              stroke="var(--blue)"
              strokeDasharray={p.kind === 'ECHO' ? '2 3' : undefined}
            />
            <text
              x={Math.min(width - 60, x(p.distanceM) + 4)}
              y={Math.max(10, y(p.reflection) + 2)}
              fontSize="11"
              fill="var(--ink)"
            >
              {PEAK_WORDS[p.kind]}
            </text>
            <text
              x={x(p.distanceM)}
              y={LINE + 20}
              fontSize="11"
              textAnchor={x(p.distanceM) < NEAR_THE_EDGE ? 'start' : 'middle'}
              fill="var(--ink-soft)"
            >
              {lengthText(Number(p.distanceM.toFixed(1)), lengths)}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
