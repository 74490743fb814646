import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { BandAssessment, CableType, Connector, Decision, Ledger, Row } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { levelText, shownReading, tied } from '../../units';
import {
  aboveLicence,
  angleRange,
  askedSentence,
  besideTheOthers,
  capital,
  dateText,
  findingText,
  isTight,
  reasonClause,
  swrAtBothEnds,
  tightestSentence,
  whereItGoes,
  words,
} from '../../words';
import type { Command } from './commands';
import { headline } from './headline';
import { elementName } from './run/elements';
import { Surroundings } from './Surroundings';
import type { Profile } from './run/useProfile';
import { tightestPlace } from './views/tightest';
import type { Plan } from './model';
import { bandName, bandsOf, powerOn, preferenceOf, requirementOf, runOf } from './model';

interface Props {
  /** On a phone the answer stands at the top and the rest of the note at the end. */
  part: 'whole' | 'head' | 'rest';
  plan: Plan;
  planId: string;
  ledger: Ledger | undefined;
  row: Row | undefined;
  assessment: BandAssessment | undefined;
  profile: Profile | undefined;
  catalogue: CableType[];
  connectors: Connector[];
  focus: number;
  decisions: Decision[];
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
  stale: boolean;
  /** Saves what is unsaved and tells the version that is stored then; null when it could not be saved. */
  onSave: () => Promise<number | null>;
  onChosen: (row: Row) => void;
}

/** What the sheet says, in sentences; and the choice. */
export function Note(props: Props) {
  const { part, plan, ledger, row, focus, stale } = props;
  const { reading } = usePreferences();
  const bands = bandsOf(plan);
  const band = bands[focus];
  const radioW = powerOn(plan, band);
  const cell = row?.cells[focus];

  if (!row || !ledger || !cell) return null;
  return (
    <div className={`flex flex-col gap-3 ${stale ? 'opacity-45' : ''}`}>
      {part !== 'rest' && (
        <>
          <h1 className="text-[16px] leading-[1.25] font-bold">
            {headline(plan, row, focus, reading)}
          </h1>
          <AskedAndComes {...props} row={row} />
        </>
      )}
      {part !== 'head' && <Rest {...props} row={row} ledger={ledger} radioW={radioW} />}
    </div>
  );
}

/** Where the power goes, what else there is, and the choice. */
function Rest(props: Props & { row: Row; ledger: Ledger; radioW: number | null }) {
  const { plan, ledger, row, assessment, radioW } = props;
  const { settings } = usePreferences();
  return (
    <>
      {assessment && (
        <p>
          {tied(
            [
              whereItGoes(assessment, radioW === null),
              swrAtBothEnds(assessment),
              angleRange(assessment),
            ].join(' '),
          )}
        </p>
      )}
      <Findings {...props} />
      {radioW !== null && settings.licencePowerW !== null && radioW > settings.licencePowerW && (
        <p className="text-marginal">{tied(aboveLicence(radioW, settings.licencePowerW))}</p>
      )}
      {assessment && <Surroundings {...props} assessment={assessment} />}
      {requirementOf(plan) && <p>{besideTheOthers(row, ledger.rows, preferenceOf(plan))}</p>}
      <Choosing {...props} row={row} />
      <Decisions {...props} />
      <p className="border-t border-hairline pt-3 text-[12px] text-soft">
        {radioW === null ? words.receiveCaution : words.caution}
        {row.cost?.sample && ` ${words.samplePrices}`}
      </p>
    </>
  );
}

/** What may not work, or may break, about this run on the band in focus. */
function Findings({ plan, focus, row, assessment, profile, catalogue, connectors }: Props) {
  const { lengths } = usePreferences();
  const run = runOf(plan);
  const named = { catalogue, connectors, cableName: row?.name ?? '' };
  const name = (index: number) => (run[index] ? elementName(run[index], named) : '');
  const tight = profile && tightestPlace(profile);
  return (
    <>
      {assessment?.notes.map((note) => {
        const index = Number(note.values.element ?? run.findIndex((e) => e.id === note.elementId));
        return (
          <p
            key={`${note.code} ${note.elementId}`}
            className={note.severity === 'CAUTION' ? 'text-marginal' : 'text-soft'}
          >
            {findingText(note, name(index)) ?? `${capital(note.text)}.`}
          </p>
        );
      })}
      {tight && isTight(tight.margin) && (
        <p className={tight.margin < 1 ? 'text-fail' : 'text-marginal'}>
          {tightestSentence(tight, name(tight.element), bandName(bandsOf(plan)[focus]), lengths)}{' '}
          {tight.what === 'voltage' && words.voltageCaution}
        </p>
      )}
    </>
  );
}

