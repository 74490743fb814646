import { usePreferences } from '../../../app/preferences';
import { Fact, QuantityField, Select, Term } from '../../../ui';
import { lengthFigure, lengthText } from '../../../units';
import { ASKED_TERMS } from '../../../words';
import type { Requirement } from '../document/model';
import { bandName, bandsOf } from '../document/model';
import { reasonFor } from '../document/presets';
import { useSheet } from '../sheetContext';
import { isOfBands } from './asked';

const EVERY_BAND = '';
const NOT_SAID = '';

const SOCKETS = [
  ['radioSocketKey', 'socket of the radio'],
  ['antennaSocketKey', 'socket of the antenna'],
] as const;

/** What a requirement opens to: why it is asked, of which band, and how it is put aside. */
export function AboutRequirement({
  asked,
  onChange,
  onDrop,
}: {
  asked: Requirement;
  onChange: (to: Requirement) => void;
  onDrop: () => void;
}) {
  const { plan, connectors, trouble } = useSheet();
  const { lengths } = usePreferences();
  const why = reasonFor(plan.document.use, asked);
  const term = ASKED_TERMS[asked.kind];
  return (
    <>
      {why && <p className="text-fine">{why}</p>}
      {isOfBands(asked.kind) && (
        <Fact label="asked of">
          <Select
            label="band it is asked of"
            value={asked.bandId ?? EVERY_BAND}
            options={[
              { value: EVERY_BAND, text: 'every band' },
              ...bandsOf(plan).flatMap((b) => (b.id ? [{ value: b.id, text: bandName(b) }] : [])),
            ]}
            onChange={(id) => onChange({ ...asked, bandId: id === EVERY_BAND ? undefined : id })}
          />
        </Fact>
      )}
      {asked.kind === 'MOST_MASS_ON_MAST' && (
        <Fact label="hangs on the mast">
          <QuantityField
            label="length on the mast"
            kind="length"
            unit={lengths}
            unitLabel={lengths}
            value={asked.mastM}
            show={(v) => lengthFigure(v, lengths)}
            say={(v) => lengthText(v, lengths)}
            onCommit={(mastM) => onChange({ ...asked, mastM })}
            onTrouble={(message) => trouble('length on the mast', message)}
          />
        </Fact>
      )}
      {asked.kind === 'CONNECTORS' &&
        SOCKETS.map(([key, label]) => (
          <Fact key={key} label={label}>
            <Select
              label={label}
              value={asked[key] ?? NOT_SAID}
              options={[
                { value: NOT_SAID, text: 'not said' },
                ...connectors.map((c) => ({ value: c.key, text: c.name })),
              ]}
              onChange={(chosen) =>
                onChange({ ...asked, [key]: chosen === NOT_SAID ? undefined : chosen })
              }
            />
          </Fact>
        ))}
      {term && (
        <p className="text-fine text-soft">
          <Term of={term}>what that means for a cable</Term>
        </p>
      )}
      <span className="flex gap-4">
        <button
          type="button"
          className="quiet"
          onClick={() => onChange({ ...asked, off: asked.off ? undefined : true })}
        >
          {asked.off ? 'Ask it again' : 'Put it aside'}
        </button>
        <button type="button" className="quiet" onClick={onDrop}>
          Remove it
        </button>
      </span>
    </>
  );
}
