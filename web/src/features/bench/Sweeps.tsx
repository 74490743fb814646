import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { BenchAnalysis, BenchFile, BenchNotes } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Plot, Toggle } from '../../ui';
import { fixed, frequencyText, lengthText, plain, significant } from '../../units';
import type { LengthUnit } from '../../units';
import { capital } from '../../words';
import { LookAlong } from './LookAlong';
import { MOST_FILE_BYTES } from './notes';

type FileField = 'throughFileId' | 'openFileId' | 'shortedFileId' | 'terminatedFileId';

const FIELDS: Record<FileField, string> = {
  throughFileId: 'sweep from end to end (.s2p)',
  openFileId: 'far end open (.s1p)',
  shortedFileId: 'far end shorted (.s1p)',
  terminatedFileId: 'far end on a load (.s1p), to look along it',
};

interface Props {
  notes: BenchNotes;
  analysis: BenchAnalysis | undefined;
  /** Sweeps that are known already, as those of a stored test. */
  files: readonly BenchFile[];
  onChange: (notes: BenchNotes) => void;
  onFile: (file: BenchFile) => void;
}

/** The sweeps of a test: the files, and the curve of what the cable loses. */
export function Sweeps({ notes, analysis, files, onChange, onFile }: Props) {
  const fields: FileField[] =
    notes.method === 'THROUGH_SWEEP'
      ? ['throughFileId']
      : ['openFileId', 'shortedFileId', 'terminatedFileId'];
  const looked =
    notes.method === 'THROUGH_SWEEP'
      ? notes.throughFileId
      : (notes.terminatedFileId ?? notes.openFileId ?? notes.shortedFileId);
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        {fields.map((field) => (
          <SweepFile
            key={field}
            label={FIELDS[field]}
            file={files.find((f) => f.id === notes[field])}
            onRead={(file) => {
              onFile(file);
              onChange({ ...notes, [field]: file.id });
            }}
            onDrop={() => onChange({ ...notes, [field]: undefined })}
          />
        ))}
      </div>
      {analysis && analysis.curve.length > 0 && <SweptCurve analysis={analysis} />}
      {looked && (
        <LookAlong
          notes={notes}
          fileId={looked}
          measured={analysis?.line?.velocityFactor ?? null}
          onChange={onChange}
        />
      )}
    </div>
  );
}

function SweepFile({
  label,
  file,
  onRead,
  onDrop,
}: {
  label: string;
  file: BenchFile | undefined;
  onRead: (file: BenchFile) => void;
  onDrop: () => void;
}) {
  const read = useMutation({
    mutationFn: async (chosen: File) => {
      if (chosen.size > MOST_FILE_BYTES) {
        throw new Error(
          `the file ${chosen.name} has ${fixed(chosen.size / 1024 / 1024, 0)} MB; a sweep of at most 4 MB is read. Take fewer points`,
        );
      }
      const text = await chosen.text();
      return answered(api.POST('/api/bench/files', { body: { fileName: chosen.name, text } }));
    },
    onSuccess: onRead,
  });
  return (
    <div className="flex max-w-md flex-col gap-0.5">
      <label className="flex flex-col gap-0.5">
        <span className="text-small text-soft">{label}</span>
        <input
          type="file"
          aria-label={label}
          className={file ? 'hidden' : undefined}
          accept=".s1p,.s2p,.txt"
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            if (chosen) read.mutate(chosen);
          }}
        />
      </label>
      {read.isPending && <span role="status">reading …</span>}
      {read.isError && (
        <span role="alert" className="text-fail">
          {capital(read.error.message)}.
        </span>
      )}
      {file && (
        <span className="flex flex-wrap gap-x-3 text-fine text-soft">
          <span>
            {file.fileName}: {file.points} points, {frequencyText(file.lowestMHz)} to{' '}
            {frequencyText(file.highestMHz)}, {plain(file.referenceOhm, 1)} Ω
          </span>
          <span>
            save it as{' '}
            {(['RI', 'MA', 'DB'] as const).map((form) => (
              <a
                key={form}
                className="quiet mr-1.5 underline"
                href={`/api/bench/files/${file.id}/touchstone?form=${form}`}
              >
                {form}
              </a>
            ))}
          </span>
          <button type="button" className="quiet" onClick={onDrop}>
            Remove this sweep
          </button>
        </span>
      )}
    </div>
  );
}

function SweptCurve({ analysis }: { analysis: BenchAnalysis }) {
  const { lengths } = usePreferences();
  const [isMatch, setMatch] = useState(false);
  const { curve, line } = analysis;
  const hasMatch = curve.some((p) => p.returnLossDb !== null);
  const loss = [
    {
      id: 'measured',
      label: 'measured',
      points: curve.map((p) => ({ x: p.frequencyMHz, y: p.lossDb })),
    },
    ...(curve.some((p) => p.expectedDb !== null)
      ? [
          {
            id: 'expected',
            label: 'expected',
            points: curve.map((p) => ({ x: p.frequencyMHz, y: p.expectedDb ?? NaN })),
          },
        ]
      : []),
  ];
  const match = [
    {
      id: 'match',
      label: 'return loss',
      points: curve.map((p) => ({ x: p.frequencyMHz, y: p.returnLossDb ?? NaN })),
    },
  ];
  return (
    <div>
      {hasMatch && (
        <Toggle
          label="what is drawn"
          value={isMatch ? 'match' : 'loss'}
          options={[
            ['loss', 'what it loses'],
            ['match', 'how it matches'],
          ]}
          onChange={(v) => setMatch(v === 'match')}
        />
      )}
      <Plot
        label={isMatch ? 'return loss over frequency' : 'loss over frequency'}
        xLabel="MHz"
        yLabel="dB"
        height={210}
        isLog
        fromZero={!isMatch}
        marks={analysis.figures.map((f) => ({
          x: f.frequencyMHz,
          label: `${plain(f.frequencyMHz, 1)}`,
        }))}
        say={significant}
        sayX={(v) => plain(Number(v.toPrecision(4)), 2)}
        curves={isMatch ? match : loss}
      />
      {line && (
        <p className="flex flex-wrap gap-x-5 text-fine">
          {line.impedanceOhm !== null && (
            <span>
              {fixed(line.impedanceOhm, 1)} ± {fixed(line.impedanceUncertaintyOhm, 1)} Ω
            </span>
          )}
          {line.velocityFactor !== null && (
            <span>
              velocity factor {fixed(line.velocityFactor, 3)} ±{' '}
              {fixed(line.velocityFactor * line.lengthUncertainty, 3)}
            </span>
          )}
          {line.lengthM !== null && (
            <span>
              {about(line.lengthM, lengths)}
              {line.lengthUncertaintyM !== null &&
                ` ± ${about(line.lengthUncertaintyM, lengths)}`}{' '}
              long by the velocity factor of its type
            </span>
          )}
          <span className="text-soft">
            these steps follow a line of up to {about(line.longestM, lengths)}
          </span>
        </p>
      )}
    </div>
  );
}

/** A measured length has no millimetres. */
function about(metres: number, unit: LengthUnit): string {
  return lengthText(Number(metres.toPrecision(3)), unit);
}
