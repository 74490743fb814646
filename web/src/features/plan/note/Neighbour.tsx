import { Fact, QuantityField } from '../../../ui';
import { plain, powerText } from '../../../units';
import type { Assessment } from '../document/model';
import { useSheet } from '../sheetContext';

type Receiver = NonNullable<Assessment['receiver']>;

/** What is taken where nobody has measured it: two antennas a few metres from each other on one mast. */
const USUAL_ISOLATION_DB = 30;

/** The strongest transmitter of the same site, which a preamplifier has to bear. */
export function Neighbour({
  receiver,
  change,
}: {
  receiver: Receiver;
  change: (to: Partial<Receiver>) => void;
}) {
  const { trouble } = useSheet();
  return (
    <>
      <Fact label="strongest transmitter near by">
        <QuantityField
          label="power of the transmitter near by"
          kind="power"
          unit="w"
          unitLabel="W"
          value={receiver.neighbourPowerW}
          show={(v) => plain(v)}
          say={powerText}
          onCommit={(neighbourPowerW) => change({ neighbourPowerW })}
          onTrouble={(message) => trouble('neighbour', message)}
        />
      </Fact>
      {receiver.neighbourPowerW !== undefined && (
        <>
          <Fact label="from its antenna to this one is lost">
            <QuantityField
              label="isolation from the transmitter near by"
              kind="isolation"
              unit="db"
              unitLabel="dB"
              value={receiver.neighbourIsolationDb ?? USUAL_ISOLATION_DB}
              show={(v) => plain(v, 1)}
              say={(v) => `${plain(v, 1)} dB`}
              onCommit={(neighbourIsolationDb) => change({ neighbourIsolationDb })}
              onTrouble={(message) => trouble('isolation', message)}
            />
          </Fact>
          {receiver.neighbourIsolationDb === undefined && (
            <p className="text-small text-soft">
              {USUAL_ISOLATION_DB} dB is an assumption for two antennas on one mast.
            </p>
          )}
          <button
            type="button"
            className="quiet text-left text-small"
            onClick={() => change({ neighbourPowerW: undefined, neighbourIsolationDb: undefined })}
          >
            Remove this transmitter
          </button>
        </>
      )}
    </>
  );
}
