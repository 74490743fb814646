import { useState } from 'react';
import type { Role } from '../../api';
import { useSession } from '../../app/session';
import { Select } from '../../ui';
import { capital, dateText, ROLE_WORDS } from '../../words';
import { usePeople } from './usePeople';
import type { usePeopleCare } from './usePeople';

export const ROLE_OPTIONS = (Object.keys(ROLE_WORDS) as Role[]).map((value) => ({
  value,
  text: ROLE_WORDS[value].name,
}));

/** Everybody of the workshop, and what they may do. */
export function PeopleTable({ care }: { care: ReturnType<typeof usePeopleCare> }) {
  const { session, may } = useSession();
  const people = usePeople().data ?? [];
  const [leaving, setLeaving] = useState<string | null>(null);
  return (
    <section aria-label="people" className="flex flex-col gap-2">
      <h2 className="border-b border-ink pb-1 font-semibold">Who works here</h2>
      <ul>
        {people.map((person) => (
          <li
            key={person.id}
            className="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-hairline py-1.5"
          >
            <span className="min-w-0 flex-1 basis-48 truncate font-semibold">
              {person.name}
              {person.id === session.operator?.id && (
                <span className="ml-2 font-normal text-soft">you</span>
              )}
            </span>
            {may('KEEPER') ? (
              <Select
                label={`role of ${person.name}`}
                value={person.role}
                options={ROLE_OPTIONS}
                onChange={(role) => care.setRole.mutate({ person: person.id, role })}
              />
            ) : (
              <span>{ROLE_WORDS[person.role].name}</span>
            )}
            <span className="text-fine text-soft">since {dateText(person.since)}</span>
            {may('KEEPER') && leaving !== person.id && (
              // as wide with nothing in it, so that roles stand below each other
              <span className="flex flex-wrap gap-x-5 sm:min-w-44">
                {person.id !== session.operator?.id && (
                  <>
                    <button
                      type="button"
                      className="quiet"
                      onClick={() => care.letBackIn.mutate(person.id)}
                    >
                      lost their password
                    </button>
                    <button type="button" className="quiet" onClick={() => setLeaving(person.id)}>
                      let go …
                    </button>
                  </>
                )}
              </span>
            )}
            {leaving === person.id && (
              <span role="alert" className="flex flex-wrap items-baseline gap-x-4">
                What {person.name} made stays here.
                <button
                  type="button"
                  className="action"
                  onClick={() =>
                    care.letGo.mutate(person.id, { onSettled: () => setLeaving(null) })
                  }
                >
                  Let go
                </button>
                <button type="button" className="quiet" onClick={() => setLeaving(null)}>
                  keep
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
      {care.failed && (
        <p role="alert" className="text-fail">
          {capital(care.failed.message)}.
        </p>
      )}
    </section>
  );
}
