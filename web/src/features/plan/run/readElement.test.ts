import { describe, expect, it } from 'vitest';
import type { CableType, Connector, Piece } from '../../../api';
import { notKnown, offersFor } from './readElement';

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
    expect(texts('10 foam')).toEqual([
      'Foam 10',
      'Foam 10 flex',
      'Foam 10 pigtail',
      'Foam 10 flex pigtail',
    ]);
    expect(texts('balanced')).toEqual(['Window line 450 Ω']);
    expect(texts('hosepipe')).toEqual([]);
    expect(texts('').length).toBeGreaterThan(10);
  });

  it('knows the words of the trade', () => {
    expect(first('N barrel')).toMatchObject({ kind: 'JOINT', connectorKey: 'n', barrel: true });
    expect(first('n 0.2 dB')).toMatchObject({ connectorKey: 'n', lossDb: 0.2 });
    expect(first('rg-58 pigtail')).toMatchObject({ kind: 'LINE', lengthM: 0.5 });
    expect(first('jumper 3 m rg-58')).toMatchObject({ cableKey: 'rg-58', lengthM: 3 });
    expect(first('splitter 1:4')).toMatchObject({
      kind: 'DEVICE',
      form: 'SPLITTER',
      ways: 4,
      lossDb: 0.5,
    });
    expect(first('attenuator 10 dB')).toMatchObject({ name: 'attenuator', lossDb: 10 });
    expect(first('bias tee')).toMatchObject({ name: 'bias tee' });
    expect(first('arr')).toMatchObject({ name: 'arrestor' });
    expect(first('lightning protector')).toMatchObject({ name: 'arrestor' });
  });

  it('is as many as are typed, and read out as what it will be', () => {
    const [three] = offersFor('3 barrels of 0.2 dB', CATALOGUE, CONNECTORS, 'm');
    expect(three).toMatchObject({ count: 3, text: '3 × UHF barrel, 0.2 dB' });
    expect(three?.element()).toMatchObject({ barrel: true, lossDb: 0.2 });
    expect(texts('2 m rg-58')[0]).toBe('RG-58, 2 m');
  });

  it('says where that stands which is no part of a run, and else the nearest that it knows', () => {
    const all = offersFor('', CATALOGUE, CONNECTORS, 'm');
    expect(notKnown('tuner', all)).toContain('set on the ribbon');
    expect(notKnown('arestor', all)).toContain('The nearest is arrestor.');
    expect(notKnown('xyzzy', all)).not.toContain('nearest');
  });

  it('is a preamplifier, or where the run forks', () => {
    expect(first('lna')).toMatchObject({ kind: 'PREAMPLIFIER', gainDb: 20 });
    expect(first('diplexer to two')).toMatchObject({ kind: 'FORK', toward: 'ANTENNAS' });
    expect(first('splitter to 4 receivers')).toMatchObject({
      kind: 'FORK',
      form: 'SPLITTER',
      toward: 'RADIOS',
      ports: [{ branch: 'receiver-1' }, {}, {}, {}],
    });
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
