import { Link } from 'react-router';

const SHEETS = [
  ['pieces', '/locker', 'pieces'],
  ['kits', '/locker/kits', 'kits'],
  ['cuts', '/locker/cuts', 'cutting'],
] as const;

/** The sheets of the locker. */
export function LockerLinks({ here }: { here: 'pieces' | 'kits' | 'cuts' }) {
  return (
    <nav aria-label="in the locker" className="flex gap-3">
      {SHEETS.map(([name, to, text]) => (
        <Link
          key={name}
          to={to}
          aria-current={name === here ? 'page' : undefined}
          className={`min-h-6 border-b-2 ${name === here ? 'border-blue font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
        >
          {text}
        </Link>
      ))}
    </nav>
  );
}
