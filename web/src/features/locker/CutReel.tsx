import type { CutPlan } from '../../api';
import { usePreferences } from '../../app/preferences';
import { useWidth } from '../../ui';
import { lengthText } from '../../units';

const HEIGHT = 22;

/** A reel unrolled to scale, with the places of its cuts; what is left is hatched. */
export function CutReel({ reel, longestM }: { reel: CutPlan['reels'][number]; longestM: number }) {
  const { lengths } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const x = (m: number) => (m / longestM) * Math.max(0, width - 2);
  const starts = reel.cuts.map((_, i) =>
    reel.cuts.slice(0, i).reduce((sum, c) => sum + c.lengthM, 0),
  );
  const usedM = reel.lengthM - reel.leftM;
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
            height={HEIGHT - 8}
            fill="url(#left)"
            stroke="var(--control)"
          />
          {reel.cuts.map((c, i) => (
            <rect
              key={i}
              x={1 + x(starts[i] ?? 0)}
              y="4"
              width={Math.max(1, x(c.lengthM) - 2)}
              height={HEIGHT - 8}
              fill="var(--paper-raised)"
              stroke="var(--ink)"
            />
          ))}
        </svg>
      </div>
      <ol className="text-fine">
        {reel.cuts.map((c, i) => (
          <li key={i}>
            <span className="figures">{lengthText(c.lengthM, lengths)}</span>{' '}
            <span className="text-soft">{c.name}</span>
          </li>
        ))}
      </ol>
    </li>
  );
}
