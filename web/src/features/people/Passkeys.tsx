import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../../api';
import { TextField } from '../../ui';
import { agoText, capital, dateText, peopleWords } from '../../words';
import { knowsPasskeys, makePasskey } from './passkeys';

const KEY = ['people', 'passkeys'];

/** Keys in one's devices, which sign in without a password. */
export function Passkeys() {
  const queries = useQueryClient();
  const { data, dataUpdatedAt } = useQuery({
    queryKey: KEY,
    queryFn: () => answered(api.GET('/api/me/passkeys')),
  });
  const onSuccess = () => queries.invalidateQueries({ queryKey: KEY });
  const remove = useMutation({
    mutationFn: (passkey: string) =>
      answered(api.DELETE('/api/me/passkeys/{passkey}', { params: { path: { passkey } } })),
    onSuccess,
  });
  return (
    <>
      <ul aria-label="passkeys" className="empty:hidden">
        {data?.map((key) => (
          <li
            key={key.id}
            className="flex flex-wrap items-baseline gap-x-4 border-b border-hairline py-1"
          >
            <span className="flex-1">
              passkey {key.name}
              <span className="text-soft">
                , since {dateText(key.madeAt)},{' '}
                {key.usedAt === null
                  ? 'never used'
                  : `last used ${agoText(Date.parse(key.usedAt), dataUpdatedAt)}`}
              </span>
            </span>
            <button type="button" className="quiet" onClick={() => remove.mutate(key.id)}>
              remove
            </button>
          </li>
        ))}
      </ul>
      {knowsPasskeys() && <NewPasskey onMade={onSuccess} />}
    </>
  );
}

function NewPasskey({ onMade }: { onMade: () => Promise<void> }) {
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('this device');
  const make = useMutation({
    mutationFn: () => makePasskey(name),
    onSuccess: async () => {
      setOpen(false);
      await onMade();
    },
  });
  if (!isOpen) {
    return (
      <span>
        <button type="button" className="quiet" onClick={() => setOpen(true)}>
          A passkey in this device …
        </button>
      </span>
    );
  }
  return (
    <div className="flex flex-col gap-2">
      <p className="text-fine text-soft">{peopleWords.whatAPasskeyIs}</p>
      <span className="flex flex-wrap items-baseline gap-x-4">
        <label className="flex items-baseline gap-2">
          <span className="text-soft">called</span>
          <TextField
            label="name of the passkey"
            className="w-[20ch]"
            value={name}
            onCommit={setName}
          />
        </label>
        <button
          type="button"
          className="action"
          disabled={make.isPending}
          onClick={() => make.mutate()}
        >
          {make.isPending ? 'waiting for the device …' : 'Make it'}
        </button>
        <button type="button" className="quiet" onClick={() => setOpen(false)}>
          leave it
        </button>
      </span>
      {make.isError && (
        <p role="alert" className="text-fail">
          {capital(make.error.message)}.
        </p>
      )}
    </div>
  );
}
