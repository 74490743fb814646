import { useState } from 'react';
import type { BandAssessment, CableType, Connector, Decision, Ledger, Row } from '../../../api';
import { Sentence } from '../../../ui';
import { usePreferences } from '../../../app/preferences';
import { fractionLeft, levelText, shownReading, tied } from '../../../units';
import {
  aboveLicence,
  angleRange,
  askedSentence,
  besideTheOthers,
  capital,
  certaintySentence,
  findingText,
  oldPrice,
  isTight,
  reasonClause,
  swrAtBothEnds,
  tightestSentence,
  whereItGoes,
  words,
} from '../../../words';
import type { Command } from '../document/commands';
import { isOfBands, phraseOf } from '../requirements/asked';
import { Choosing, Decisions } from './Choosing';
import { headline } from './headline';
import { elementName } from '../run/elements';
import { Surroundings } from './Surroundings';
import type { Profile } from '../run/useProfile';
import { tightestPlace } from '../views/tightest';
import type { Plan } from '../document/model';
import {
  bandName,
  bandsOf,
  isAnythingAsked,
  powerOn,
  preferenceOf,
  requirementsOf,
  runOf,
} from '../document/model';
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
          <h1 className="text-heading leading-[1.25] font-bold">
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
          <Sentence
            text={tied(
              [
                whereItGoes(assessment, radioW === null),
                swrAtBothEnds(assessment),
                angleRange(assessment),
              ].join(' '),
            )}
          />
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
      <p className="border-t border-hairline pt-3 text-fine text-soft">
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
  const [least, most] = [told(atTolerance.mostDb), told(atTolerance.leastDb)];
  if (least === most) return null;
  return (
    <p className="text-soft">
      {certaintySentence(least, most, bandName(band), words.provenance[provenance], percent)}
    </p>
  );
}

/** What may not work, or may break, about this run on the band in focus. */
function Findings({ plan, ledger, focus, row, assessment, profile, catalogue, connectors }: Props) {
  const { lengths } = usePreferences();
  const run = runOf(plan);
  const isPresent = row !== undefined && row.id === ledger?.presentRowId;
  const named = { catalogue, connectors, cableName: row?.name ?? '', isPresent };
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
