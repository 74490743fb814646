import type { BandAssessment } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Choice, Fact, OpensInPlace, QuantityField, Select } from '../../../ui';
import { lengthText, plain, powerText, tied } from '../../../units';
import { nearSentence, receiveSentence, words } from '../../../words';
import type { Command } from '../document/commands';
import type { Plan } from '../document/model';
import { bandName, bandsOf, powerOn } from '../document/model';

const ENVIRONMENTS = (['CITY', 'RESIDENTIAL', 'RURAL', 'QUIET_RURAL'] as const).map((value) => ({
  value,
  text: words.environment[value],
}));

const LIMITS = (['ICNIRP_2020', 'FCC_1_1310'] as const).map((value) => ({
  value,
  text: words.limits[value],
}));

const USUAL_NOISE_FIGURE_DB = 6;

interface Props {
  plan: Plan;
  focus: number;
  assessment: BandAssessment;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** What the run means to a receiver under the noise outside, and to whoever stands near the antenna. */
export function Surroundings(props: Props) {
  return (
    <>
      <OnReceive {...props} />
      {props.assessment.near && <NearTheAntenna {...props} near={props.assessment.near} />}
    </>
  );
}

function OnReceive({ plan, focus, assessment, onCommand, onTrouble }: Props) {
  const receiver = plan.document.assessment?.receiver ?? {};
  const environment = receiver.environment ?? 'RESIDENTIAL';
  const change = (to: typeof receiver) =>
    onCommand({ do: 'listen', receiver: { ...receiver, ...to } });
  if (assessment.receivePenaltyDb === null) return null;
  return (
    <p>
      {tied(
        receiveSentence(
          bandName(bandsOf(plan)[focus]),
          assessment.runLossDb + assessment.matchingLossDb,
          assessment.receivePenaltyDb,
        ),
      )}{' '}
      <span className="text-fine text-soft">
        Noise of{' '}
        <Choice
          label="noise outside"
          value={environment}
          options={ENVIRONMENTS}
          onChange={(chosen) => change({ environment: chosen })}
        />
        ,{' '}
        <OpensInPlace
          label="about what listens"
          text={`noise figure ${plain(receiver.noiseFigureDb ?? USUAL_NOISE_FIGURE_DB, 1)} dB`}
          className="quiet"
        >
          {() => (
            <>
              <Fact label="noise figure">
                <QuantityField
                  label="noise figure of the receiver"
                  kind="noise"
                  unit="db"
                  unitLabel="dB"
                  value={receiver.noiseFigureDb ?? USUAL_NOISE_FIGURE_DB}
                  show={(v) => plain(v, 2)}
                  say={(v) => `${plain(v, 2)} dB`}
                  onCommit={(noiseFigureDb) => change({ noiseFigureDb })}
                  onTrouble={(message) => onTrouble('noise figure', message)}
                />
              </Fact>
              <Fact label="preamplifier at the antenna">
                <QuantityField
                  label="gain of the preamplifier"
                  kind="elementLoss"
                  unit="db"
                  unitLabel="dB"
                  value={receiver.preamplifierGainDb ?? 0}
                  show={(v) => plain(v, 1)}
                  say={(v) => `${plain(v, 1)} dB`}
                  onCommit={(gain) => change({ preamplifierGainDb: gain > 0 ? gain : undefined })}
                  onTrouble={(message) => onTrouble('preamplifier', message)}
                />
              </Fact>
              <p className="text-small text-soft">0 dB for none. Its own noise figure is 1 dB.</p>
            </>
          )}
        </OpensInPlace>
        .
      </span>
    </p>
  );
}

function NearTheAntenna({
  plan,
  focus,
  near,
  onCommand,
  onTrouble,
}: Props & { near: NonNullable<BandAssessment['near']> }) {
  const { lengths } = usePreferences();
  const exposure = plan.document.assessment?.exposure ?? {};
  const change = (to: typeof exposure) =>
    onCommand({ do: 'keepAway', exposure: { ...exposure, ...to } });
  if (powerOn(plan, bandsOf(plan)[focus]) === null) return null;
  return (
    <p className="text-fine text-soft">
      {tied(
        nearSentence(
          powerText(near.eirpW),
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
                onTrouble={(message) => onTrouble('transmitting', message)}
              />
            </Fact>
            <p className="text-small text-soft">
              In the main direction, with reflection from the ground, averaged over the mode and
              half an hour. An estimate: local rules and a qualified person decide.
            </p>
          </>
        )}
      </OpensInPlace>
    </p>
  );
}
