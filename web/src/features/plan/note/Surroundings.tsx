import type { BandAssessment } from '../../../api';
import { Choice, Fact, OpensInPlace, QuantityField } from '../../../ui';
import { plain, tied } from '../../../units';
import { receiveSentence, sentences, words } from '../../../words';
import { bandName } from '../document/model';
import { useSheet } from '../sheetContext';
import { NearTheAntenna } from './NearTheAntenna';
import { Neighbour } from './Neighbour';

const ENVIRONMENTS = (['CITY', 'RESIDENTIAL', 'RURAL', 'QUIET_RURAL'] as const).map((value) => ({
  value,
  text: words.environment[value],
}));

const USUAL_NOISE_FIGURE_DB = 6;

interface Props {
  assessment: BandAssessment;
}

/** What the run means to a receiver under the noise outside, and to whoever stands near the antenna. */
export function Surroundings({ assessment }: Props) {
  return (
    <>
      <OnReceive assessment={assessment} />
      {assessment.near && <NearTheAntenna near={assessment.near} />}
    </>
  );
}

function OnReceive({ assessment }: Props) {
  const { plan, band, command, trouble } = useSheet();
  const receiver = plan.document.assessment?.receiver ?? {};
  const environment = receiver.environment ?? 'RESIDENTIAL';
  const change = (to: typeof receiver) =>
    command({ do: 'listen', receiver: { ...receiver, ...to } });
  if (assessment.receivePenaltyDb === null) return null;
  return (
    <p>
      {tied(
        receiveSentence(
          bandName(band),
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
                  onTrouble={(message) => trouble('noise figure', message)}
                />
              </Fact>
              <p className="text-small text-soft">{sentences.preamplifierIsAnElement}</p>
              <Neighbour receiver={receiver} change={change} />
            </>
          )}
        </OpensInPlace>
        .
      </span>
    </p>
  );
}
