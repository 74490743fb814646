import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { answered, api } from '../../api';
import { Shell } from '../../app/Shell';
import { siteSentences } from '../../words';
import { siteAddress } from './siteAddress';
import { SitePage } from './SitePage';

/** The sheet of the site in the address; without one the sites that plans carry. */
export function SitesPage() {
  const [params] = useSearchParams();
  const site = params.get('site');
  return site ? <SitePage key={site} name={site} /> : <SiteList />;
}

function SiteList() {
  const sites = useQuery({
    queryKey: ['sites'],
    queryFn: ({ signal }) => answered(api.GET('/api/sites', { signal })),
  });
  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-[960px] flex-col gap-4">
          <h1 className="text-title font-bold">Sites</h1>
          <p className="max-w-[70ch] text-soft">{siteSentences.whatItIs}</p>
          {sites.isPending && <p role="status">Opening …</p>}
          {sites.error && (
            <p role="alert" className="text-fail">
              {sites.error.message}
            </p>
          )}
          {sites.data?.length === 0 && <p>{siteSentences.noSites}</p>}
          <ul className="flex flex-col">
            {sites.data?.map((s) => (
              <li key={s.name} className="border-b border-hairline">
                <Link
                  to={siteAddress(s.name)}
                  className="flex min-h-11 items-center justify-between gap-4 hover:text-blue"
                >
                  <span className="font-semibold">{s.name}</span>
                  <span className="text-soft">{s.plans === 1 ? '1 run' : `${s.plans} runs`}</span>
                </Link>
              </li>
            ))}
          </ul>
        </div>
      </main>
    </Shell>
  );
}
