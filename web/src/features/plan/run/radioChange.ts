import type { Band, Radio } from '../document/model';
import type { Sheet } from '../sheetContext';

type Both = Pick<Radio & Band, 'powerW' | 'duty' | 'foldback'>;

/** What is said of the radio goes to the band where that has a radio of its own, and to all bands otherwise. */
export function changeRadio({ band, focus, command }: Sheet, to: Both) {
  const isOwn = band?.powerW !== undefined;
  if (isOwn) command({ do: 'changeBand', band: focus, change: to });
  else command({ do: 'changeRadio', change: to });
}