/** What was asked, and what stands against it on the band that has least to spare. */
function AskedAndComes({ plan, row }: Props & { row: Row }) {
  const { reading } = usePreferences();
  const asked = requirementOf(plan);
  if (!asked) return <p className="text-soft">Nothing is asked yet, so every cable will do.</p>;
  const value = asked.powerW ?? asked.percent ?? asked.lossDb ?? 0;
  const bands = bandsOf(plan);
  const first = row.reasons[0];
  const comes = first
    ? reasonClause(first, bandName(bands[first.band]))
    : `it brings ${tightest(plan, row, reading)}`;
  return <p>{tied(askedSentence(asked.kind, value, comes))}</p>;
}

function tightest(plan: Plan, row: Row, reading: Parameters<typeof levelText>[1]): string {
  const bands = bandsOf(plan);
  const index = row.cells.reduce(
    (worst, cell, i) =>
      (cell.totalLossDb ?? Infinity) > (row.cells[worst]?.totalLossDb ?? Infinity) ? i : worst,
    0,
  );
  const cell = row.cells[index];
  const level = { lossDb: cell?.totalLossDb ?? 0, watts: cell?.powerAtAntennaW ?? null };
  const shown = shownReading(reading, powerOn(plan, bands[index]) !== null);
  return `${levelText(level, shown)} on ${bandName(bands[index])}, where it is tightest`;
}

function Choosing({ planId, row, stale, decisions, onSave, onChosen }: Props & { row: Row }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const field = useRef<HTMLTextAreaElement>(null);
  const standing = decisions.find((d) => d.withdrawnAt === null);
  const choose = useMutation({
    mutationFn: async () => {
      const planVersion = await onSave();
      if (planVersion === null) throw new Error('the plan could not be saved first');
      return answered(
        api.POST('/api/plans/{id}/decisions', {
          params: { path: { id: planId } },
          body: { id: crypto.randomUUID(), planVersion, rowId: row.id, reason: reason.trim() },
        }),
      );
    },
    onSuccess: () => {
      onChosen(row);
      setOpen(false);
      setReason('');
      void queries.invalidateQueries({ queryKey: ['decisions', planId] });
      void queries.invalidateQueries({ queryKey: ['plans'] });
    },
  });

  useEffect(() => {
    if (open) field.current?.focus();
  }, [open]);

  if (!open) {
    return (
      <div>
        <button
          type="button"
          data-shortcut="choose"
          className="action"
          disabled={stale}
          onClick={() => setOpen(true)}
        >
          {standing?.rowId === row.id ? 'Choose it again' : 'Choose this cable'}
        </button>
      </div>
    );
  }
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        choose.mutate();
      }}
    >
      <label className="flex flex-col gap-1">
        <span>Why {row.name}?</span>
        <textarea
          ref={field}
          rows={3}
          maxLength={2000}
          className="boxed"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setOpen(false);
            if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) choose.mutate();
          }}
        />
      </label>
      <span className="flex items-center gap-4">
        <button type="submit" className="action" disabled={choose.isPending || stale}>
          Keep the choice
        </button>
        <button type="button" className="quiet" onClick={() => setOpen(false)}>
          not yet
        </button>
      </span>
      {choose.isError && (
        <p role="alert" className="text-fail">
          Not kept: {choose.error.message}.
        </p>
      )}
    </form>
  );
}

function Decisions({ planId, decisions }: Props) {
  const queries = useQueryClient();
  const withdraw = useMutation({
    mutationFn: (decision: string) =>
      answered(
        api.POST('/api/plans/{id}/decisions/{decision}/withdrawal', {
          params: { path: { id: planId, decision } },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['decisions', planId] });
      void queries.invalidateQueries({ queryKey: ['plans'] });
    },
  });
  if (decisions.length === 0) return null;
  return (
    <section aria-label="choices" className="border-t border-hairline pt-3">
      <h2 className="mb-1 text-[12px] text-soft">Choices</h2>
      <ul className="flex flex-col gap-2">
        {decisions.map((d) => (
          <li key={d.id} className={d.withdrawnAt ? 'text-soft line-through' : ''}>
            <span className="font-semibold">{d.cableName}</span>, {dateText(d.decidedAt)}
            {d.reason && <span className="block break-words">“{d.reason}”</span>}
            {!d.withdrawnAt && (
              <button
                type="button"
                className="quiet block text-[12px]"
                onClick={() => withdraw.mutate(d.id)}
              >
                withdraw this choice
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
