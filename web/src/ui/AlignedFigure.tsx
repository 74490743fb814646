/** A figure whose decimal point stands under the one above it; the places after it are as wide in every row. */
export function AlignedFigure({ text, places = 2 }: { text: string; places?: number }) {
  const point = text.indexOf('.');
  const fraction = point < 0 ? 0 : text.length - point;
  // one text, so that it is spoken whole
  return (
    <span
      className="figures whitespace-nowrap"
      style={{ paddingRight: `${Math.max(0, places + 1 - fraction)}ch` }}
    >
      {text}
    </span>
  );
}
