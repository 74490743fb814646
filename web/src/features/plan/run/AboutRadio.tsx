import { Fact, QuantityField, Select } from '../../../ui';
import { plain } from '../../../units';
import { bandName, dutyOn, powerOn, radioOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { changeRadio } from './radioChange';

/** How much of the time a mode sends at full power; usual figures. */
const MODES = [
  { value: '0.25', text: 'speech' },
  { value: '0.5', text: 'processed speech' },
  { value: '0.4', text: 'Morse' },
  { value: '1', text: 'FM, data, carrier' },
] as const;

const OWN = 'own';

/** Everything about the radio but its power: what it is made for, and how it sends or that it does not. */
export function AboutRadio() {
  const { plan, band, command, trouble } = useSheet();
  const powerW = powerOn(plan, band);
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
          onCommit={(impedanceOhm) => command({ do: 'changeRadio', change: { impedanceOhm } })}
          onTrouble={(message) => trouble('impedance', message)}
        />
      </Fact>
      {powerW === null ? (
        <button
          type="button"
          className="quiet text-left"
          onClick={() => command({ do: 'changeRadio', change: { powerW: 10, duty: 0.25 } })}
        >
          Make it send, too: 10 W
        </button>
      ) : (
        <WhenSending powerW={powerW} />
      )}
    </>
  );
}

function WhenSending({ powerW }: { powerW: number }) {
  const sheet = useSheet();
  const { plan, band, focus, command, trouble } = sheet;
  const duty = dutyOn(plan, band);
  const isOwn = band?.powerW !== undefined;
  const mode = MODES.find((m) => Number(m.value) === duty)?.value ?? OWN;
  return (
    <>
      <Fact label="mode">
        <Select
          label="mode"
          value={mode}
          options={[...MODES, { value: OWN, text: 'another' }]}
          onChange={(chosen) => chosen !== OWN && changeRadio(sheet, { duty: Number(chosen) })}
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
          onCommit={(percent) => changeRadio(sheet, { duty: percent / 100 })}
          onTrouble={(message) => trouble('duty', message)}
        />
      </Fact>
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={(band?.foldback ?? radioOf(plan).foldback) === true}
          onChange={(e) => changeRadio(sheet, { foldback: e.target.checked })}
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
            command({
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
        onClick={() => command({ do: 'changeRadio', change: { powerW: undefined } })}
      >
        Make it listen only
      </button>
    </>
  );
}
