import { describe, expect, it } from 'vitest';
import type { CableType, Connector, Piece } from '../../../api';
import { offersFor } from './readElement';

const CATALOGUE = [
  { key: 'rg-58', name: 'RG-58', balanced: false },
  { key: 'foam-10', name: 'Foam 10', balanced: false },
  { key: 'foam-10-flex', name: 'Foam 10 flex', balanced: false },
  { key: 'window-450', name: 'Window line 450 Ω', balanced: true },
] as CableType[];
const CONNECTORS = [
  { key: 'uhf', name: 'UHF (PL-259)' },
  { key: 'n', name: 'N' },
] as Connector[];

const first = (typed: string) => offersFor(typed, CATALOGUE, CONNECTORS, 'm')[0]?.element();
const texts = (typed: string) => offersFor(typed, CATALOGUE, CONNECTORS, 'm').map((o) => o.text);

describe('what is typed into a gap', () => {
  it('is a cable with its length on either side', () => {
    expect(first('2.5 m rg-58')).toMatchObject({ kind: 'LINE', cableKey: 'rg-58', lengthM: 2.5 });
    expect(first('foam 10 flex 10ft')).toMatchObject({
      kind: 'LINE',
      cableKey: 'foam-10-flex',
      lengthM: 3.048,
    });
    expect(first('window')).toMatchObject({ cableKey: 'window-450', lengthM: 2 });
  });

  it('is a joint, a device with its loss, or a transformer', () => {
    expect(first('uhf')).toMatchObject({ kind: 'JOINT', connectorKey: 'uhf' });
    expect(first('arrestor')).toMatchObject({ kind: 'DEVICE', name: 'arrestor', lossDb: 0.1 });
    expect(first('filter 1,2 dB')).toMatchObject({ kind: 'DEVICE', name: 'filter', lossDb: 1.2 });
    expect(first('49:1')).toMatchObject({ kind: 'TRANSFORMER', impedanceRatio: 49 });
  });

  it('is found by any of its words, and nothing where nothing fits', () => {
    expect(texts('10 foam')).toEqual(['Foam 10', 'Foam 10 flex']);
    expect(texts('balanced')).toEqual(['Window line 450 Ω']);
    expect(texts('hosepipe')).toEqual([]);
    expect(texts('').length).toBeGreaterThan(10);
  });

  it('gets an id of its own every time', () => {
    expect(first('n')?.id).not.toBe(first('n')?.id);
  });

  it('is a piece of mine with the length that it has, unless it is retired or nobody knows what it loses', () => {
    const pieces = [
      { id: 'a', label: 'Jetty 15', lengthM: 15, standing: 'DUE', cableKey: 'rg-58' },
      { id: 'b', label: 'Jetty old', lengthM: 9, standing: 'RETIRED', cableKey: 'rg-58' },
      { id: 'c', label: 'Jetty found', lengthM: 9, standing: 'DUE', cableKey: null },
    ].map((p) => ({ lastTestedOn: null, ...p })) as Piece[];
    const offers = offersFor('jetty', CATALOGUE, CONNECTORS, 'm', pieces);
    expect(offers.map((o) => o.text)).toEqual(['Jetty 15, 15 m']);
    expect(offers[0]?.element()).toMatchObject({ kind: 'LINE', pieceId: 'a', lengthM: 15 });
  });
});
