import type { Schemas } from '../../../api';

/** Curves as CSV (RFC 4180): a column for what they go over, then four for every row. */
export function csvOf(over: 'frequency' | 'length', sweep: Schemas['SweepResponse']): string {
  const head = [
    over === 'frequency' ? 'frequency_mhz' : 'length_m',
    ...sweep.rows.flatMap((r) =>
      [
        'matched_loss_db',
        'total_loss_db',
        'power_at_antenna_w',
        'swr_at_radio',
        'swr_at_antenna',
      ].map((figure) => `${r.name} ${figure}`),
    ),
  ];
  const lines = sweep.at.map((at, i) => [
    `${at}`,
    ...sweep.rows.flatMap((r) => {
      const p = r.points[i];
      return [
        p?.matchedLossDb,
        p?.totalLossDb,
        p?.powerAtAntennaW,
        p?.swrAtRadio,
        p?.swrAtAntenna,
      ].map((v) => (v == null ? '' : `${v}`));
    }),
  ]);
  return [head, ...lines].map((cells) => cells.map(quoted).join(',')).join('\r\n') + '\r\n';
}

function quoted(cell: string): string {
  return /[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell;
}

export function saveCsv(
  name: string,
  over: 'frequency' | 'length',
  sweep: Schemas['SweepResponse'],
): void {
  save(`${name} over ${over}.csv`, 'text/csv;charset=utf-8', csvOf(over, sweep));
}

/** A drawing as a file of its own, with its colours written out. */
export function saveSvg(name: string, svg: SVGSVGElement | null): void {
  if (!svg) return;
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const style = getComputedStyle(document.documentElement);
  const text = new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[a-z-]+)\)/g, (_, variable: string) =>
      style.getPropertyValue(variable).trim(),
    );
  save(`${name}.svg`, 'image/svg+xml', text);
}

function save(fileName: string, type: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = fileName.replace(/[\\/:*?"<>|]/g, '-');
  link.click();
  URL.revokeObjectURL(address);
}
