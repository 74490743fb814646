/** Sentences about what is bought and what it costs. */

import type { Row } from '../api';
import { moneyFigure } from '../units';

type Unpriced = Row['notInCost'][number];

/** What something that is bought is called. */
export function boughtName(kind: Unpriced['kind'], name: string | null): string {
  switch (kind) {
    case 'PLUG':
      return name === null ? 'plug, its kind not stated' : `${name} plug`;
    case 'BARREL':
      return name === null ? 'barrel' : /barrel/i.test(name) ? name : `${name} barrel`;
    default:
      return name ?? 'a part';
  }
}

/** An amount with its currency. */
export function moneyText({ amount, currency }: { amount: number; currency: string }): string {
  return `${moneyFigure(amount)} ${currency}`;
}

/** What is not in the cost of a row, and what of it is a sample among prices of one's own. */
export function costSentences(row: Row, nameOf: (part: Unpriced) => string): string {
  const missing = row.notInCost.map(
    (part) => `${nameOf(part)} (${part.elsewhere ? moneyText(part.elsewhere) : 'no price known'})`,
  );
  const samples = row.cost?.samples ?? [];
  return [
    missing.length > 0 ? `Not in the cost: ${missing.join(', ')}.` : '',
    samples.length > 0 ? `At a sample price: ${samples.join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
