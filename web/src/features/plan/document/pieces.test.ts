import { describe, expect, it } from 'vitest';
import { apply } from './commands';
import type { Command } from './commands';
import { canonical } from './model';
import { newPlan } from './presets';
import { differingPieces, PIECES } from './pieces';

const changes: Command[] = [
  { do: 'rename', name: 'Another' },
  { do: 'changeRadio', change: { powerW: 5 } },
  { do: 'setLength', element: 1, lengthM: 7 },
  { do: 'changeBand', band: 0, change: { load: { swr: 9 } } },
  { do: 'setAmbient', ambientC: -5 },
  { do: 'chargeJoints', flatLossDb: 0.2 },
  { do: 'listen', receiver: { environment: 'CITY' } },
  { do: 'keepAway', exposure: { limits: 'FCC_1_1310' } },
  { do: 'askMore', requirement: { kind: 'SUN' } },
  { do: 'buy', purchase: { times: 4 } },
  { do: 'prefer', preference: 'MOST_MARGIN' },
];

describe('the pieces of two versions', () => {
  const mine = newPlan();

  it.each(changes)('$do is a piece that can be taken', (command) => {
    const theirs = apply(mine, command);
    const differing = differingPieces(mine, theirs);
    expect(differing).toHaveLength(1);
    expect(differing[0]?.tell(theirs)).not.toBe(differing[0]?.tell(mine));
  });

  it('together are the whole plan', () => {
    const theirs = changes.reduce(apply, mine);
    const taken = PIECES.reduce((plan, piece) => piece.take(plan, theirs), mine);
    expect(canonical(taken)).toBe(canonical(theirs));
  });
});
