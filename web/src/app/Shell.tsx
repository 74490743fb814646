import { NavLink } from 'react-router';

/** The head of every sheet. */
export function Shell({ here, children }: { here?: string; children: React.ReactNode }) {
  return (
    <div className="flex min-h-dvh flex-col min-[900px]:h-dvh">
      <header className="flex h-[34px] shrink-0 items-stretch gap-6 border-b border-hairline px-4">
        <NavLink to="/plans" className="self-center text-[17px] font-bold tracking-tight">
          Eskiz
        </NavLink>
        <nav aria-label="sheets" className="flex min-w-0 items-stretch gap-6">
          <NavLink
            to="/plans"
            end
            className="flex items-center border-b-2 border-transparent text-soft hover:text-ink aria-[current=page]:border-blue aria-[current=page]:text-ink"
          >
            Plans
          </NavLink>
          {here && (
            <span
              aria-current="page"
              className="flex min-w-0 items-center truncate border-b-2 border-blue"
            >
              <span className="truncate">{here}</span>
            </span>
          )}
        </nav>
      </header>
      {children}
    </div>
  );
}
