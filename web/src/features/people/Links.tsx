import { useState } from 'react';
import type { Role } from '../../api';
import { MadeLink, Select } from '../../ui';
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
      {made && <MadeLink url={made} hint={peopleWords.handOver} />}
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
