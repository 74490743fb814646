import { plain } from '../../../units';
import { fedSentence, sentences } from '../../../words';
import { isAside } from '../document/branches';
import type { Element } from '../document/model';
import { runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { Amount, Name } from './ElementAmounts';
import { elementName } from './elements';
import { PreamplifierPlaces } from './PreamplifierPlaces';

export type Preamplifier = Extract<Element, { kind: 'PREAMPLIFIER' }>;

/** Without a word of it, what a good one of today has. */
const USUAL_NOISE_FIGURE_DB = 1;

/** What is known of a preamplifier, and what it would bring elsewhere. */
export function PreamplifierFacts({
  preamplifier,
  index,
}: {
  preamplifier: Preamplifier;
  index: number;
}) {
  const { hasWatts, command } = useSheet();
  const of = { element: preamplifier, index };
  const change = (to: Partial<Preamplifier>) =>
    command({ do: 'changeElement', element: index, to: { ...preamplifier, ...to } });
  const inDb = (v: number) => `${plain(v, 2)} dB`;
  return (
    <>
      <Name element={preamplifier} index={index} />
      <Amount
        of={of}
        fact="amplifies by"
        label="gain of the preamplifier"
        name="gain"
        kind="elementLoss"
        unit="db"
        unitLabel="dB"
        value={preamplifier.gainDb}
        say={inDb}
        onCommit={(gainDb) => change({ gainDb })}
      />
      <Amount
        of={of}
        fact="noise figure"
        label="noise figure of the preamplifier"
        name="figure"
        kind="noise"
        unit="db"
        unitLabel="dB"
        value={preamplifier.noiseFigureDb ?? USUAL_NOISE_FIGURE_DB}
        say={inDb}
        onCommit={(noiseFigureDb) => change({ noiseFigureDb })}
      />
      <Amount
        of={of}
        fact="bears at its input"
        label="largest input of the preamplifier"
        name="largest input"
        kind="level"
        unit="dbm"
        unitLabel="dBm"
        value={preamplifier.largestInputDbm}
        say={(v) => `${plain(v, 1)} dBm`}
        onCommit={(largestInputDbm) => change({ largestInputDbm })}
      />
      {hasWatts && (
        <Amount
          of={of}
          fact="what is sent loses, going round it"
          label="loss of the preamplifier on transmit"
          name="bypass"
          kind="elementLoss"
          unit="db"
          unitLabel="dB"
          value={preamplifier.bypassLossDb ?? 0}
          say={inDb}
          onCommit={(bypassLossDb) => change({ bypassLossDb })}
        />
      )}
      {hasWatts && <p className="text-small text-soft">{sentences.neverSendIntoIt}</p>}
      <FedThrough index={index} />
      <PreamplifierPlaces preamplifier={preamplifier} index={index} />
    </>
  );
}

/** Where a bias tee feeds it through the cable, what stands between has to pass direct current. */
function FedThrough({ index }: { index: number }) {
  const sheet = useSheet();
  const run = runOf(sheet.plan);
  const tee = run.findIndex((e) => e.kind === 'DEVICE' && e.form === 'BIAS_TEE');
  if (tee < 0 || tee === index) return null;
  const between = run
    .slice(Math.min(tee, index) + 1, Math.max(tee, index))
    .filter((e) => e.kind !== 'LINE' && e.kind !== 'JOINT' && !isAside(e, sheet.band))
    .map((e) => elementName(e, sheet));
  return <p className="text-small">{fedSentence(between)}</p>;
}
