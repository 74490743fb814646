import { useMutation } from '@tanstack/react-query';
import { Select } from '../../ui';
import { capital } from '../../words';
import { instruments } from './instrument';
import type { Address, Identity } from './instrument';

const NOBODY_KNOWS = '?';

/** Which piece of its shelf a stand-in has connected; also one that nobody knows, to be judged blindly. */
export function ShelfChoice({
  at,
  identity,
  isBusy,
  onIdentity,
}: {
  at: Address;
  identity: Identity;
  isBusy: boolean;
  onIdentity: (identity: Identity) => void;
}) {
  const connect = useMutation({
    mutationFn: (cable: string) => instruments.connect(at, cable === NOBODY_KNOWS ? null : cable),
    onSuccess: (who) => {
      reveal.reset();
      onIdentity(who);
    },
  });
  const reveal = useMutation({ mutationFn: () => instruments.reveal(at) });
  const isBlind = identity.cable !== null && !identity.shelf.includes(identity.cable);
  const failed = connect.error ?? reveal.error;
  return (
    <span className="flex flex-wrap items-baseline gap-x-3">
      <label className="inline-flex items-baseline gap-1 text-soft">
        a stand-in; it measures
        <Select
          label="piece from the shelf"
          value={isBlind ? NOBODY_KNOWS : (identity.cable ?? '')}
          options={[
            ...identity.shelf.map((s) => ({ value: s, text: s })),
            { value: NOBODY_KNOWS, text: 'one that I do not know' },
          ]}
          onChange={(cable) => connect.mutate(cable)}
        />
      </label>
      {isBlind && !reveal.data && (
        <button type="button" className="quiet" disabled={isBusy} onClick={() => reveal.mutate()}>
          I have judged it: what was it?
        </button>
      )}
      {reveal.data && (
        <span role="status">
          It was <strong>{reveal.data.label}</strong>: {reveal.data.truth}.
        </span>
      )}
      {failed && (
        <span role="alert" className="text-fail">
          {capital(failed.message)}.
        </span>
      )}
    </span>
  );
}
