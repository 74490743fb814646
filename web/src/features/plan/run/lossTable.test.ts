import { describe, expect, it } from 'vitest';
import { readLossTable, writeLossTable } from './lossTable';

describe('a loss by frequency', () => {
  it('is read as it is typed or pasted, in rising order', () => {
    expect(readLossTable('433 0,4\n145\t0.2\n\n1.3 GHz; 0.9 dB')).toEqual({
      ok: true,
      points: [
        { frequencyMHz: 145, lossDb: 0.2 },
        { frequencyMHz: 433, lossDb: 0.4 },
        { frequencyMHz: 1300, lossDb: 0.9 },
      ],
    });
  });

  it('says which line it does not understand, and what stands there twice', () => {
    const read = readLossTable('145 0.2\nforty 3');
    expect(!read.ok && read.message).toContain('Line 2, “forty 3”');
    const twice = readLossTable('145 0.2\n145 0.3');
    expect(!twice.ok && twice.message).toBe('145 MHz stands there twice.');
  });

  it('is written as it is read', () => {
    const text = '145 0.2\n433 0.4';
    const read = readLossTable(text);
    expect(read.ok && writeLossTable(read.points)).toBe(text);
  });
});
