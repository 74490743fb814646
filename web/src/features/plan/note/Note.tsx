import type { Ledger, Row } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useSession } from '../../../app/session';
import { Sentence } from '../../../ui';
import { tied } from '../../../units';
import {
  aboveLicence,
  angleRange,
  besideTheOthers,
  oldPrice,
  swrAtBothEnds,
  toTheOtherSide,
  whereItGoes,
  words,
} from '../../../words';
import { isAnythingAsked, powerOn, preferenceOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { AskedAndComes } from './AskedAndComes';
import { Certainty } from './Certainty';
import { Choosing } from './Choosing';
import { Decisions } from './Decisions';
import { Findings } from './Findings';
import { headline } from './headline';
import { HowSure } from './HowSure';
import { oldPriceOf, useNow } from './oldPrice';
import { OtherWeather } from './OtherWeather';
import { Surroundings } from './Surroundings';
import { Relaxations } from './Relaxations';
import { WhatChanges } from './WhatChanges';

/** On a phone the answer stands at the top and the rest of the note at the end. */
type Part = 'whole' | 'head' | 'rest';

/** What the sheet says, in sentences; and the choice. */
export function Note({ part }: { part: Part }) {
  const { plan, ledger, row, focus, stale } = useSheet();
  const { reading } = usePreferences();
  if (!row?.cells[focus] || !ledger) return null;
  return (
    <div className={`flex flex-col gap-3 ${stale ? 'opacity-45' : ''}`}>
      {part !== 'rest' && (
        <>
          <h1 className="text-heading leading-[1.25] font-bold">
            {headline(plan, row, focus, reading)}
          </h1>
          <HowItCame />
          <AskedAndComes row={row} />
        </>
      )}
      {part !== 'head' && <Rest row={row} ledger={ledger} />}
    </div>
  );
}

/** How the cable came into the run, and the way back to what is suggested. */
function HowItCame() {
  const { rowId, follows, chosen, command, ledger } = useSheet();
  if (follows) return <p className="text-fine text-soft">{words.suggested}</p>;
  const isFirst = ledger?.rows[0]?.id === rowId;
  return (
    <p className="text-fine text-soft">
      {rowId === chosen ? words.chosenForRun : words.pickedForRun}{' '}
      {!isFirst && ledger?.rows[0] && (
        <button type="button" className="quiet" onClick={() => command({ do: 'followLedger' })}>
          Use the suggestion: {ledger.rows[0].name}
        </button>
      )}
    </p>
  );
}

/** Where the power goes, what else there is, and the choice. */
function Rest({ row, ledger }: { row: Row; ledger: Ledger }) {
  const { plan, band, assessment, catalogue } = useSheet();
  const radioW = powerOn(plan, band);
  const oldestPrice = oldPriceOf(row, catalogue, useNow());
  const { settings } = usePreferences();
  const { may } = useSession();
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
                toTheOtherSide(assessment, radioW !== null),
              ].join(' '),
            )}
          />
        </p>
      )}
      <Findings />
      {radioW !== null && settings.licencePowerW !== null && radioW > settings.licencePowerW && (
        <p className="text-marginal">{tied(aboveLicence(radioW, settings.licencePowerW))}</p>
      )}
      {assessment && <Surroundings assessment={assessment} />}
      <OtherWeather />
      <Certainty />
      <HowSure />
      <Relaxations ledger={ledger} />
      {(isAnythingAsked(plan) || isAllFailing(ledger)) && ledger.relaxations.length === 0 && (
        <p>{besideTheOthers(row, ledger.rows, preferenceOf(plan))}</p>
      )}
      {may('MEMBER') && <Choosing row={row} />}
      <Decisions />
      <WhatChanges row={row} />
      <p className="border-t border-hairline pt-3 text-fine text-soft">
        {radioW === null ? words.receiveCaution : words.caution}
        {row.cost?.sample && ` ${words.samplePrices}`}
        {oldestPrice !== null && ` ${oldPrice(oldestPrice)}`}
      </p>
    </>
  );
}

/** Whether nothing of any kind gets through: what a part bears is judged even where nothing is asked. */
function isAllFailing(ledger: Ledger): boolean {
  return ledger.rows.every((r) => r.verdict === 'FAIL');
}
