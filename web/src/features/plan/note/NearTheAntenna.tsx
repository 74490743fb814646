import type { BandAssessment } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Fact, OpensInPlace, QuantityField, Select } from '../../../ui';
import { lengthText, plain, powerText, tied } from '../../../units';
import { nearSentence, sentences, words } from '../../../words';
import { powerOn } from '../document/model';
import { useSheet } from '../sheetContext';

const LIMITS = (['ICNIRP_2020', 'FCC_1_1310'] as const).map((value) => ({
  value,
  text: words.limits[value],
}));

/** The gain of a dipole half a wave long, in free space. */
const DIPOLE_DBI = 2.15;

/** How far to keep away while it sends; a caution, never a verdict. */
export function NearTheAntenna({ near }: { near: NonNullable<BandAssessment['near']> }) {
  const { plan, band, focus, command, trouble } = useSheet();
  const { lengths } = usePreferences();
  const exposure = plan.document.assessment?.exposure ?? {};
  const change = (to: typeof exposure) =>
    command({ do: 'keepAway', exposure: { ...exposure, ...to } });
  if (powerOn(plan, band) === null) return null;
  return (
    <p className="text-fine text-soft">
      {tied(
        nearSentence(
          near.eirpW === null ? null : powerText(near.eirpW),
          near.distanceM === null ? null : lengthText(Number(near.distanceM.toFixed(1)), lengths),
          near.distanceM !== null && near.distanceM < near.farFieldFromM,
        ),
      )}{' '}
      <OpensInPlace label="what this rests on" text={words.limits[near.limits]} className="quiet">
        {() => (
          <>
            <Fact label="limits">
              <Select
                label="set of limits"
                value={near.limits}
                options={LIMITS}
                onChange={(limits) => change({ limits })}
              />
            </Fact>
            <Fact label="of the time I send">
              <QuantityField
                label="share of the time sending"
                kind="percent"
                unit="%"
                unitLabel="%"
                value={(exposure.transmitting ?? 0.5) * 100}
                show={(v) => plain(v, 1)}
                say={(v) => `${plain(v, 1)} %`}
                onCommit={(percent) => change({ transmitting: percent / 100 })}
                onTrouble={(message) => trouble('transmitting', message)}
              />
            </Fact>
            <p className="text-small text-soft">{sentences.nearIsAnEstimate}</p>
          </>
        )}
      </OpensInPlace>
      {near.eirpW === null && (
        <>
          {' · '}
          <button
            type="button"
            className="quiet"
            onClick={() =>
              command({ do: 'changeBand', band: focus, change: { antennaGainDbi: DIPOLE_DBI } })
            }
          >
            Take {plain(DIPOLE_DBI, 2)} dBi, a dipole’s
          </button>
        </>
      )}
    </p>
  );
}
