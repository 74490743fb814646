import { lazy, Suspense } from 'react';
import { useSession } from './session';

// alone on one machine nobody ever signs in
const SignIn = lazy(async () => ({ default: (await import('../features/people')).SignIn }));

/** What is for those who have signed in. Where a session has ended, what they were at stays as it is behind the form. */
export function SignedIn({ children }: { children: React.ReactNode }) {
  const { isKnown, isSignInNeeded, hasEnded } = useSession();
  if (!isKnown) return null;
  return (
    <>
      {(!isSignInNeeded || hasEnded) && children}
      {isSignInNeeded && (
        <Suspense fallback={<p className="p-5">Opening …</p>}>
          <SignIn />
        </Suspense>
      )}
    </>
  );
}
