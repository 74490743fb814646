import { usePreferences } from '../../../app/preferences';
import { levelTeller } from '../../../units';
import { certainty, words } from '../../../words';
import { HowFarOff } from '../../tolerance';
import { bandName, powerOn } from '../document/model';
import { sheetOf } from '../run/sheetOf';
import { useSheet } from '../sheetContext';

/** A spread narrower than this in dB is not worth a sentence. */
const NOTEWORTHY_SPREAD_DB = 0.05;

/** How far the figure may be off, given where the figures of its cables come from. */
export function Certainty() {
  const { plan, band, row, atTolerance } = useSheet();
  const { reading } = usePreferences();
  const radioW = powerOn(plan, band);
  if (!row || !atTolerance || atTolerance.mostDb - atTolerance.leastDb < NOTEWORTHY_SPREAD_DB)
    return null;
  const told = levelTeller(radioW, reading);
  const [least, most] = [told(atTolerance.mostDb), told(atTolerance.leastDb)];
  if (least === most) return null;
  return (
    <p className="text-soft">
      {certainty.before(words.provenance[row.tolerance.provenance])}{' '}
      <HowFarOff {...row.tolerance} to={sheetOf(row)} />{' '}
      {certainty.after(least, most, bandName(band))}
    </p>
  );
}
