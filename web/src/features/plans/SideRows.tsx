import { usePreferences } from '../../app/preferences';
import { useWidth, VerdictMark } from '../../ui';
import {
  againstFigure,
  figureOf,
  frequencyText,
  lengthText,
  massText,
  moneyFigure,
  shownReading,
  signed,
  unitOf,
} from '../../units';
import { letterOf, moneyText, words } from '../../words';
import { levelsOf } from '../plan';
import type { InRun, OnBand, SharedBand } from './sideBySide';
import { SideRibbon } from './SideRibbon';

const DRAWING = 300;

/** One under the other: the run drawn, then every band, cost and mass; each against one of them. */
export function SideRows({
  all,
  bands,
  base,
  focus,
  onBase,
  onFocus,
}: {
  all: readonly InRun[];
  bands: readonly SharedBand[];
  base: number;
  focus: number;
  onBase: (index: number) => void;
  onFocus: (index: number) => void;
}) {
  const [box, width] = useWidth<HTMLDivElement>();
  const drawn = Math.max(DRAWING, width - 250 - bands.length * 132 - 190);
  const band = bands[focus];
  const longestM = Math.max(1, ...all.map(lengthOf));
  const mostW = Math.max(0, ...(band?.of ?? []).map((of) => of?.radioW ?? 0));
  return (
    <div ref={box} className="overflow-x-auto" tabIndex={0} role="region" aria-label="side by side">
      <table className="border-separate border-spacing-0">
        <thead>
          <tr className="text-left text-small whitespace-nowrap text-soft [&>th]:border-b [&>th]:border-ink [&>th]:py-1 [&>th]:pr-4 [&>th]:font-normal">
            <th scope="col">plan and cable</th>
            <th scope="col" className="!pr-6">
              the run on {band?.name}, all at one scale
            </th>
            {bands.map((b, i) => (
              <th key={b.frequencyMHz} scope="col" className="text-right">
                <button
                  type="button"
                  aria-pressed={i === focus}
                  className={i === focus ? 'font-semibold text-ink underline' : ''}
                  onClick={() => onFocus(i)}
                >
                  {b.name}
                </button>
                <span className="block text-tiny">{frequencyText(b.frequencyMHz)}</span>
              </th>
            ))}
            <th scope="col" className="text-right">
              cost
            </th>
            <th scope="col" className="text-right">
              mass
            </th>
          </tr>
        </thead>
        <tbody>
          {all.map((one, i) => (
            <tr
              key={`${i} ${one.planId}`}
              data-testid={`side ${letterOf(i)}`}
              className="[&>*]:border-b [&>*]:border-hairline [&>*]:py-2 [&>*]:pr-4 [&>td]:align-middle"
            >
              <Named one={one} index={i} base={base} onBase={onBase} />
              <td className="!pr-6">
                <SideRibbon
                  run={onTheWay(one, band?.of[i])}
                  levels={levelsIn(band?.of[i])}
                  against={i === base ? undefined : levelsIn(band?.of[base])}
                  share={mostW > 0 ? (band?.of[i]?.radioW ?? 0) / mostW : 1}
                  againstShare={mostW > 0 ? (band?.of[base]?.radioW ?? 0) / mostW : 1}
                  width={drawn}
                  lengthShare={lengthOf(one) / longestM}
                />
              </td>
              {bands.map((b) => (
                <td key={b.frequencyMHz} className="text-right whitespace-nowrap">
                  <BandFigures
                    of={b.of[i] ?? null}
                    base={i === base ? null : (b.of[base] ?? null)}
                  />
                </td>
              ))}
              <td className="figures text-right whitespace-nowrap">
                <Cost one={one} base={i === base ? undefined : all[base]} />
              </td>
              <td className="figures text-right whitespace-nowrap">
                <Mass one={one} base={i === base ? undefined : all[base]} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function lengthOf(one: InRun): number {
  return (one.assessment.run ?? []).reduce(
    (sum, e) => sum + (e.kind === 'LINE' ? (e.lengthM ?? 0) : 0),
    0,
  );
}

function levelsIn(of: OnBand | null | undefined) {
  const { assessment, radioW } = of ?? {};
  return assessment
    ? levelsOf(assessment, radioW ?? null).filter((_, i) => !assessment.elements[i - 1]?.aside)
    : [];
}

function Named({
  one,
  index,
  base,
  onBase,
}: {
  one: InRun;
  index: number;
  base: number;
  onBase: (index: number) => void;
}) {
  const { lengths } = usePreferences();
  const cableM = one.row.assignment.reduce((sum, a) => sum + a.lengthM, 0);
  return (
    <th scope="row" className="max-w-[230px] text-left align-middle font-normal">
      <span className="flex items-baseline gap-2">
        <VerdictMark verdict={one.row.verdict} />
        <b>{letterOf(index)}</b>
        <span className="truncate font-semibold">{one.name}</span>
      </span>
      <span className="block text-fine text-soft">
        {lengthText(cableM, lengths)} of {one.row.name}
        {one.standing && `, ${words.standing[one.standing]}`}
      </span>
      <span className="block text-fine">{words.judged[one.row.verdict]}</span>
      {index === base ? (
        <span className="text-fine text-soft">the others are read against it</span>
      ) : (
        <button
          type="button"
          className="quiet text-fine print:hidden"
          aria-label={`Read the others against ${letterOf(index)}`}
          onClick={() => onBase(index)}
        >
          Read the others against it
        </button>
      )}
    </th>
  );
}

/** Watts (or as power is read) and dB with the verdict, and what that is more or less than the base. */
function BandFigures({ of, base }: { of: OnBand | null; base: OnBand | null }) {
  const { reading } = usePreferences();
  if (of === null) return <span className="text-soft">not on it</span>;
  if (of.assessment === null) return <span className="text-fail">nothing arrives</span>;
  const level = { lossDb: of.assessment.totalLossDb, watts: of.assessment.powerAtAntennaW };
  const shown = shownReading(reading, level.watts !== null);
  const other = base?.assessment && {
    lossDb: base.assessment.totalLossDb,
    watts: base.assessment.powerAtAntennaW,
  };
  return (
    <span className="inline-flex flex-col items-end">
      <span className="inline-flex items-baseline gap-1.5">
        <VerdictMark verdict={of.verdict} />
        <span className="figures font-semibold">
          {figureOf(level, shown)} <span className="text-small font-normal">{unitOf(shown)}</span>
        </span>
      </span>
      {shown !== 'dB' && (
        <span className="figures text-small text-soft">{figureOf(level, 'dB')} dB</span>
      )}
      {other && (
        <span className="figures text-small">
          {againstFigure(level, other, shown)} {unitOf(shown)}
          {shown !== 'dB' && <span className="block">{againstFigure(level, other, 'dB')} dB</span>}
        </span>
      )}
    </span>
  );
}

function Cost({ one, base }: { one: InRun; base: InRun | undefined }) {
  const { cost } = one.row;
  const other = base?.row.cost;
  const missing = one.row.notInCost.length;
  return (
    <span className="inline-flex flex-col items-end">
      <span>{cost ? moneyText(cost) : 'not known'}</span>
      {cost && other && cost.currency === other.currency && (
        <span className="text-small text-soft">
          {signed(cost.amount - other.amount, moneyFigure)}
        </span>
      )}
      {missing > 0 && (
        <span className="font-sans text-small text-soft">
          without {missing} {missing === 1 ? 'part' : 'parts'}
        </span>
      )}
    </span>
  );
}

function Mass({ one, base }: { one: InRun; base: InRun | undefined }) {
  const kg = one.row.mass?.totalKg;
  const other = base?.row.mass?.totalKg;
  if (kg === undefined) return <>not known</>;
  return (
    <span className="inline-flex flex-col items-end">
      <span>{massText(kg)}</span>
      {other !== undefined && (
        <span className="text-small text-soft">{signed(kg - other, massText)}</span>
      )}
    </span>
  );
}

/** What stands on the way of a band: the elements of other branches are left out, as their levels are. */
function onTheWay(one: InRun, on: OnBand | null | undefined) {
  const figures = on?.assessment?.elements;
  return (one.assessment.run ?? []).filter((_, i) => figures?.[i]?.aside !== true);
}
