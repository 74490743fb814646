import { useSession } from '../../app/session';
import { peopleWords } from '../../words';

/** What holds for all of the workshop, and is for its keepers to change. */
export function OfWorkshop({ children }: { children: React.ReactNode }) {
  const { may } = useSession();
  if (may('KEEPER')) return children;
  return (
    <fieldset disabled className="flex flex-col gap-4">
      <legend className="pb-2 text-fine text-soft">{peopleWords.factsAreKept}</legend>
      <div inert className="flex flex-col gap-4">
        {children}
      </div>
    </fieldset>
  );
}
