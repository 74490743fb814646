/** A setting, and what it is called. */
export function Labelled({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="grid items-baseline gap-x-4 gap-y-1 border-b border-hairline pb-4 min-[600px]:grid-cols-[240px_1fr]">
      <span className="text-soft">{label}</span>
      {children}
    </div>
  );
}
