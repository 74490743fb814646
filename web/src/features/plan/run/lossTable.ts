import { parseQuantity, plain } from '../../../units';

export interface LossPoint {
  frequencyMHz: number;
  lossDb: number;
}

type Read = { ok: true; points: LossPoint[] } | { ok: false; message: string };

/** Two columns as somebody types or pastes them: frequency, then loss; in rising order of frequency when read. */
export function readLossTable(text: string): Read {
  const points: LossPoint[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const point = readLine(line);
    if (!point) {
      return {
        ok: false,
        message: `Line ${i + 1}, “${line.trim()}”, is no frequency and loss, such as “145 0.2” or “1.3 GHz 0.5 dB”.`,
      };
    }
    points.push(point);
  }
  const rising = points.toSorted((a, b) => a.frequencyMHz - b.frequencyMHz);
  const twice = rising.find((p, i) => p.frequencyMHz === rising[i - 1]?.frequencyMHz);
  return twice
    ? { ok: false, message: `${plain(twice.frequencyMHz)} MHz stands there twice.` }
    : { ok: true, points: rising };
}

const COLUMNS = /^\s*(\d[\d.,]*\s*(?:[kMG]?Hz)?)[\s;,:\t]+(\d[\d.,]*\s*(?:dB)?)\s*$/i;

function readLine(line: string): LossPoint | null {
  const [, frequency, loss] = COLUMNS.exec(line) ?? [];
  if (!frequency || !loss) return null;
  const f = parseQuantity(frequency, 'frequency', 'mhz');
  const l = parseQuantity(loss, 'elementLoss', 'db');
  return f.ok && l.ok ? { frequencyMHz: f.value, lossDb: l.value } : null;
}

export function writeLossTable(points: readonly LossPoint[]): string {
  return points.map((p) => `${plain(p.frequencyMHz)} ${plain(p.lossDb)}`).join('\n');
}
