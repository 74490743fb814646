import { useState } from 'react';
import type { Role } from '../../api';
import { Select } from '../../ui';
import { dateText, peopleWords, ROLE_WORDS } from '../../words';
import { ROLE_OPTIONS } from './PeopleTable';
import { useLinks } from './usePeople';
import type { usePeopleCare } from './usePeople';

/** Links by which people come in; made here, and handed over by the keeper. */
export function Links({ care }: { care: ReturnType<typeof usePeopleCare> }) {
  const [role, setRole] = useState<Role>('MEMBER');
  const links = useLinks(true).data ?? [];
  const made = care.letBackIn.data?.url ?? care.invite.data?.url ?? null;
  return (
    <section aria-label="links" className="flex flex-col gap-2">
      <h2 className="border-b border-ink pb-1 font-semibold">Let somebody in</h2>
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        as a
        <Select
          label="role of whoever comes"
          value={role}
          options={ROLE_OPTIONS}
          onChange={setRole}
        />
        <span className="text-soft">who {ROLE_WORDS[role].may}</span>
        <button
          type="button"
          className="action ml-auto"
          disabled={care.invite.isPending}
          onClick={() => {
            care.letBackIn.reset();
            care.invite.mutate(role);
          }}
        >
          Make a link
        </button>
      </p>
      {made && <MadeLink url={made} />}
      {links.map((link) => (
        <p
          key={link.id}
          className="flex flex-wrap items-baseline gap-x-4 border-b border-hairline py-1"
        >
          <span className="flex-1">
            {link.person ? `lets ${link.person} back in` : `for a ${ROLE_WORDS[link.role].name}`}
            <span className="text-soft">
              , {link.madeBy ? `made by ${link.madeBy}` : 'made on the server'}, ends{' '}
              {dateText(link.endsAt)}
            </span>
          </span>
          <button type="button" className="quiet" onClick={() => care.takeBack.mutate(link.id)}>
            take back
          </button>
        </p>
      ))}
    </section>
  );
}

function MadeLink({ url }: { url: string }) {
  const [copied, setCopied] = useState<string | null>(null);
  return (
    <div role="status" className="flex flex-col gap-1 border border-ink px-3 py-2">
      <span className="flex items-baseline gap-3">
        <input
          readOnly
          aria-label="the link"
          className="boxed figures min-w-0 flex-1 text-fine"
          value={url}
          onFocus={(e) => e.target.select()}
        />
        <button
          type="button"
          className="quiet"
          onClick={() => void navigator.clipboard.writeText(url).then(() => setCopied(url))}
        >
          {copied === url ? 'copied' : 'copy'}
        </button>
      </span>
      <span className="text-fine text-soft">{peopleWords.handOver}</span>
    </div>
  );
}
