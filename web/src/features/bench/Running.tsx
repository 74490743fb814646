/** How far something is that takes a while, and the way to stop it. */
export function Running({
  label,
  percent,
  onStop,
}: {
  label: string;
  percent: number;
  onStop: () => void;
}) {
  return (
    <span className="flex items-center gap-3">
      <progress aria-label={label} max={100} value={percent} className="h-2 w-48" />
      <span role="status">
        {label}, {Math.round(percent)} %
      </span>
      <button type="button" className="quiet" onClick={onStop}>
        Stop
      </button>
    </span>
  );
}
