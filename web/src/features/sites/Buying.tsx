import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { lengthText, plain } from '../../units';
import { moneyText, siteSentences, togetherSentence } from '../../words';
import { Offers, ReelsThere } from './Reels';
import type { PartProps } from './SitePage';

type Answer = Schemas['SiteAnswerResponse'];

/** One list over all runs: what is bought for all of them costs least. */
export function Buying({ site, sheet, document, change }: PartProps & { site: string }) {
  const { lengths } = usePreferences();
  const buying = useQuery({
    queryKey: ['site', site, 'buying', document.reels, document.offers, document.reservePercent],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/sites/buying', {
          params: { query: { site } },
          body: {
            schemaVersion: 1,
            reels: document.reels,
            offers: document.offers,
            reservePercent: document.reservePercent,
          },
          signal,
        }),
      ),
    placeholderData: (before) => before,
  });
  const found = buying.data;
  const text = (m: number) => lengthText(Number(m.toFixed(2)), lengths);
  return (
    <section aria-label="buying" className="flex flex-col gap-1.5">
      <h2 className="font-bold">Bought for all runs</h2>
      {buying.isPending && <p role="status">Looking …</p>}
      {buying.error && (
        <p role="alert" className="text-fail">
          {buying.error.message}
        </p>
      )}
      {found?.together && found.apart && (
        <p>
          {togetherSentence(
            found.together.cost,
            found.apart.cost,
            [...new Set(found.together.choices.map((c) => c.name))],
            found.together.bought.reduce((sum, b) => sum + b.reels, 0),
            (amount) => moneyText({ amount, currency: found.currency }),
          )}{' '}
          <span className="text-soft">
            {found.together.proven
              ? 'Nothing is cheaper.'
              : 'The best that was found in time; less may be paid another way.'}
          </span>
        </p>
      )}
      {found && !found.together && found.leftOut.length === 0 && (
        <p>A cut is longer than anything that its cables come in.</p>
      )}
      {found?.together && (
        <ul className="flex flex-col">
          {found.together.bought.map((b) => (
            <li key={b.name} className="border-b border-hairline py-0.5">
              <span className="font-semibold">{b.name}</span>{' '}
              <span className="figures">{text(b.neededM)}</span>
              {howBought(b, text)}
            </li>
          ))}
          {found.together.choices
            .filter((c) => c.isPiece)
            .map((c) => (
              <li key={c.planId} className="border-b border-hairline py-0.5">
                {c.name}, a piece of yours
              </li>
            ))}
        </ul>
      )}
      {found && <Ways found={found} />}
      {found?.together && <OtherCables sheet={sheet} choices={found.together.choices} />}
      {found?.leftOut.map((l) => (
        <p key={l.planId} className="text-fine text-soft">
          {l.name} is not counted: {l.why}.
        </p>
      ))}
      <p className="text-fine text-soft">{siteSentences.takeBoth}</p>
      <Reserve document={document} change={change} />
      <ReelsThere document={document} change={change} />
      <Offers document={document} change={change} />
    </section>
  );
}

/** Of one cable: by the metre, in lengths, as whole reels, or what is there. */
function howBought(b: Answer['bought'][number], text: (m: number) => string): string {
  const parts: string[] = [];
  if (b.reels > 0 && b.reelM !== null) {
    parts.push(`${b.reels === 1 ? 'one reel' : `${b.reels} reels`} of ${text(b.reelM)}`);
  }
  if (b.boughtM > 0.005 && b.soldInM !== null) {
    parts.push(`${text(b.boughtM)} in lengths of ${text(b.soldInM)}`);
  } else if (b.boughtM > 0.005 && (parts.length > 0 || b.boughtM < b.neededM - 0.005)) {
    parts.push(`${text(b.boughtM)} by the metre`);
  }
  if (parts.length > 0) return `, bought as ${parts.join(' and ')}`;
  return b.boughtM < 0.005 ? ', all of it is there' : ', by the metre';
}

/** Runs for which another cable is bought than lies in them; each opens with it pointed at. */
function OtherCables({
  sheet,
  choices,
}: {
  sheet: PartProps['sheet'];
  choices: Answer['choices'];
}) {
  const others = choices.flatMap((c) => {
    const run = sheet.runs.find((r) => r.planId === c.planId);
    return run && run.sketch?.cableName !== c.name ? [{ ...c, run: run.name }] : [];
  });
  if (others.length === 0) return null;
  return (
    <p>
      Another cable than lies there now:{' '}
      {others.map((o, i) => (
        <span key={o.planId}>
          {i > 0 && ', '}
          <Link className="quiet" to={`/plans/${o.planId}?row=${encodeURIComponent(o.rowId)}`}>
            {o.name} in {o.run}
          </Link>
        </span>
      ))}
      .
    </p>
  );
}

/** What it costs one way and another. */
function Ways({ found }: { found: Schemas['SiteBuyingResponse'] }) {
  const ways: [string, Answer | null][] = [
    ['for all together', found.together],
    ['one cable for all', found.oneForAll],
    ['each by itself', found.apart],
  ];
  return (
    <dl className="grid grid-cols-[auto_auto_1fr] gap-x-4">
      {ways.map(
        ([what, way]) =>
          way && (
            <div key={what} className="contents">
              <dt className="text-soft">{what}</dt>
              <dd className="figures text-right font-semibold">
                {moneyText({ amount: way.cost, currency: found.currency })}
              </dd>
              <dd className="truncate text-fine text-soft">
                {[...new Set(way.choices.map((c) => c.name))].join(', ')}
              </dd>
            </div>
          ),
      )}
    </dl>
  );
}

function Reserve({ document, change }: Pick<PartProps, 'document' | 'change'>) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-2 text-fine print:hidden">
      Every cut is longer by
      <QuantityField
        label="reserve of every cut"
        kind="percentOff"
        unit="%"
        unitLabel="%"
        value={document.reservePercent ?? 0}
        show={(v) => plain(v)}
        say={(v) => `${plain(v)} %`}
        onCommit={(reservePercent) =>
          change({ ...document, reservePercent: Math.min(50, reservePercent) })
        }
      />
      beside the allowances of its plan.
    </p>
  );
}
