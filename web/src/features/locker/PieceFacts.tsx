import { Link } from 'react-router';
import type { PieceLife } from '../../api';
import { useConnectors } from '../../api';
import { Term } from '../../ui';
import { fixed, frequencyText, massText, plain } from '../../units';
import { endText } from '../../words';

/** What is said of a piece, and with which figures it stands in a run. */
export function PieceFacts({ life }: { life: PieceLife }) {
  const { summary, measured } = life;
  const connectors = useConnectors().data ?? [];
  const nameOf = (key: string) => connectors.find((c) => c.key === key)?.name ?? key;
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
        <PieceFact what="ends">
          {endText(summary.near, nameOf)}, {endText(summary.far, nameOf)}
        </PieceFact>
        <PieceFact what="bought">
          {summary.boughtOn ?? 'not known'}
          {summary.price !== null && ` for ${plain(summary.price, 2)} ${summary.priceCurrency}`}
        </PieceFact>
        <PieceFact what="kept at">{summary.keptAt ?? '–'}</PieceFact>
        {summary.massKg !== null && (
          <PieceFact what="mass">
            <span className="figures">{massText(summary.massKg)}</span>
          </PieceFact>
        )}
        <PieceFact what="outings">
          {summary.outings}
          {summary.hardOutings > 0 && `, ${summary.hardOutings} of them hard`}
          {summary.earlier && (
            <span className="block text-fine text-soft">
              {summary.earlier.outings} of them from {summary.earlier.from} to{' '}
              {summary.earlier.until}, by number
            </span>
          )}
        </PieceFact>
        {summary.percentOfSheet !== null && (
          <PieceFact what="last test">
            <span className="figures">{fixed(summary.percentOfSheet, 0)} %</span> of its sheet
            {summary.referenceMHz !== null && ` at ${frequencyText(summary.referenceMHz)}`}
          </PieceFact>
        )}
        {life.kits.length > 0 && <PieceFact what="kits">{life.kits.join(', ')}</PieceFact>}
        {summary.plans.length > 0 && (
          <PieceFact what="in the run of">
            {summary.plans.map((p) => (
              <Link key={p.id} className="quiet block" to={`/plans/${p.id}`}>
                {p.site}, {p.name}
              </Link>
            ))}
          </PieceFact>
        )}
        {summary.note && <PieceFact what="note">{summary.note}</PieceFact>}
      </dl>
      <p className="text-fine text-soft">
        {measured ? (
          <>
            In a run it stands with the <Term of="attenuation">loss that was measured</Term> on{' '}
            <Link className="quiet underline" to={`/bench/${measured.testId}`}>
              {measured.on}
            </Link>
            , not with what its type promises.
          </>
        ) : summary.cableKey ? (
          'In a run it stands with what its type promises, until it is tested.'
        ) : (
          'Nobody knows its type: test it before it can stand in a run.'
        )}
      </p>
    </>
  );
}

function PieceFact({ what, children }: { what: string; children: React.ReactNode }) {
  return (
    <>
      <dt className="text-soft">{what}</dt>
      <dd className="min-w-0">{children}</dd>
    </>
  );
}
