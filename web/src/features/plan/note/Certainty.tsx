import { usePreferences } from '../../../app/preferences';
import { fractionLeft, levelText, shownReading } from '../../../units';
import { certaintySentence, words } from '../../../words';
import { bandName, powerOn } from '../document/model';
import { useSheet } from '../sheetContext';

/** A spread narrower than this in dB is not worth a sentence. */
const NOTEWORTHY_SPREAD_DB = 0.05;

/** How far the figure may be off, given where the figures of its cables come from. */
export function Certainty() {
  const { plan, band, rowId, atTolerance, catalogue } = useSheet();
  const { reading, settings } = usePreferences();
  const radioW = powerOn(plan, band);
  if (!atTolerance || atTolerance.mostDb - atTolerance.leastDb < NOTEWORTHY_SPREAD_DB) return null;
  const shown = shownReading(reading, radioW !== null);
  const told = (lossDb: number) =>
    levelText({ lossDb, watts: radioW === null ? null : radioW * fractionLeft(lossDb) }, shown);
  const provenance = catalogue.find((t) => t.key === rowId)?.provenance ?? 'SHEET';
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
