import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../../api';
import { DayField, MadeLink } from '../../ui';
import { capital, peopleWords, siteSentences } from '../../words';
import type { PartProps } from './SitePage';

const USUAL_DAYS = 30;
const DAY_MS = 86_400_000;

/** A link to each run of the site, for people who do not belong to the workshop. */
export function ShareRuns({ sheet }: Pick<PartProps, 'sheet'>) {
  const [endsOn, setEndsOn] = useState(() =>
    new Date(Date.now() + USUAL_DAYS * DAY_MS).toISOString().slice(0, 10),
  );
  const share = useMutation({
    mutationFn: () =>
      Promise.all(
        sheet.runs.map(async (run) => ({
          name: run.name,
          link: await answered(
            api.POST('/api/plans/{id}/shares', {
              params: { path: { id: run.planId } },
              body: { endsOn },
            }),
          ),
        })),
      ),
  });
  return (
    <section
      aria-label="links to the runs"
      className="flex flex-col gap-2 border border-ink p-3 print:hidden"
    >
      <p className="text-soft">{siteSentences.sharing}</p>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <label className="flex items-baseline gap-2">
          until the end of
          <DayField label="last day of the links" value={endsOn} onChange={setEndsOn} />
        </label>
        <button
          type="button"
          className="action"
          disabled={share.isPending}
          onClick={() => share.mutate()}
        >
          Make a link for each run
        </button>
      </p>
      {share.error && (
        <p role="alert" className="text-fail">
          {capital(share.error.message)}.
        </p>
      )}
      {share.data?.map(({ name, link }) => (
        <div key={name}>
          <p className="font-semibold">{name}</p>
          <MadeLink url={link.url} hint={peopleWords.shownOnce} />
        </div>
      ))}
    </section>
  );
}
