import { useState } from 'react';
import { useSession } from '../../app/session';
import { TextField } from '../../ui';
import { agoText, capital, peopleWords } from '../../words';
import { Passkeys } from './Passkeys';
import { SecretField } from './SecretField';
import { useOwnAccount, useSessions } from './usePeople';

const LOOPBACK = ['127.0.0.1', '0:0:0:0:0:0:0:1'];

/** What one changes of oneself: name, password, and where one is signed in. */
export function OwnAccount() {
  const { session, refresh } = useSession();
  const own = useOwnAccount(refresh);
  const [typed, setTyped] = useState<string | null>(null);
  const name = session.operator?.name ?? '';
  return (
    <section aria-label="you" className="flex flex-col gap-3">
      <h2 className="border-b border-ink pb-1 font-semibold">You</h2>
      <div
        className="flex flex-wrap items-baseline gap-x-3"
        onBlur={() => {
          if (typed !== null && typed.trim() !== name) own.rename.mutate(typed.trim());
          setTyped(null);
        }}
      >
        <span className="text-soft">Your name, as others see it and as you sign in</span>
        <TextField
          label="your name"
          className="w-[26ch]"
          value={typed ?? name}
          onCommit={setTyped}
        />
      </div>
      {own.rename.isError && (
        <p role="alert" className="text-fail">
          {capital(own.rename.error.message)}.
        </p>
      )}
      <OtherPassword change={own.changePassword} />
      <Passkeys />
      <Sessions onEnd={(id) => own.signOutThere.mutate(id)} />
      <OwnRecord own={own} />
    </section>
  );
}

function OtherPassword({ change }: { change: ReturnType<typeof useOwnAccount>['changePassword'] }) {
  const [isOpen, setOpen] = useState(false);
  const [old, setOld] = useState('');
  const [password, setPassword] = useState('');
  if (!isOpen) {
    return (
      <span className="flex gap-x-4">
        <button type="button" className="quiet" onClick={() => setOpen(true)}>
          Another password …
        </button>
        {change.isSuccess && (
          <span role="status">It stands, and you are signed out elsewhere.</span>
        )}
      </span>
    );
  }
  return (
    <form
      aria-label="another password"
      className="flex max-w-sm flex-col gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate(
          { old, password },
          {
            onSuccess: () => {
              setOpen(false);
              setOld('');
              setPassword('');
            },
          },
        );
      }}
    >
      <SecretField
        label="The password that stands"
        autoComplete="current-password"
        value={old}
        onChange={setOld}
      />
      <SecretField
        label="A new password"
        autoComplete="new-password"
        value={password}
        onChange={setPassword}
      />
      <p className="text-fine text-soft">{peopleWords.goodPassword}</p>
      <span className="flex gap-x-4">
        <button type="submit" className="action" disabled={change.isPending || !old || !password}>
          Change it
        </button>
        <button type="button" className="quiet" onClick={() => setOpen(false)}>
          leave it
        </button>
      </span>
      {change.isError && (
        <p role="alert" className="text-fail">
          {capital(change.error.message)}.
        </p>
      )}
    </form>
  );
}

function Sessions({ onEnd }: { onEnd: (id: string) => void }) {
  const { data, dataUpdatedAt } = useSessions();
  return (
    <ul aria-label="where you are signed in">
      {data?.map((s) => (
        <li
          key={s.id}
          className="flex flex-wrap items-baseline gap-x-4 border-b border-hairline py-1"
        >
          <span className="flex-1">
            {s.handheld ? 'a phone' : 'a computer'} at{' '}
            {LOOPBACK.includes(s.address) ? (
              'the server itself'
            ) : (
              <span className="figures">{s.address}</span>
            )}
            <span className="text-soft">
              , last used {agoText(Date.parse(s.lastUsed), dataUpdatedAt)}
            </span>
          </span>
          {s.here ? (
            <span className="text-soft">here</span>
          ) : (
            <button type="button" className="quiet" onClick={() => onEnd(s.id)}>
              sign out there
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What is stored about oneself: to be read, and to be deleted. */
function OwnRecord({ own }: { own: ReturnType<typeof useOwnAccount> }) {
  const [isLeaving, setLeaving] = useState(false);
  const failed = own.readRecord.error ?? own.leave.error;
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <button type="button" className="quiet" onClick={() => own.readRecord.mutate()}>
          What is stored about you
        </button>
        {isLeaving ? (
          <span role="alert" className="flex flex-wrap items-baseline gap-x-4">
            {peopleWords.leaving}
            <button type="button" className="action" onClick={() => own.leave.mutate()}>
              Leave for good
            </button>
            <button type="button" className="quiet" onClick={() => setLeaving(false)}>
              stay
            </button>
          </span>
        ) : (
          <button type="button" className="quiet" onClick={() => setLeaving(true)}>
            leave for good …
          </button>
        )}
      </p>
      {failed && (
        <p role="alert" className="text-fail">
          {capital(failed.message)}.
        </p>
      )}
    </>
  );
}
