import { useLocation } from 'react-router';
import { OpensInPlace, QuantityField } from '../../../ui';
import { plain, powerText } from '../../../units';
import { bandName, powerOn } from '../document/model';
import { useSheet } from '../sheetContext';
import { AboutRadio } from './AboutRadio';
import { FULL, TOP } from './marks';
import { changeRadio } from './radioChange';

/** The radio at the beginning of the ribbon. */
export function RadioBox({ width }: { width: number }) {
  const { band, hasWatts } = useSheet();
  return (
    <div
      className="absolute left-0 flex flex-col justify-center border border-ink bg-paper px-1 text-center"
      style={{ top: TOP, minHeight: FULL, width }}
    >
      <RadioName className="mx-auto" />
      <RadioPower className="items-center" />
      {hasWatts && band?.powerW !== undefined && (
        <span className="truncate text-small text-soft">on {bandName(band)}</span>
      )}
    </div>
  );
}

/** What it is; it opens to everything else about it, for every band or for the one in focus. */
export function RadioName({ className }: { className: string }) {
  const isReceiver = !useSheet().hasWatts;
  return (
    <OpensInPlace
      label={isReceiver ? 'about the receiver' : 'about the radio'}
      text={isReceiver ? 'receiver' : 'radio'}
      className={`text-soft underline decoration-control underline-offset-4 hover:text-blue ${className}`}
    >
      {() => <AboutRadio />}
    </OpensInPlace>
  );
}

/** After the power comes the length. */
function toLength() {
  document.querySelector<HTMLInputElement>('input[aria-label="length"]')?.focus();
}

/** Its power on the band in focus; a receiver has none. */
export function RadioPower({ className }: { className: string }) {
  const sheet = useSheet();
  const { plan, band, trouble } = sheet;
  const powerW = powerOn(plan, band);
  const isNew = (useLocation().state as { isNew?: boolean } | null)?.isNew === true;
  if (powerW === null) return null;
  return (
    <QuantityField
      label="radio power"
      autoFocus={isNew}
      onEnter={toLength}
      keptAs={`power ${band?.powerW === undefined ? '' : (band.id ?? '')}`}
      kind="power"
      unit="w"
      unitLabel="W"
      value={powerW}
      show={(v) => plain(v)}
      say={powerText}
      className={`font-semibold ${className}`}
      onCommit={(watts) => changeRadio(sheet, { powerW: watts })}
      onTrouble={(message) => trouble('power', message)}
    />
  );
}
