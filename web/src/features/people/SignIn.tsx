import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api';
import type { Problem } from '../../api';
import { useSession } from '../../app/session';
import { capital, peopleWords } from '../../words';
import { knowsPasskeys, signInByPasskey } from './passkeys';
import { SecretField } from './SecretField';

/** Stands over the sheet, which keeps what was typed, until somebody has signed in. */
export function SignIn() {
  const { refresh } = useSession();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useMutation({ mutationFn: () => begin(name, password), onSuccess: refresh });
  const byPasskey = useMutation({ mutationFn: signInByPasskey, onSuccess: refresh });
  const failed = signIn.error ?? byPasskey.error;
  return (
    <div className="fixed inset-0 z-50 overflow-y-auto bg-paper">
      <form
        aria-label="sign in"
        className="mx-auto flex max-w-sm flex-col gap-4 px-4 py-16"
        onSubmit={(e) => {
          e.preventDefault();
          byPasskey.reset();
          signIn.mutate();
        }}
      >
        <span className="text-heading font-bold tracking-tight">Eskiz</span>
        <h1 className="text-title font-bold">Sign in</h1>
        <label className="flex flex-col gap-1">
          <span className="text-soft">Name</span>
          <input
            autoFocus
            autoComplete="username"
            className="boxed min-h-9"
            maxLength={100}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <SecretField
          label="Password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
        />
        <button
          type="submit"
          className="action self-start"
          disabled={signIn.isPending || name.trim() === '' || password === ''}
        >
          {signIn.isPending ? 'Signing in …' : 'Sign in'}
        </button>
        {knowsPasskeys() && (
          <button
            type="button"
            className="quiet self-start"
            disabled={byPasskey.isPending}
            onClick={() => byPasskey.mutate()}
          >
            {byPasskey.isPending ? 'waiting for the device …' : 'Sign in with a passkey'}
          </button>
        )}
        {failed && (
          <p role="alert" className="text-fail">
            {capital(failed.message)}.
          </p>
        )}
        <p className="text-fine text-soft">{peopleWords.lostPassword}</p>
      </form>
    </div>
  );
}

/** A wrong password is no session that has ended. */
async function begin(name: string, password: string): Promise<void> {
  const { response, error } = await api
    .POST('/api/session', { body: { name, password } })
    .catch(() => {
      throw new Error('the server does not answer');
    });
  if (!response.ok) {
    throw new Error((error as Problem | undefined)?.detail ?? 'the server does not answer');
  }
}
