import { Fact, OpensInPlace, QuantityField, Select } from '../../../ui';
import { plain, powerText } from '../../../units';
import type { Band, Radio } from '../document/model';
import { bandName, dutyOn, powerOn, radioOf } from '../document/model';
import { FULL, TOP } from './marks';
import type { RibbonProps } from './ribbonProps';

/** How much of the time a mode sends at full power; usual figures. */
const MODES = [
  { value: '0.25', text: 'speech' },
  { value: '0.5', text: 'processed speech' },
  { value: '0.4', text: 'Morse' },
  { value: '1', text: 'FM, data, carrier' },
] as const;

const OWN = 'own';

/** The radio at the beginning of the ribbon. */
export function RadioBox(props: RibbonProps & { width: number }) {
  const { plan, band, width } = props;
  return (
    <div
      className="absolute left-0 flex flex-col justify-center border border-ink bg-paper px-1 text-center"
      style={{ top: TOP, minHeight: FULL, width }}
    >
      <RadioName {...props} className="mx-auto" />
      <RadioPower {...props} className="items-center" />
      {powerOn(plan, band) !== null && band?.powerW !== undefined && (
        <span className="truncate text-small text-soft">on {bandName(band)}</span>
      )}
    </div>
  );
}

/** What it is; it opens to everything else about it, for every band or for the one in focus. */
export function RadioName({ className, ...props }: RibbonProps & { className: string }) {
  const isReceiver = powerOn(props.plan, props.band) === null;
  return (
    <OpensInPlace
      label={isReceiver ? 'about the receiver' : 'about the radio'}
      text={isReceiver ? 'receiver' : 'radio'}
      className={`text-soft underline decoration-control underline-offset-4 hover:text-blue ${className}`}
    >
      {() => <Opened {...props} />}
    </OpensInPlace>
  );
}

/** Its power on the band in focus; a receiver has none. */
export function RadioPower({ className, ...props }: RibbonProps & { className: string }) {
  const { plan, band, onTrouble } = props;
  const powerW = powerOn(plan, band);
  if (powerW === null) return null;
  return (
    <QuantityField
      label="radio power"
      keptAs={`power ${band?.powerW === undefined ? '' : (band.id ?? '')}`}
      kind="power"
      unit="w"
      unitLabel="W"
      value={powerW}
      show={(v) => plain(v)}
      say={powerText}
      className={`font-semibold ${className}`}
      onCommit={(watts) => change(props, { powerW: watts })}
      onTrouble={(message) => onTrouble('power', message)}
    />
  );
}

type Both = Pick<Radio & Band, 'powerW' | 'duty' | 'foldback'>;

/** What is said of the radio goes to the band where that has a radio of its own, and to all bands otherwise. */
function change({ band, focus, onCommand }: RibbonProps, to: Both) {
  const isOwn = band?.powerW !== undefined;
  if (isOwn) onCommand({ do: 'changeBand', band: focus, change: to });
  else onCommand({ do: 'changeRadio', change: to });
}

function Opened(props: RibbonProps) {
  const { plan, band, focus, onCommand, onTrouble } = props;
  const duty = dutyOn(plan, band);
  const powerW = powerOn(plan, band);
  const isOwn = band?.powerW !== undefined;
  const mode = MODES.find((m) => Number(m.value) === duty)?.value ?? OWN;
  return (
    <>
      <Fact label="made for">
        <QuantityField
          label="impedance of the radio"
          kind="impedance"
          unit="ohm"
          unitLabel="Ω"
          value={radioOf(plan).impedanceOhm ?? 50}
          show={(v) => plain(v)}
          say={(v) => `${plain(v)} Ω`}
          onCommit={(impedanceOhm) => onCommand({ do: 'changeRadio', change: { impedanceOhm } })}
          onTrouble={(message) => onTrouble('impedance', message)}
        />
      </Fact>
      {powerW === null ? (
        <button
          type="button"
          className="quiet text-left"
          onClick={() => onCommand({ do: 'changeRadio', change: { powerW: 10, duty: 0.25 } })}
        >
          it sends, too: 10 W
        </button>
      ) : (
        <>
          <Fact label="mode">
            <Select
              label="mode"
              value={mode}
              options={[...MODES, { value: OWN, text: 'another' }]}
              onChange={(chosen) => chosen !== OWN && change(props, { duty: Number(chosen) })}
            />
          </Fact>
          <Fact label="of full power on average">
            <QuantityField
              label="duty"
              kind="percent"
              unit="%"
              unitLabel="%"
              value={duty * 100}
              show={(v) => plain(v, 1)}
              say={(v) => `${plain(v, 1)} %`}
              onCommit={(percent) => change(props, { duty: percent / 100 })}
              onTrouble={(message) => onTrouble('duty', message)}
            />
          </Fact>
          <label className="flex items-baseline gap-2">
            <input
              type="checkbox"
              checked={(band?.foldback ?? radioOf(plan).foldback) === true}
              onChange={(e) => change(props, { foldback: e.target.checked })}
            />
            <span>
              reduces its power above SWR 2
              <span className="block text-small text-soft">to a quarter at 3</span>
            </span>
          </label>
          <label className="flex items-baseline gap-2 border-t border-hairline pt-2">
            <input
              type="checkbox"
              checked={isOwn}
              onChange={(e) =>
                onCommand({
                  do: 'changeBand',
                  band: focus,
                  change: e.target.checked
                    ? { powerW, duty }
                    : { powerW: undefined, duty: undefined, foldback: undefined },
                })
              }
            />
            <span>another radio on {bandName(band)}</span>
          </label>
          <button
            type="button"
            className="quiet text-left"
            onClick={() => onCommand({ do: 'changeRadio', change: { powerW: undefined } })}
          >
            it only listens
          </button>
        </>
      )}
    </>
  );
}
