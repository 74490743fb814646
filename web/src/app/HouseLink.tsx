import { Link } from 'react-router';
import { useSession } from './session';

/** A link to another sheet of the workshop; its words alone for whoever came by a link to one plan. */
export function HouseLink({
  to,
  className = 'quiet',
  children,
}: {
  to: string;
  className?: string;
  children: React.ReactNode;
}) {
  const { visitUntil } = useSession();
  if (visitUntil !== null) return children;
  return (
    <Link className={className} to={to}>
      {children}
    </Link>
  );
}
