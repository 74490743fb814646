import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api';
import { answered, api } from '../../api';
import { Select } from '../../ui';
import { capital } from '../../words';
import { upload } from './upload';

type Part = Schemas['PartResponse'];
type Take = Part['offered'][number];

const KINDS: Record<Part['kind'], string> = {
  CABLE_TYPE: 'cable type',
  CONNECTOR: 'connector',
  PIECE: 'piece',
  KIT: 'kit',
  SITE: 'site',
  DEVICE: 'device',
  TEST: 'test',
  PLAN: 'plan',
  SETTINGS: 'settings',
};

const TAKES: Record<Take, string> = {
  MINE: 'keep mine',
  THEIRS: 'take the file’s',
  BOTH: 'have both',
};

const idOf = (part: Part) => `${part.kind} ${part.id}`;

/** A file that came from elsewhere: what it brings is shown first, what clashes is asked, and it is taken whole or not at all. */
export function FilePanel({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const [choices, setChoices] = useState<ReadonlyMap<string, Take>>(new Map());
  const [percent, setPercent] = useState(0);
  const stop = useRef<AbortController | null>(null);
  const preview = useMutation({
    mutationFn: async (file: File) => {
      stop.current = new AbortController();
      setPercent(0);
      const uploadId = await upload(file, setPercent, stop.current.signal);
      return {
        fileName: file.name,
        uploadId,
        answer: await answered(api.POST('/api/transfers/previews', { body: { uploadId } })),
      };
    },
    onSuccess: () => {
      setChoices(new Map());
      take.reset();
    },
  });
  const take = useMutation({
    mutationFn: (body: Schemas['TransferRequest']) =>
      answered(api.POST('/api/transfers', { body })),
    onSuccess: () => void queries.invalidateQueries(),
  });
  const parts = preview.data?.answer.parts ?? [];
  const clashes = parts.filter((p) => p.state === 'CLASH');
  const fresh = parts.filter((p) => p.state === 'NEW');
  const same = parts.filter((p) => p.state === 'SAME');
  const isDecided = clashes.every((c) => choices.has(idOf(c)));
  const failed = [preview.error, take.error].find((e) => e && e.name !== 'AbortError');

  return (
    <section
      aria-label="a file from elsewhere"
      className="flex flex-col gap-3 border-y border-hairline bg-raised px-4 py-3"
    >
      <span className="flex flex-wrap items-baseline gap-x-4">
        <label className="flex flex-wrap items-baseline gap-x-3">
          <span className="font-semibold">A plan or a workspace from a file</span>
          <input
            type="file"
            accept=".json,application/json"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) preview.mutate(file);
            }}
          />
        </label>
        <button type="button" className="quiet ml-auto" onClick={onClose}>
          Close
        </button>
      </span>
      {preview.isPending && <Sending percent={percent} onStop={() => stop.current?.abort()} />}
      {failed && (
        <p role="alert" className="text-fail">
          {capital(failed.message)}.
        </p>
      )}
      {take.data ? (
        <p role="status">
          {preview.data?.fileName} was taken.{' '}
          {take.data.parts
            .filter((p) => p.kind === 'PLAN' && p.state === 'NEW')
            .map((p) => (
              <Link key={p.id} className="quiet mr-3 underline" to={`/plans/${p.id}`}>
                {p.name}
              </Link>
            ))}
        </p>
      ) : (
        preview.data && (
          <>
            <p>
              {fresh.length} new, {same.length} here already, {clashes.length}{' '}
              {clashes.length === 1 ? 'clashes' : 'clash'}
              {preview.data.answer.sweeps > 0 && `; ${preview.data.answer.sweeps} sweeps with them`}
              .
            </p>
            {clashes.length > 0 && (
              <Clashes clashes={clashes} choices={choices} onChoose={setChoices} />
            )}
            {fresh.length > 0 && (
              <details>
                <summary>what is new</summary>
                <ul className="max-h-60 overflow-y-auto text-body">
                  {fresh.map((p) => (
                    <li key={idOf(p)}>
                      <span className="text-soft">{KINDS[p.kind]}</span> {p.name}
                    </li>
                  ))}
                </ul>
              </details>
            )}
            <span>
              <button
                type="button"
                className="action"
                disabled={!isDecided || take.isPending || fresh.length + clashes.length === 0}
                onClick={() =>
                  take.mutate({
                    uploadId: preview.data.uploadId,
                    choices: clashes.map((c) => ({
                      kind: c.kind,
                      id: c.id,
                      take: choices.get(idOf(c)) ?? 'MINE',
                    })),
                  })
                }
              >
                {take.isPending ? 'taking it …' : 'Take it'}
              </button>
            </span>
          </>
        )
      )}
    </section>
  );
}

/** Each thing that says something else here than in the file, and what becomes of it. */
function Clashes({
  clashes,
  choices,
  onChoose,
}: {
  clashes: Part[];
  choices: ReadonlyMap<string, Take>;
  onChoose: (choices: ReadonlyMap<string, Take>) => void;
}) {
  return (
    <ul aria-label="what clashes" className="flex flex-col gap-1">
      {clashes.map((c) => (
        <li key={idOf(c)} className="flex flex-wrap items-baseline gap-x-3">
          <span className="text-soft">{KINDS[c.kind]}</span>
          <span className="font-semibold">{c.name}</span>
          <span className="text-soft">says something else here:</span>
          <Select
            label={`what becomes of ${c.name}`}
            value={choices.get(idOf(c)) ?? ''}
            options={c.offered.map((t) => ({ value: t as string, text: TAKES[t] }))}
            onChange={(t) => onChoose(new Map(choices).set(idOf(c), t as Take))}
          />
        </li>
      ))}
      {clashes.length > 1 && (
        <li className="flex gap-4">
          {(['MINE', 'THEIRS', 'BOTH'] as const).map((t) => (
            <button
              key={t}
              type="button"
              className="quiet"
              onClick={() =>
                onChoose(
                  new Map(
                    clashes.map((c) => [
                      idOf(c),
                      c.offered.includes(t) ? t : (choices.get(idOf(c)) ?? 'MINE'),
                    ]),
                  ),
                )
              }
            >
              {TAKES[t]}, for all of them
            </button>
          ))}
        </li>
      )}
    </ul>
  );
}

function Sending({ percent, onStop }: { percent: number; onStop: () => void }) {
  return (
    <span className="flex items-center gap-3">
      <progress aria-label="sending the file" max={100} value={percent} className="h-2 w-48" />
      <span role="status">
        {percent < 100 ? `sending it, ${Math.round(percent)} %` : 'reading it …'}
      </span>
      <button type="button" className="quiet" onClick={onStop}>
        Stop
      </button>
    </span>
  );
}
