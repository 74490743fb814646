import { PatternLines } from '@visx/pattern';
import { useId } from 'react';
import type { BenchNotes } from '../../api';
import { fractionLeft } from '../../units';
import { AtTheMeter } from './AtTheMeter';

/** Where the things stand on the drawing, px. */
const LEFT = 66;
const RIGHT = 354;
const LINE = 52;

/** More do not fit below a cable. */
const MOST_LETTERS = 34;

/**
 * What is connected with what, in our own hand. The cable is drawn as the plan sheet draws a run: copper for what goes on,
 * hatched for what became heat, by the last reading there is.
 */
export function SetUp({
  notes,
  cable,
  lossDb,
  children,
  onChange,
}: {
  notes: BenchNotes;
  /** What the cable is called on the drawing. */
  cable: string;
  lossDb: number | null;
  /** What is typed of it. */
  children: React.ReactNode;
  onChange: (notes: BenchNotes) => void;
}) {
  switch (notes.method) {
    case 'WATTMETER':
      return (
        <WithWattmeter notes={notes} cable={cable} lossDb={lossDb} onChange={onChange}>
          {children}
        </WithWattmeter>
      );
    case 'THROUGH_SWEEP':
      return (
        <Drawing
          label="an analyser at both ends of the cable"
          about={children}
          steps={['calibrate at the ends of the test leads, then sweep']}
        >
          <Analyser ports={2} />
          <path d="M66 46H104M66 96H104" className="stroke-ink" strokeWidth="1.5" fill="none" />
          <Loop cable={cable} lossDb={lossDb} />
        </Drawing>
      );
    case 'ONE_END_SWEEP':
      return (
        <Drawing
          label="an analyser at one end of the cable, the far one open and then shorted"
          about={children}
          steps={['far end open: sweep', 'far end shorted: sweep again']}
        >
          <Analyser ports={1} />
          <path d="M66 46H100" className="stroke-ink" strokeWidth="1.5" fill="none" />
          <Cable x={100} to={300} y={46} cable={cable} lossDb={lossDb} />
          <path d="M300 46h14" className="stroke-ink" strokeWidth="1.5" />
          <circle cx="318" cy="46" r="3.5" className="fill-paper stroke-ink" strokeWidth="1.5" />
          <Label x={318} y={34}>
            open
          </Label>
          <path
            d="M300 46l10 40h10m0-9v18m0-9h-4"
            className="stroke-ink"
            fill="none"
            strokeDasharray="3 3"
          />
          <Label x={340} y={90}>
            shorted
          </Label>
        </Drawing>
      );
    case 'LOSSES':
      return (
        <Drawing
          label="a cable of which the losses are known"
          about={children}
          steps={['losses that another instrument has told']}
        >
          <Cable x={60} to={360} y={64} cable={cable} lossDb={lossDb} />
        </Drawing>
      );
  }
}

function WithWattmeter({
  notes,
  cable,
  lossDb,
  children,
  onChange,
}: {
  notes: BenchNotes;
  cable: string;
  lossDb: number | null;
  children: React.ReactNode;
  onChange: (notes: BenchNotes) => void;
}) {
  const lead = notes.wattmeter?.lead ?? 'NONE';
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-1">
      <Drawing
        label="the radio, the wattmeter and the dummy load, without the cable"
        steps={['without the cable: what the radio makes']}
        atMeter={<AtTheMeter notes={notes} reads="baseline" onChange={onChange} />}
      >
        <Radio />
        {lead === 'NONE' ? (
          <path d={`M${LEFT} ${LINE}H${RIGHT - 78}`} className="stroke-copper" strokeWidth="7" />
        ) : (
          <>
            <path
              d={`M${LEFT} ${LINE}c40 0 40 18 80 18s60-18 ${RIGHT - 78 - LEFT - 80} -18`}
              className="stroke-copper"
              strokeWidth="6"
              fill="none"
            />
            <Label x={(LEFT + RIGHT - 78) / 2} y={LINE + 34}>
              a lead in its place
            </Label>
          </>
        )}
        <MeterAndLoad />
      </Drawing>
      <Drawing
        label="the same with the cable between radio and wattmeter"
        about={children}
        steps={['through the cable, nothing else changed']}
        atMeter={<AtTheMeter notes={notes} reads="through" onChange={onChange} />}
      >
        <Radio />
        {lead === 'STAYED_IN' && (
          <>
            <path d={`M${LEFT} ${LINE}h34`} className="stroke-copper" strokeWidth="6" />
            <Label x={LEFT + 18} y={LINE + 22}>
              the lead
            </Label>
          </>
        )}
        <Cable
          x={lead === 'STAYED_IN' ? LEFT + 34 : LEFT}
          to={RIGHT - 78}
          y={LINE}
          cable={cable}
          lossDb={lossDb}
        />
        <MeterAndLoad />
      </Drawing>
    </div>
  );
}

