import { bitsOf } from '../words';
import { Term } from './Term';

/** A sentence in which each word of the trade leads to what it means. */
export function Sentence({ text }: { text: string }) {
  return bitsOf(text).map((bit, i) =>
    bit.term === null ? (
      bit.text
    ) : (
      <Term key={i} of={bit.term}>
        {bit.text}
      </Term>
    ),
  );
}
