import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../../../api';
import { DayField, MadeLink } from '../../../ui';
import { capital, dateText, peopleWords } from '../../../words';

const USUAL_DAYS = 30;
const DAY_MS = 86_400_000;

/** Links to a plan for people who do not belong to the workshop. */
export function SharePanel({ planId, onClose }: { planId: string; onClose: () => void }) {
  const [endsOn, setEndsOn] = useState(() => day(Date.now() + USUAL_DAYS * DAY_MS));
  const { links, share, takeBack } = useShares(planId);
  const failed = share.error ?? takeBack.error;
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div className="fixed inset-0 flex items-center justify-center bg-ink/30 p-4">
        <DialogPanel className="flex max-h-full w-[560px] flex-col gap-3 overflow-auto border border-ink bg-paper p-5">
          <DialogTitle className="text-heading font-bold">Share this plan by a link</DialogTitle>
          <p className="text-soft">{peopleWords.sharing}</p>
          <p className="flex flex-wrap items-baseline gap-x-3">
            <label className="flex items-baseline gap-2">
              until the end of
              <DayField label="last day of the link" value={endsOn} onChange={setEndsOn} />
            </label>
            <button
              type="button"
              className="action ml-auto"
              disabled={share.isPending}
              onClick={() => share.mutate(endsOn)}
            >
              Make a link
            </button>
          </p>
          {share.data && <MadeLink url={share.data.url} hint={peopleWords.shownOnce} />}
          {failed && (
            <p role="alert" className="text-fail">
              {capital(failed.message)}.
            </p>
          )}
          <ul aria-label="links to this plan">
            {links.map((link) => (
              <li key={link.id} className="flex items-baseline gap-4 border-b border-hairline py-1">
                <span className="flex-1">
                  until {dateText(link.endsOn)}
                  <span className="text-soft">
                    , made {dateText(link.madeAt)}
                    {link.madeBy && ` by ${link.madeBy}`}
                  </span>
                </span>
                <button type="button" className="quiet" onClick={() => takeBack.mutate(link.id)}>
                  take back
                </button>
              </li>
            ))}
          </ul>
          <button type="button" className="action self-start" onClick={onClose}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function useShares(planId: string) {
  const queries = useQueryClient();
  const key = ['shares', planId];
  const path = { id: planId };
  const again = () => void queries.invalidateQueries({ queryKey: key });
  const links = useQuery({
    queryKey: key,
    queryFn: () => answered(api.GET('/api/plans/{id}/shares', { params: { path } })),
  });
  const share = useMutation({
    mutationFn: (endsOn: string) =>
      answered(api.POST('/api/plans/{id}/shares', { params: { path }, body: { endsOn } })),
    onSuccess: again,
  });
  const takeBack = useMutation({
    mutationFn: (link: string) =>
      answered(
        api.DELETE('/api/plans/{id}/shares/{share}', {
          params: { path: { ...path, share: link } },
        }),
      ),
    onSuccess: again,
  });
  return { links: links.data ?? [], share, takeBack };
}

function day(at: number): string {
  return new Date(at).toISOString().slice(0, 10);
}
