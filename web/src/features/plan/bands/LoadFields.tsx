import type { BandAssessment } from '../../../api';
import { Choice, QuantityField } from '../../../ui';
import { usePreferences } from '../../../app/preferences';
import { fixed, parseImpedance, plain, tied } from '../../../units';
import { readThroughSentence } from '../../../words';
import type { Band, Element } from '../document/model';
import { useSheet } from '../sheetContext';
import { asKind, kindOfLoad, throughText } from './loads';
import type { Load, LoadKind } from './loads';

const KINDS: readonly { value: LoadKind; text: string }[] = [
  { value: 'swr', text: 'SWR at the antenna' },
  { value: 'swrAtRadio', text: 'SWR at the radio' },
  { value: 'impedance', text: 'antenna R + jX' },
];

/** What is known of the antenna, and at which end; what the other end shows stands beside it. */
export function LoadFields({
  band,
  index,
  onChange,
}: {
  band: Band;
  index: number;
  onChange: (load: Load) => void;
}) {
  const { assessment, trouble } = useSheet();
  const load = band.load ?? { swr: 1 };
  const kind = kindOfLoad(load);
  const key = band.id ?? index;
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-1.5">
      <Choice<LoadKind>
        label="what is known of the antenna"
        value={kind}
        options={KINDS}
        onChange={(chosen) =>
          onChange(
            asKind(chosen, load, {
              atRadio: assessment?.swrAtRadio ?? 1.5,
              atAntenna: assessment?.swrAtAntenna ?? 1.5,
            }),
          )
        }
      />
      {kind === 'impedance' ? (
        <>
          <QuantityField
            label="antenna resistance"
            keptAs={`r ${key}`}
            kind="resistance"
            unit="ohm"
            unitLabel=""
            value={load.resistanceOhm}
            least={0.1}
            show={(v) => plain(v, 1)}
            say={(v) => `${plain(v, 1)} Ω`}
            onCommit={(resistanceOhm) => onChange({ ...load, resistanceOhm })}
            onTrouble={(message) => trouble(`resistance ${key}`, message)}
          />
          <span className="text-soft">+ j</span>
          <QuantityField
            label="antenna reactance"
            keptAs={`x ${key}`}
            kind="reactance"
            unit="ohm"
            unitLabel="Ω"
            value={load.reactanceOhm}
            show={(v) => plain(v, 1)}
            say={(v) => `${plain(v, 1)} Ω`}
            onCommit={(reactanceOhm) => onChange({ ...load, reactanceOhm })}
            onTrouble={(message) => trouble(`reactance ${key}`, message)}
          />
        </>
      ) : (
        <QuantityField
          label={kind === 'swr' ? 'SWR at the antenna' : 'SWR at the radio'}
          keptAs={`${kind} ${key}`}
          kind="swr"
          unit=""
          unitLabel=""
          value={load[kind]}
          show={(v) => plain(v, 2)}
          say={(v) => plain(v)}
          alsoReads={(text) => {
            const impedance = parseImpedance(text);
            return impedance && (() => onChange(impedance));
          }}
          onCommit={(swr) => onChange({ ...load, [kind]: swr })}
          onTrouble={(message) => trouble(`swr ${key}`, message)}
        />
      )}
      {load.through ? (
        <ReadThrough band={index} through={load.through} assessment={assessment} />
      ) : (
        <OtherEnd kind={kind} assessment={assessment} />
      )}
    </span>
  );
}

/** A reading belongs to the run it was read through, and so does what it says of the antenna. */
function ReadThrough({
  band,
  through,
  assessment,
}: {
  band: number;
  through: Element[];
  assessment: BandAssessment | undefined;
}) {
  const sheet = useSheet();
  const { lengths } = usePreferences();
  const antenna = assessment?.swrAtAntenna ?? null;
  const now = assessment?.swrAtRadio ?? null;
  return (
    <span className="text-small text-soft">
      {tied(
        readThroughSentence(
          throughText(through, sheet, lengths),
          assessment ? { antenna, now } : null,
        ),
      )}{' '}
      <button
        type="button"
        className="quiet"
        onClick={() => sheet.command({ do: 'readAnew', band })}
      >
        Read anew
      </button>
    </span>
  );
}

/** A lossy run flatters the reading at the radio: what is typed at one end is shown at the other. */
function OtherEnd({
  kind,
  assessment,
}: {
  kind: LoadKind;
  assessment: BandAssessment | undefined;
}) {
  if (!assessment) return null;
  const swr = kind === 'swrAtRadio' ? assessment.swrAtAntenna : assessment.swrAtRadio;
  return (
    <span
      className="text-small whitespace-nowrap text-soft"
      title="Loss in the run flatters the reading at the radio: the antenna is worse than it looks from there."
    >
      = {swr === null ? '∞' : fixed(swr, 2)}{' '}
      {kind === 'swrAtRadio' ? 'at the antenna' : 'at the radio'}
    </span>
  );
}
