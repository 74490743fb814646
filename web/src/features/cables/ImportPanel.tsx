import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../api';
import { answered, api } from '../../api';
import { capital } from '../../words';

type Row = Schemas['ImportedRowResponse'];

const WHAT: Record<Row['what'], string> = {
  NEW: 'new',
  CHANGED: 'changed',
  SAME: 'the same',
  REFUSED: 'refused',
};

interface Read {
  fileName: string;
  text: string;
}

/** Cable types and connectors out of a file: what each row would bring, before anything is stored; and the way back. */
export function ImportPanel({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  const refresh = () => {
    for (const queryKey of [['cable-types'], ['connectors'], ['comparison'], ['curves']]) {
      void queries.invalidateQueries({ queryKey });
    }
  };
  const preview = useMutation({
    mutationFn: async (file: File) => {
      const read: Read = { fileName: file.name, text: await utf8(file) };
      const answer = await answered(api.POST('/api/catalogue/imports/preview', { body: read }));
      return { read, rows: answer.rows };
    },
    onSuccess: () => {
      setLeftOut(new Set());
      take.reset();
      undo.reset();
    },
  });
  const take = useMutation({
    mutationFn: ({ read, lines }: { read: Read; lines: number[] }) =>
      answered(api.POST('/api/catalogue/imports', { body: { ...read, lines } })),
    onSuccess: refresh,
  });
  const undo = useMutation({
    mutationFn: (id: string) =>
      answered(api.DELETE('/api/catalogue/imports/{id}', { params: { path: { id } } })),
    onSuccess: refresh,
  });
  const rows = preview.data?.rows ?? [];
  const lines = rows
    .filter((r) => (r.what === 'NEW' || r.what === 'CHANGED') && !leftOut.has(r.line))
    .map((r) => r.line);
  const importId = take.data?.importId ?? null;
  const failed = preview.error ?? take.error ?? undo.error;

  return (
    <section aria-label="import cable types" className="flex flex-col gap-3">
      <h2 className="text-heading font-bold">Cables and connectors from a file</h2>
      <label className="flex flex-col gap-1">
        <span className="text-soft">
          CSV or JSON as Eskiz writes them; columns may be in any order, and some may be left out
        </span>
        <input
          type="file"
          accept=".csv,.json"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) preview.mutate(file);
          }}
        />
      </label>
      {preview.isPending && <p role="status">reading …</p>}
      {failed && (
        <p role="alert" className="text-fail">
          {capital(failed.message)}.
        </p>
      )}
      {rows.length > 0 && (
        <ImportRows
          rows={rows}
          leftOut={leftOut}
          isOpen={importId === null}
          onToggle={(line) => setLeftOut(toggled(leftOut, line))}
        />
      )}
      {importId !== null && (
        <p role="status" className="border-l-[3px] border-blue bg-raised px-3 py-2">
          {undo.isSuccess ? (
            'Taken back: what was new is retired, what was changed is as it was.'
          ) : (
            <>
              {lines.length} {lines.length === 1 ? 'row is' : 'rows are'} stored.{' '}
              <button
                type="button"
                className="quiet font-semibold"
                disabled={undo.isPending}
                onClick={() => undo.mutate(importId)}
              >
                Take it back
              </button>
            </>
          )}
        </p>
      )}
      <span className="flex items-baseline gap-4">
        {preview.data && importId === null && (
          <button
            type="button"
            className="action"
            disabled={lines.length === 0 || take.isPending}
            onClick={() => take.mutate({ read: preview.data.read, lines })}
          >
            {lines.length === 0
              ? 'Nothing to store'
              : `Store ${lines.length} ${lines.length === 1 ? 'row' : 'rows'}`}
          </button>
        )}
        <button type="button" className="quiet" onClick={onClose}>
          Close
        </button>
      </span>
    </section>
  );
}

/** What each row would bring; those that would change something can be left out. */
function ImportRows({
  rows,
  leftOut,
  isOpen,
  onToggle,
}: {
  rows: Row[];
  leftOut: ReadonlySet<number>;
  /** Whether nothing is stored yet. */
  isOpen: boolean;
  onToggle: (line: number) => void;
}) {
  return (
    <div className="max-h-[420px] overflow-y-auto" role="region" aria-label="rows" tabIndex={0}>
      <table className="w-full text-fine">
        <thead className="text-left text-small text-soft">
          <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:font-normal">
            <th scope="col">line</th>
            <th scope="col">cable or connector</th>
            <th scope="col">it is</th>
            <th scope="col">what</th>
            <th scope="col">
              <span className="sr-only">taken</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => {
            const isOut = leftOut.has(r.line);
            const isTakable = r.what === 'NEW' || r.what === 'CHANGED';
            return (
              <tr
                key={r.line}
                data-what={r.what}
                className={`align-baseline [&>td]:border-b [&>td]:border-hairline [&>td]:py-1 [&>td]:pr-3 ${isOut ? 'text-soft line-through' : ''}`}
              >
                <td className="figures">{r.line}</td>
                <td className="font-semibold">
                  {r.name ?? r.key ?? '–'}
                  {r.part === 'CONNECTOR' && (
                    <span className="font-normal text-soft"> connector</span>
                  )}
                </td>
                <td className={r.what === 'REFUSED' ? 'text-fail' : ''}>{WHAT[r.what]}</td>
                <td>{r.why ?? r.changed.join(', ')}</td>
                <td>
                  {isTakable && isOpen && (
                    <button
                      type="button"
                      className="quiet"
                      aria-label={`${isOut ? 'Take' : 'Leave out'} ${r.name ?? `line ${r.line}`}`}
                      onClick={() => onToggle(r.line)}
                    >
                      {isOut ? 'Take it' : 'Leave it out'}
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The text of a file; a file in another encoding is refused rather than read with holes in it. */
async function utf8(file: File): Promise<string> {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    throw new Error(`${file.name} is not encoded in UTF-8; save it as UTF-8 and try again`);
  }
}

function toggled(set: ReadonlySet<number>, item: number): ReadonlySet<number> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}
