import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { BenchNotes, Piece } from '../../api';
import { useBenchLog, useConnectors, usePieces } from '../../api';
import { Select, Term, useTyped } from '../../ui';
import { plain } from '../../units';
import { ofPiece, textOf } from './notes';

function labelled(pieces: readonly Piece[], label: string | undefined): Piece | undefined {
  const text = label?.trim().toLowerCase();
  return pieces.find((p) => p.label.toLowerCase() === text);
}

/** What is tested: the piece, and the joints that are in it. */
export function Subject({
  notes,
  onChange,
}: {
  notes: BenchNotes;
  onChange: (notes: BenchNotes) => void;
}) {
  const connectors = useConnectors().data ?? [];
  const log = useBenchLog({ limit: 100 }).items ?? [];
  const typed = useTyped(notes.piece ?? '');
  const owned = usePieces(typed === '' ? {} : { find: typed }).data?.items ?? [];
  const chosen = usePieces(notes.pieceId ? { ids: [notes.pieceId] } : null).data?.items ?? [];
  const piece = [...owned, ...chosen].find((p) => p.id === notes.pieceId);
  const [isTyped, setTyped] = useState(false);
  const meant = isTyped && !notes.pieceId ? labelled(owned, notes.piece) : undefined;
  const pieces = [
    ...new Set(
      [...owned.map((p) => p.label), ...log.map((t) => t.piece)].filter((p) => p !== null),
    ),
  ];
  // a test that was begun from the locker is of that piece; it may be said otherwise after
  useEffect(() => {
    if (piece && notes.piece === undefined) onChange(ofPiece(notes, piece));
  }, [piece, notes, onChange]);
  // a label that is typed means its piece, as soon as that is found; a test that is kept stays as it is
  useEffect(() => {
    if (meant) onChange(ofPiece(notes, meant));
  }, [meant, notes, onChange]);
  function named(text: string) {
    setTyped(true);
    const at = labelled(owned, text);
    onChange(at ? ofPiece(notes, at) : { ...notes, piece: textOf(text), pieceId: undefined });
  }
  const joints = notes.joints ?? [];
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h1 className="flex items-baseline gap-2 text-title font-bold">
        Test of
        <input
          aria-label="piece"
          list="pieces"
          placeholder="a piece, by its label"
          maxLength={120}
          autoComplete="off"
          className="in-place min-w-0 w-[20ch] font-bold"
          value={notes.piece ?? ''}
          onChange={(e) => named(e.target.value)}
        />
        <datalist id="pieces">
          {pieces.map((p) => (
            <option key={p} value={p} />
          ))}
        </datalist>
      </h1>
      {piece && (
        <Link className="quiet text-fine" to={`/locker/${piece.id}`}>
          in the locker
        </Link>
      )}
      <span className="inline-flex flex-wrap items-baseline gap-x-2 text-soft">
        joints and adapters in it:
        {joints.length === 0 && <span>none counted</span>}
        {joints.map((joint, i) => (
          <span key={i} className="inline-flex items-baseline gap-1">
            {joint.lossDb !== undefined ? (
              <span className="figures">{plain(joint.lossDb, 2)} dB</span>
            ) : (
              <Select
                label={`joint ${i + 1}`}
                value={joint.connectorKey ?? ''}
                options={connectors.map((c) => ({ value: c.key, text: c.name }))}
                onChange={(connectorKey) =>
                  onChange({
                    ...notes,
                    joints: joints.map((j, at) => (at === i ? { connectorKey } : j)),
                  })
                }
              />
            )}
            <button
              type="button"
              className="quiet text-small"
              aria-label={`Remove joint ${i + 1}`}
              onClick={() => onChange({ ...notes, joints: joints.filter((_, at) => at !== i) })}
            >
              Remove
            </button>
          </span>
        ))}
        <button
          type="button"
          className="quiet"
          onClick={() =>
            onChange({
              ...notes,
              joints: [
                ...joints,
                { connectorKey: joints.at(-1)?.connectorKey ?? connectors[0]?.key ?? 'n' },
              ],
            })
          }
        >
          Add a joint
        </button>
      </span>
      <span className="text-fine text-soft">
        <Term of="attenuation">what a cable loses</Term>
      </span>
    </div>
  );
}
