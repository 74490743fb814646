import { Link } from 'react-router';

/** What else there is of cables: connectors, files in and out, the words. */
export function CablesFoot({
  saved,
  onEdit,
}: {
  /** Keys of the types that are saved; none for all. */
  saved: readonly string[];
  onEdit: (what: string) => void;
}) {
  return (
    <p className="flex flex-wrap gap-x-4 border-t border-hairline px-4 py-1 text-fine text-soft">
      <button type="button" className="quiet" onClick={() => onEdit('connectors')}>
        Open connectors and devices
      </button>
      <button type="button" className="quiet" onClick={() => onEdit('import')}>
        Import cables from a file
      </button>
      <Link className="quiet" to="/cables/anatomy">
        what a cable is made of
      </Link>
      <span>
        save {saved.length > 0 ? 'those laid over' : 'all'} as{' '}
        <a className="quiet underline" href={exportOf('csv', saved)}>
          CSV
        </a>{' '}
        or{' '}
        <a className="quiet underline" href={exportOf('json', saved)}>
          JSON
        </a>
      </span>
    </p>
  );
}

function exportOf(form: 'csv' | 'json', keys: readonly string[]): string {
  const named = new URLSearchParams(keys.map((key) => ['keys', key]));
  return `/api/catalogue/export.${form}${keys.length > 0 ? `?${named}` : ''}`;
}
