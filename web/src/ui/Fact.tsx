/** What something is, and its value at the other end of the line. */
export function Fact({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex items-baseline justify-between gap-3">
      <span className="text-soft">{label}</span>
      {children}
    </div>
  );
}
