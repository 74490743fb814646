/** A field with its name above it, and below it what is wrong with it. */
export function Labelled({
  text,
  trouble,
  children,
}: {
  text: string;
  trouble?: string;
  children: React.ReactNode;
}) {
  return (
    <div className="flex flex-col gap-0.5">
      <span className="text-small text-soft">{text}</span>
      {children}
      {trouble && (
        <span role="alert" className="max-w-48 text-small text-fail">
          {trouble}
        </span>
      )}
    </div>
  );
}
