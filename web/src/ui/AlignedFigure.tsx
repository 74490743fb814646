/** A figure whose decimal point stands under the one above it; the places after it are as wide in every row. */
export function AlignedFigure({ text, places = 2 }: { text: string; places?: number }) {
  const point = text.indexOf('.');
  const whole = point < 0 ? text : text.slice(0, point);
  const fraction = point < 0 ? '' : text.slice(point);
  return (
    <span className="figures whitespace-nowrap">
      {whole}
      <span className="inline-block text-left" style={{ width: `${places + 1}ch` }}>
        {fraction}
      </span>
    </span>
  );
}
