import { describe, expect, it } from 'vitest';
import type { FoundKit } from '../../../api';
import { bestFirst, kitsWanted, packed, runWith } from './kits';
import type { Element, Plan } from '../document/model';

function planWith(run: Element[]): Plan {
  return { site: 'Here', name: 'Roof', document: { schemaVersion: 1, assessment: { run } } };
}

const LINE: Element = { id: 'main', kind: 'LINE', cableKey: 'rg-58', lengthM: 20, candidate: true };
const JOINT: Element = { id: 'j', kind: 'JOINT', connectorKey: 'n' };

function kit(change: Partial<FoundKit>): FoundKit {
  return {
    pieces: [],
    adapters: [],
    spare: null,
    lossDb: 1,
    run: [],
    row: { verdict: 'PASS' },
    ...change,
  } as unknown as FoundKit;
}

describe('kits for a plan', () => {
  it('are wanted for one section, with the sockets that its joints tell of', () => {
    const wanted = kitsWanted(planWith([JOINT, LINE]), { run: [] });
    expect(wanted?.radio).toEqual({ connectorKey: 'n', gender: 'SOCKET' });
    expect(wanted?.antenna).toBeUndefined();
  });

  it('are not wanted for two sections, nor where a piece lies already', () => {
    expect(kitsWanted(planWith([LINE, LINE]), {})).toBeNull();
    expect(kitsWanted(planWith([{ ...LINE, cableKey: undefined, pieceId: 'p' }]), {})).toBeNull();
  });

  it('leave what was in the run as it was, and give the rest names of their own', () => {
    const found = kit({
      run: [
        JOINT,
        { kind: 'LINE', id: null, pieceId: 'p', lengthM: 21, cable: null },
      ] as unknown as FoundKit['run'],
    });
    const run = runWith(planWith([JOINT, LINE]), found);
    expect(run[0]).toBe(JOINT);
    expect(run[1]).toMatchObject({ kind: 'LINE', pieceId: 'p', lengthM: 21 });
    expect(run[1]).not.toHaveProperty('cable');
    expect(run[1]?.id).toBeTruthy();
  });

  it('come with those that pass first, and then those that lose least', () => {
    const fails = kit({ lossDb: 1, row: { verdict: 'FAIL' } as FoundKit['row'] });
    const good = kit({ lossDb: 3 });
    const better = kit({ lossDb: 2 });
    expect(bestFirst([fails, good, better])).toEqual([better, good, fails]);
  });

  it('are packed with a spare and one adapter more', () => {
    const end = { connectorKey: 'n', gender: 'SOCKET' } as const;
    const bag = packed(
      kit({
        pieces: [{ pieceId: 'a', turned: true }] as FoundKit['pieces'],
        spare: { pieceId: 'b', label: 'B', lengthM: 20 },
        adapters: [{ near: end, far: end, count: 1 }],
      }),
      'Here, Roof',
    );
    expect(bag.pieces).toEqual([
      { pieceId: 'a', turned: true },
      { pieceId: 'b', spare: true },
    ]);
    expect(bag.adapters).toHaveLength(2);
  });
});
