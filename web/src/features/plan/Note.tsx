import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { BandAssessment, CableType, Connector, Decision, Ledger, Row } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { fractionLeft, levelText, shownReading, tied } from '../../units';
import {
  aboveLicence,
  angleRange,
  askedSentence,
  besideTheOthers,
  capital,
  certaintySentence,
  dateText,
  findingText,
  oldPrice,
  isTight,
  reasonClause,
  swrAtBothEnds,
  tightestSentence,
  whereItGoes,
  words,
} from '../../words';
import type { Command } from './commands';
import { isOfBands, phraseOf } from './asked';
import { driftOf } from './drift';
import { headline } from './headline';
import { elementName } from './run/elements';
import { Surroundings } from './Surroundings';
import type { Profile } from './run/useProfile';
import { tightestPlace } from './views/tightest';
import type { Plan } from './model';
import {
  bandName,
  bandsOf,
  isAnythingAsked,
  powerOn,
  preferenceOf,
  requirementsOf,
  runOf,
} from './model';
import { Relaxations, WhatChanges } from './WhatChanges';

/** A spread narrower than this in dB is not worth a sentence. */
const NOTEWORTHY_SPREAD_DB = 0.05;

interface Props {
  /** On a phone the answer stands at the top and the rest of the note at the end. */
  part: 'whole' | 'head' | 'rest';
  plan: Plan;
  planId: string;
  ledger: Ledger | undefined;
  row: Row | undefined;
  assessment: BandAssessment | undefined;
  atTolerance: { leastDb: number; mostDb: number } | undefined;
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
  const { plan, ledger, row, assessment, radioW, catalogue } = props;
  const oldestPrice = oldPriceOf(row, catalogue, useNow());
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
      <Certainty {...props} />
      <Relaxations {...props} />
      {isAnythingAsked(plan) && ledger.relaxations.length === 0 && (
        <p>{besideTheOthers(row, ledger.rows, preferenceOf(plan))}</p>
      )}
      <Choosing {...props} row={row} />
      <Decisions {...props} />
      <WhatChanges {...props} row={row} />
      <p className="border-t border-hairline pt-3 text-[12px] text-soft">
        {radioW === null ? words.receiveCaution : words.caution}
        {row.cost?.sample && ` ${words.samplePrices}`}
        {oldestPrice !== null && ` ${oldPrice(oldestPrice)}`}
      </p>
    </>
  );
}

const A_YEAR_MS = 365 * 24 * 3600 * 1000;

/** Day of the oldest price of a row, where it is older than a year. */
function oldPriceOf(row: Row, catalogue: CableType[], now: number): string | null {
  const days = row.assignment
    .map((a) => catalogue.find((t) => t.key === a.source.cableKey)?.pricedOn ?? null)
    .filter((day): day is string => day !== null && now - Date.parse(day) > A_YEAR_MS)
    .toSorted();
  return days[0] ?? null;
}

/** The time when the note was opened: prices do not age while one looks. */
function useNow(): number {
  return useState(() => Date.now())[0];
}

/** How far the figure may be off, given where the figures of its cables come from. */
function Certainty({ plan, focus, row, atTolerance, catalogue }: Props) {
  const { reading, settings } = usePreferences();
  const band = bandsOf(plan)[focus];
  const radioW = powerOn(plan, band);
  if (!atTolerance || atTolerance.mostDb - atTolerance.leastDb < NOTEWORTHY_SPREAD_DB) return null;
  const shown = shownReading(reading, radioW !== null);
  const told = (lossDb: number) =>
    levelText({ lossDb, watts: radioW === null ? null : radioW * fractionLeft(lossDb) }, shown);
  const provenance = catalogue.find((t) => t.key === row?.id)?.provenance ?? 'SHEET';
  const percent = {
    TYPICAL: settings.tolerances.typicalPercent,
    SHEET: settings.tolerances.sheetPercent,
    MEASURED: settings.tolerances.measuredPercent,
    GUESSED: settings.tolerances.guessedPercent,
  }[provenance];
  return (
    <p className="text-soft">
      {certaintySentence(
        told(atTolerance.mostDb),
        told(atTolerance.leastDb),
        bandName(band),
        words.provenance[provenance],
        percent,
      )}
    </p>
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
  const on = requirementsOf(plan).filter((r) => !r.off);
  if (on.length === 0) {
    return <p className="text-soft">Nothing is asked yet, so every cable will do.</p>;
  }
  const bands = bandsOf(plan);
  const first = row.reasons[0];
  const concerned = first?.requirement == null ? on[0] : requirementsOf(plan)[first.requirement];
  if (!first || !concerned) {
    const all = on.length === 1 ? 'what you asked' : `all ${on.length} things you asked`;
    return <p>{tied(`It meets ${all}: ${tightest(plan, row, reading)}.`)}</p>;
  }
  const of = bands.find((b) => b.id !== undefined && b.id === concerned.bandId);
  const where = of ? ` on ${bandName(of)}` : isOfBands(concerned.kind) ? ' on every band' : '';
  const comes = reasonClause(first, first.band === null ? '' : bandName(bands[first.band]));
  return <p>{tied(askedSentence(phraseOf(concerned), where, comes))}</p>;
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

function Decisions({ planId, plan, ledger, decisions, stale }: Props) {
  const queries = useQueryClient();
  const { reading } = usePreferences();
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
            {!d.withdrawnAt && !stale && ledger && (
              <span className="block text-marginal empty:hidden">
                {driftOf(
                  d.figures,
                  ledger.rows.find((r) => r.id === d.rowId),
                  plan,
                  reading,
                )}
              </span>
            )}
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
