import type { RefObject } from 'react';
import { savePng, saveSvg } from './saving';

/** A drawing as SVG or as a picture. */
export function SaveDrawing({
  name,
  drawn,
  disabled = false,
  asSvg = true,
}: {
  name: string;
  drawn: RefObject<HTMLElement | null>;
  disabled?: boolean;
  /** Whether it is one drawing, and no text and boxes around it. */
  asSvg?: boolean;
}) {
  return (
    <span className="inline-flex gap-3 print:hidden">
      {asSvg && (
        <button
          type="button"
          className="quiet"
          disabled={disabled}
          onClick={() => saveSvg(name, drawn.current?.querySelector('svg') ?? null)}
        >
          Save as SVG
        </button>
      )}
      <button
        type="button"
        className="quiet"
        disabled={disabled}
        onClick={() => void savePng(name, drawn.current)}
      >
        Save as PNG
      </button>
    </span>
  );
}
