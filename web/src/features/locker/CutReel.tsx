import type { CutPlan } from '../../api';
import { usePreferences } from '../../app/preferences';
import { useWidth } from '../../ui';
import { lengthText } from '../../units';

/** Of the strip, and below it the marks. */
const STRIP = 26;
const HEIGHT = STRIP + 16;

/** A name or a mark closer than this to the next is left to the list below. */
const ROOM = 46;

/** A reel unrolled to scale, with its cuts and the marks in metres from its end; what is left is hatched. */
export function CutReel({
  reel,
  longestM,
  stepOf,
}: {
  reel: CutPlan['reels'][number];
  longestM: number;
  /** What can be done with a cut, where something can. */
  stepOf?: (cut: number) => React.ReactNode;
}) {
  const { lengths } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const x = (m: number) => (m / longestM) * Math.max(0, width - 2);
  const starts = reel.cuts.map((_, i) =>
    reel.cuts.slice(0, i).reduce((sum, c) => sum + c.lengthM, 0),
  );
  const usedM = reel.lengthM - reel.leftM;
  const marks = reel.cuts.map((c, i) => (starts[i] ?? 0) + c.lengthM);
  return (
    <li>
      <p>
        <span className="font-semibold">{reel.bought ? 'bought' : reel.name}</span>
        <span className="text-soft">
          , {lengthText(reel.lengthM, lengths)}; {lengthText(reel.leftM, lengths)} left
        </span>
      </p>
      <div ref={box}>
        <svg width={width} height={HEIGHT} aria-hidden="true" className="block">
          <defs>
            <pattern id="left" width="5" height="5" patternUnits="userSpaceOnUse">
              <path d="M0 5 5 0" stroke="var(--control)" strokeWidth="0.8" />
            </pattern>
          </defs>
          <rect
            x={1 + x(usedM)}
            y="4"
            width={x(reel.leftM)}
            height={STRIP - 8}
            fill="url(#left)"
            stroke="var(--control)"
          />
          {reel.cuts.map((c, i) => (
            <g key={i}>
              <rect
                x={1 + x(starts[i] ?? 0)}
                y="4"
                width={Math.max(1, x(c.lengthM) - 2)}
                height={STRIP - 8}
                fill="var(--paper-raised)"
                stroke="var(--ink)"
              />
              {x(c.lengthM) > ROOM && (
                <text x={5 + x(starts[i] ?? 0)} y={STRIP - 8} fontSize="11" className="fill-ink">
                  {shortened(c.name, x(c.lengthM))}
                </text>
              )}
              <path d={`M${x(marks[i] ?? 0)} ${STRIP - 4}v5`} stroke="var(--ink)" />
              {x(c.lengthM) > ROOM && (
                <text
                  x={x(marks[i] ?? 0)}
                  y={HEIGHT - 2}
                  textAnchor="end"
                  fontSize="11"
                  className="figures fill-soft"
                >
                  {lengthText(marks[i] ?? 0, lengths)}
                </text>
              )}
            </g>
          ))}
        </svg>
      </div>
      <ol className="text-fine">
        {reel.cuts.map((c, i) => (
          <li key={i}>
            <span className="figures">{lengthText(c.lengthM, lengths)}</span>{' '}
            <span className="text-soft">
              {c.name}, cut at {lengthText(marks[i] ?? 0, lengths)} from the end
            </span>
            {stepOf?.(i)}
          </li>
        ))}
      </ol>
    </li>
  );
}

/** As much of a name as a strip has room for. */
function shortened(name: string, width: number): string {
  const letters = Math.floor((width - 8) / 6.2);
  return name.length <= letters ? name : `${name.slice(0, Math.max(1, letters - 1))}…`;
}
