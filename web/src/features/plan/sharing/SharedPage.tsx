import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answered, api, carryShare, shouldRetry } from '../../../api';
import { PreferencesProvider } from '../../../app/preferences';
import { VisitorProvider } from '../../../app/session';
import { peopleWords } from '../../../words';
import { PlanPage } from '../PlanPage';

/** Where the secret stands after the first look at it: the address is the sheet's from then on. */
const KEPT = 'eskiz.share';

/** A plan for whoever was given a link to it: to be read and computed with, and nothing of it is kept. */
export function SharedPage() {
  const [secret] = useState(() => {
    const found = secretOfAddress();
    carryShare(found);
    return found;
  });
  const [queries] = useState(
    () =>
      new QueryClient({
        defaultOptions: {
          queries: { retry: shouldRetry, retryDelay: 1500, refetchOnWindowFocus: false },
        },
      }),
  );
  // not with what somebody at another sheet asks
  useEffect(() => {
    carryShare(secret);
    return () => carryShare(null);
  }, [secret]);
  return (
    <QueryClientProvider client={queries}>
      <Visit />
    </QueryClientProvider>
  );
}

function Visit() {
  const shared = useQuery({
    queryKey: ['shared'],
    queryFn: () => answered(api.GET('/api/shared')),
    staleTime: Infinity,
  });
  if (shared.data)
    return (
      <VisitorProvider until={shared.data.endsOn}>
        <PreferencesProvider>
          <PlanPage id={shared.data.planId} />
        </PreferencesProvider>
      </VisitorProvider>
    );
  if (shared.isError)
    return (
      <main className="mx-auto max-w-[70ch] p-5">
        <h1 className="mb-2 text-heading font-bold">This link leads nowhere any more.</h1>
        <p>{peopleWords.shareHasEnded}</p>
      </main>
    );
  return <p className="p-5">Opening the plan …</p>;
}

/** What stands behind the #, or what stood there before the page was loaded anew. */
function secretOfAddress(): string {
  const here = window.location.hash.slice(1);
  if (here) sessionStorage.setItem(KEPT, here);
  return here || (sessionStorage.getItem(KEPT) ?? '');
}
