/** The lines at true scale, one beside the other, since the drawing above is not. */
export function TrueScale({
  spans,
  left,
  width,
}: {
  spans: ([number, number] | null)[];
  left: number;
  width: number;
}) {
  return (
    <svg
      width={width}
      height={5}
      className="block"
      style={{ marginLeft: left }}
      role="img"
      aria-label="the lines at true scale"
    >
      <title>the lines at true scale</title>
      {spans.map(
        (span, i) =>
          span && (
            <rect
              key={i}
              x={span[0] * width}
              y={1}
              width={Math.max(1, (span[1] - span[0]) * width - 1)}
              height={3}
              fill={i % 2 ? 'var(--ink-soft)' : 'var(--ink)'}
            />
          ),
      )}
    </svg>
  );
}
