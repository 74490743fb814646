import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { answered, api } from '../../api';
import type { Schemas } from '../../api';
import { useSession } from '../../app/session';
import { capital, dateText, peopleWords, ROLE_WORDS } from '../../words';
import { SecretField } from './SecretField';

/** Where a one-time link leads: one joins, or comes back in. */
export function ComeInPage() {
  const secret = useLocation().hash.slice(1);
  const invitation = useQuery({
    queryKey: ['invitation', secret],
    queryFn: () => answered(api.POST('/api/invitations', { body: { secret } })),
    retry: false,
    staleTime: Infinity,
  });
  return (
    <main className="mx-auto flex max-w-sm flex-col gap-4 px-4 py-16">
      <span className="text-heading font-bold tracking-tight">Eskiz</span>
      {invitation.isPending && <p role="status">Opening …</p>}
      {invitation.isError && (
        <>
          <h1 className="text-title font-bold">This link lets nobody in any more.</h1>
          <p>{peopleWords.linkIsUsedUp}</p>
        </>
      )}
      {invitation.data && <ComeIn secret={secret} to={invitation.data} />}
    </main>
  );
}

function ComeIn({ secret, to }: { secret: string; to: Schemas['InvitationResponse'] }) {
  const { session, refresh } = useSession();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const isKnown = to.person === null && session.operator !== null && session.open;
  const needsName = to.person === null && !isKnown;
  const comeIn = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/api/invitations/use', {
          body: {
            secret,
            name: needsName ? name : null,
            password: isKnown ? null : password,
          },
        }),
      ),
    onSuccess: async () => {
      await refresh();
      await navigate('/plans', { replace: true });
    },
  });
  return (
    <form
      aria-label="come in"
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        comeIn.mutate();
      }}
    >
      <h1 className="text-title font-bold">
        {to.person === null ? `Join “${to.workshop}”` : `Back in, ${to.person}`}
      </h1>
      <p>
        You come as a {ROLE_WORDS[to.role].name}, who {ROLE_WORDS[to.role].may}. The link lets one
        person in, until {dateText(to.endsAt)}.
      </p>
      {isKnown && <p>You join as {session.operator?.name}.</p>}
      {needsName && (
        <label className="flex flex-col gap-1">
          <span className="text-soft">Your name, as others see it and as you sign in</span>
          <input
            autoFocus
            autoComplete="username"
            className="boxed min-h-9"
            maxLength={100}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
      )}
      {!isKnown && (
        <>
          <SecretField
            label="A new password"
            autoComplete="new-password"
            value={password}
            onChange={setPassword}
          />
          <p className="text-fine text-soft">{peopleWords.goodPassword}</p>
        </>
      )}
      <button
        type="submit"
        className="action self-start"
        disabled={
          comeIn.isPending || (needsName && name.trim() === '') || (!isKnown && password === '')
        }
      >
        {comeIn.isPending ? 'Coming in …' : 'Come in'}
      </button>
      {comeIn.isError && (
        <p role="alert" className="text-fail">
          {capital(comeIn.error.message)}.
        </p>
      )}
    </form>
  );
}
