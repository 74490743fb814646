import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { Shell } from '../../app/Shell';
import { PARTS, PROPERTIES } from '../../words';
import type { Part } from '../../words';

/** A cable taken apart: what it is made of, and what each part decides. */
export function AnatomyPage() {
  const { hash } = useLocation();
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'start' });
  }, [hash]);
  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <article className="mx-auto flex max-w-[760px] flex-col gap-5">
          <div>
            <h1 className="text-title font-bold">What a coaxial cable is made of</h1>
            <p className="mt-1">
              Two conductors, one inside the other, and something between them. All that a sheet
              says follows from these few parts.{' '}
              <Link to="/cables" className="quiet underline">
                All cables
              </Link>
            </p>
          </div>
          <Peeled />
          <ol className="flex flex-col gap-4">
            {PARTS.map((part, i) => (
              <Told key={part.id} part={part} number={i + 1} />
            ))}
          </ol>
          <h2 className="text-heading font-bold">What the sheet says of it</h2>
          <ul className="flex flex-col gap-4">
            {PROPERTIES.map((part) => (
              <Told key={part.id} part={part} drawing={DRAWINGS[part.id]} />
            ))}
          </ul>
        </article>
      </main>
    </Shell>
  );
}

function Told({
  part,
  number,
  drawing,
}: {
  part: Part;
  number?: number;
  drawing?: React.ReactNode;
}) {
  return (
    <li
      id={part.id}
      className="flex scroll-mt-4 gap-4 target:border-l-[3px] target:border-blue target:pl-3"
    >
      {number !== undefined && (
        <span className="figures w-5 shrink-0 text-right font-bold">{number}</span>
      )}
      <span className="min-w-0 flex-1">
        <strong className="block">{part.name}</strong>
        {part.text}
      </span>
      {drawing && (
        <svg
          viewBox="0 0 120 80"
          width="120"
          height="80"
          aria-hidden="true"
          className="shrink-0 max-[599px]:hidden"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.4"
        >
          {drawing}
        </svg>
      )}
    </li>
  );
}

/** The cable from the side, each layer cut back further than the one below it, and from its end. */
function Peeled() {
  const layers = [
    { to: 560, half: 9, fill: 'var(--ink)' },
    { to: 430, half: 34, fill: 'var(--paper)' },
    { to: 330, half: 37, fill: 'var(--hairline)' },
    { to: 240, half: 42, fill: 'url(#weave)' },
    { to: 130, half: 50, fill: 'var(--ink-soft)' },
  ];
  return (
    <svg
      viewBox="0 0 760 190"
      role="img"
      aria-label="a cable cut back layer by layer, and its cross-section: 1 centre conductor, 2 dielectric, 3 foil, 4 braid, 5 jacket"
      className="w-full"
    >
      <defs>
        <pattern id="weave" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--paper)" />
          <path
            d="M0 8 8 0M-2 2 2-2M6 10 10 6M0 0 8 8M-2 6 2 10M6-2 10 2"
            stroke="var(--ink)"
            strokeWidth="1"
          />
        </pattern>
      </defs>
      {layers.map(({ to, half, fill }, i) => (
        <g key={to}>
          <rect
            x="20"
            y={95 - half}
            width={to - 20}
            height={2 * half}
            fill={fill}
            stroke="var(--ink)"
          />
          <path
            d={`M${to - 24} ${95 - half}V${i % 2 === 0 ? 22 : 172}`}
            stroke="var(--ink)"
            strokeWidth="0.8"
          />
          <text
            x={to - 24}
            y={i % 2 === 0 ? 16 : 186}
            textAnchor="middle"
            fontSize="13"
            fontWeight="700"
            fill="var(--ink)"
          >
            {i + 1}
          </text>
        </g>
      ))}
      {layers.toReversed().map(({ half, fill }) => (
        <circle key={half} cx="670" cy="95" r={half * 1.3} fill={fill} stroke="var(--ink)" />
      ))}
    </svg>
  );
}

/** Small drawings beside what a sheet says. */
const DRAWINGS: Record<string, React.ReactNode> = {
  impedance: (
    <>
      <circle cx="40" cy="40" r="30" />
      <circle cx="40" cy="40" r="11" fill="var(--ink)" />
      <path d="M82 40h30M97 34v12M82 40l5-3M82 40l5 3M112 40l-5-3M112 40l-5 3" />
    </>
  ),
  'velocity-factor': (
    <>
      <path d="M6 26c10-18 20-18 30 0s20 18 30 0 20-18 30 0" />
      <path d="M6 58c7-16 13-16 20 0s13 16 20 0 13-16 20 0 13 16 20 0 13-16 20 0" />
    </>
  ),
  attenuation: <path d="M10 8v62h104M10 66C40 58 74 44 110 14" />,
  bend: (
    <>
      <path d="M14 72V46a32 32 0 0 1 32-32h60" strokeWidth="9" stroke="var(--ink-soft)" />
      <path d="M46 46 23 23M46 46h-3v-3" />
    </>
  ),
  burial: (
    <>
      <path d="M4 26h112M14 26l-6 8M34 26l-6 8M54 26l-6 8M74 26l-6 8M94 26l-6 8" />
      <circle cx="60" cy="56" r="10" fill="var(--ink-soft)" />
      <circle cx="60" cy="56" r="2" fill="var(--paper)" stroke="none" />
    </>
  ),
  cold: <path d="M60 10v60M34 25l52 30M34 55l52-30M60 18l-6-6M60 18l6-6M60 62l-6 6M60 62l6 6" />,
  sun: (
    <>
      <circle cx="60" cy="30" r="12" />
      <path d="M60 6v6M60 48v6M36 30h6M78 30h6M43 13l4 4M73 43l4 4M77 13l-4 4M47 43l-4 4M10 70h100" />
    </>
  ),
  rating: (
    <>
      <path d="M8 60h104" strokeWidth="9" stroke="var(--ink-soft)" />
      <path d="M30 46c-6-8 6-12 0-22M60 46c-6-8 6-12 0-22M90 46c-6-8 6-12 0-22" />
    </>
  ),
};
