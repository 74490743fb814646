import { newId } from '../../ui/newId';
import { usePreferences } from '../../app/preferences';
import { QuantityField, Select, TextField } from '../../ui';
import { fixed, frequencyText, lengthText, plain } from '../../units';
import { phaseSentence, siteSentences } from '../../words';
import type { PartProps } from './SitePage';
import type { SiteDocument } from './useSite';

type Pair = NonNullable<SiteDocument['phased']>[number];
type Found = PartProps['sheet']['phased'][number];

const USUAL_MHZ = 144.2;

/** Pairs of lines that are fed in phase: how far off they are, what to cut, and what to trim once they were measured. */
export function InPhase({ sheet, document, change }: PartProps) {
  const pairs = document.phased ?? [];
  const put = (next: Pair[]) => change({ ...document, phased: next });
  const [first, second] = sheet.runs;
  return (
    <section aria-label="lines in phase" className="flex flex-col gap-2">
      <h2 className="font-bold">Lines in phase</h2>
      {pairs.map((pair, i) => (
        <OnePair
          key={pair.id}
          pair={pair}
          found={sheet.phased[i]}
          runs={sheet.runs.map((r) => ({ value: r.planId, text: r.name }))}
          onChange={(to) => put(pairs.with(i, to))}
          onRemove={() => put(pairs.toSpliced(i, 1))}
        />
      ))}
      {pairs.length > 0 && (
        <p className="text-fine text-soft">
          {siteSentences.phaseFrom} {siteSentences.cutLongFirst} {siteSentences.driftIsEstimate}
        </p>
      )}
      {first && second && (
        <button
          type="button"
          className="quiet self-start print:hidden"
          onClick={() =>
            put([
              ...pairs,
              {
                id: newId(),
                name: `Pair ${pairs.length + 1}`,
                first: first.planId,
                second: second.planId,
                frequencyMHz: USUAL_MHZ,
              },
            ])
          }
        >
          Add a pair of lines
        </button>
      )}
    </section>
  );
}

function OnePair({
  pair,
  found,
  runs,
  onChange,
  onRemove,
}: {
  pair: Pair;
  found: Found | undefined;
  runs: { value: string; text: string }[];
  onChange: (to: Pair) => void;
  onRemove: () => void;
}) {
  const nameOf = (id: string) => runs.find((r) => r.value === id)?.text ?? 'a run';
  return (
    <div className="flex flex-col gap-1 border-l-[3px] border-hairline pl-3">
      <span className="flex flex-wrap items-baseline gap-x-3">
        <TextField
          label="name of the pair"
          value={pair.name}
          className="w-[22ch] font-semibold"
          onCommit={(name) => onChange({ ...pair, name })}
        />
        <QuantityField
          label={`frequency of ${pair.name}`}
          keptAs={`phased ${pair.id}`}
          kind="frequency"
          unit="mhz"
          unitLabel="MHz"
          value={pair.frequencyMHz}
          show={(v) => plain(v)}
          say={frequencyText}
          onCommit={(frequencyMHz) => onChange({ ...pair, frequencyMHz })}
        />
        <button type="button" className="quiet text-fine print:hidden" onClick={onRemove}>
          Remove
        </button>
      </span>
      <span className="flex flex-wrap items-baseline gap-x-3 text-fine">
        <Select
          label="first line"
          value={pair.first}
          options={runs}
          onChange={(first) => onChange({ ...pair, first })}
        />
        and
        <Select
          label="second line"
          value={pair.second}
          options={runs}
          onChange={(second) => onChange({ ...pair, second })}
        />
        <label className="flex items-baseline gap-1.5">
          <input
            type="checkbox"
            checked={pair.sameReel !== false}
            onChange={(e) => onChange({ ...pair, sameReel: e.target.checked })}
          />
          cut from one reel
        </label>
        <Amount
          text="the first longer by"
          label={`difference wanted of ${pair.name}`}
          kind="degrees"
          unit="°"
          value={pair.wantedDegrees ?? 0}
          onCommit={(wantedDegrees) => onChange({ ...pair, wantedDegrees })}
        />
        <Amount
          text="warmer by"
          label={`difference in temperature of ${pair.name}`}
          kind="warmer"
          unit="K"
          value={pair.warmerK ?? 0}
          onCommit={(warmerK) => onChange({ ...pair, warmerK })}
        />
      </span>
      {found && <Told found={found} pair={pair} secondName={nameOf(pair.second)} />}
      <span className="flex flex-wrap items-baseline gap-x-3 text-fine print:hidden">
        Measured on the bench:
        <Amount
          text={nameOf(pair.first)}
          label={`delay of ${nameOf(pair.first)}`}
          kind="delay"
          unit="ns"
          value={pair.firstNs ?? undefined}
          onCommit={(firstNs) => onChange({ ...pair, firstNs })}
        />
        <Amount
          text={nameOf(pair.second)}
          label={`delay of ${nameOf(pair.second)}`}
          kind="delay"
          unit="ns"
          value={pair.secondNs ?? undefined}
          onCommit={(secondNs) => onChange({ ...pair, secondNs })}
        />
      </span>
      {found?.trim && (
        <p className="font-semibold">
          {Math.abs(found.trim.errorDegrees) < 0.5
            ? 'As measured they are right: cut nothing off.'
            : `Cut ${fixed(found.trim.cutMm, 0)} mm off ${nameOf(found.trim.ofFirst ? pair.first : pair.second)}: it is ${fixed(Math.abs(found.trim.errorDegrees), 1)}° too long.`}
        </p>
      )}
    </div>
  );
}

function Told({ found, pair, secondName }: { found: Found; pair: Pair; secondName: string }) {
  const { lengths } = usePreferences();
  if (found.whyNot !== null || found.errorDegrees === null || found.toleranceDegrees === null) {
    return <p className="text-soft">Not known: {found.whyNot}.</p>;
  }
  const text = (m: number) => lengthText(Number(m.toFixed(3)), lengths);
  const isOff = Math.abs(found.errorDegrees) >= 0.5;
  return (
    <p>
      {phaseSentence({
        errorDegrees: found.errorDegrees,
        toleranceDegrees: found.toleranceDegrees,
        wantedDegrees: pair.wantedDegrees ?? 0,
        isSameCable: found.isSameCable,
      })}
      {isOff &&
        found.secondShouldM !== null &&
        found.secondShouldM > 0 &&
        ` Make ${secondName} ${text(found.secondShouldM)} instead of ${text(found.secondM ?? 0)}.`}
      {(found.driftDegrees ?? 0) !== 0 &&
        ` With ${plain(pair.warmerK ?? 0, 0)} K between them they drift ${fixed(Math.abs(found.driftDegrees ?? 0), 1)}° apart.`}
    </p>
  );
}

function Amount({
  text,
  label,
  kind,
  unit,
  value,
  onCommit,
}: {
  text: string;
  label: string;
  kind: 'degrees' | 'warmer' | 'delay';
  unit: string;
  value: number | undefined;
  onCommit: (value: number) => void;
}) {
  return (
    <span className="inline-flex items-baseline gap-1">
      {text}
      <QuantityField
        label={label}
        kind={kind}
        unit={unit.toLowerCase()}
        unitLabel={unit}
        value={value}
        show={(v) => plain(v, 3)}
        say={(v) => `${plain(v, 3)} ${unit}`}
        onCommit={onCommit}
      />
    </span>
  );
}