function Drawing({
  label,
  steps,
  about,
  atMeter,
  children,
}: {
  label: string;
  steps: readonly string[];
  /** What is typed of the cable, right where it is drawn. */
  about?: React.ReactNode;
  /** What is read there, right below the meter. */
  atMeter?: React.ReactNode;
  children: React.ReactNode;
}) {
  return (
    <figure className="m-0">
      <svg
        width="420"
        height="116"
        viewBox="0 0 420 116"
        role="img"
        aria-label={label}
        className="block max-w-full"
      >
        {children}
      </svg>
      {about && <div className="-mt-5 flex max-w-[420px] justify-center pb-1">{about}</div>}
      {atMeter && <div className="flex max-w-[420px] justify-end pr-[64px]">{atMeter}</div>}
      <figcaption className="max-w-[420px] text-fine text-soft">{steps.join(' · ')}</figcaption>
    </figure>
  );
}

function Radio() {
  return (
    <g className="stroke-ink" strokeWidth="1.5" fill="none">
      <path d="M8 34h58v36H8z" />
      <circle cx="24" cy="52" r="8" />
      <path d="M24 52l5-5M42 44h16M42 50h16M42 60h10" />
      <Label x={37} y={86}>
        radio
      </Label>
    </g>
  );
}

function MeterAndLoad() {
  const x = RIGHT - 78;
  return (
    <g className="stroke-ink" strokeWidth="1.5" fill="none">
      <path d={`M${x} 30h44v44h-44z`} className="fill-paper" />
      <path d={`M${x + 6} 62a18 18 0 0 1 32 0M${x + 22} 64l9-17`} />
      <Label x={x + 22} y={90}>
        wattmeter
      </Label>
      <path d={`M${x + 44} ${LINE}h18`} />
      <path
        d={`M${x + 62} 38h26v28h-26zM${x + 67} 38v28M${x + 72} 38v28M${x + 77} 38v28M${x + 82} 38v28`}
      />
      <Label x={x + 76} y={90}>
        load
      </Label>
    </g>
  );
}

function Analyser({ ports }: { ports: 1 | 2 }) {
  return (
    <g className="stroke-ink" strokeWidth="1.5" fill="none">
      <path d="M8 26h58v80H8z" />
      <path d="M14 34h38v30H14zM14 58c8-2 8-16 16-16s6 12 22 14" />
      <circle cx="66" cy="46" r="3.5" className="fill-paper" />
      {ports === 2 && <circle cx="66" cy="96" r="3.5" className="fill-paper" />}
      <Label x={36} y={90}>
        analyser
      </Label>
    </g>
  );
}

/** A cable between two places: copper where power goes on, hatched where it became heat. */
function Cable({
  x,
  to,
  y,
  cable,
  lossDb,
}: {
  x: number;
  to: number;
  y: number;
  cable: string;
  lossDb: number | null;
}) {
  const hatch = useId();
  const full = 9;
  const left = lossDb === null ? 1 : fractionLeft(Math.max(0, lossDb));
  const end = Math.max(1, full * left);
  return (
    <g>
      <PatternLines
        id={hatch}
        width={4}
        height={4}
        stroke="var(--ink)"
        strokeWidth={0.6}
        orientation={['diagonal']}
        background="var(--ash-ground)"
      />
      <path
        d={`M${x} ${y - full}H${to}V${y + full}H${x}z`}
        fill={`url(#${hatch})`}
        className="stroke-ink"
        strokeWidth="0.8"
      />
      <path
        d={`M${x} ${y - full}L${to} ${y - end}V${y + end}L${x} ${y + full}z`}
        className={lossDb === null ? 'fill-paper stroke-ink' : 'fill-copper'}
        strokeWidth="0.8"
      />
      <Label x={(x + to) / 2} y={y + full + 16} bold>
        {cable}
      </Label>
    </g>
  );
}

/** The same, there and back to the second port. */
function Loop({ cable, lossDb }: { cable: string; lossDb: number | null }) {
  return (
    <>
      <Cable x={104} to={352} y={46} cable={cable} lossDb={lossDb} />
      <path
        d="M352 46h16c14 0 14 50 0 50H104"
        className="stroke-ink"
        strokeWidth="1.5"
        fill="none"
      />
    </>
  );
}

function Label({
  x,
  y,
  bold,
  children,
}: {
  x: number;
  y: number;
  bold?: boolean;
  children: string;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor="middle"
      fontSize="11"
      fontWeight={bold ? 600 : 400}
      className={bold ? 'fill-ink' : 'fill-soft'}
      stroke="none"
    >
      {children.length > MOST_LETTERS ? `${children.slice(0, MOST_LETTERS - 2)} …` : children}
    </text>
  );
}
