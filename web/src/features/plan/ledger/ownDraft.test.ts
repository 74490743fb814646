import { describe, expect, it } from 'vitest';
import { draftOf, readDraft } from './ownDraft';

const GOOD = {
  name: ' Loft cable ',
  impedance: '50',
  velocityFactor: '0,83',
  price: '',
  points: [
    { frequency: '145', attenuation: '9,5' },
    { frequency: '', attenuation: '' },
    { frequency: '433 MHz', attenuation: '17' },
  ],
};

describe('a figure of my own', () => {
  it('begins with what is usual, and three rows to fill', () => {
    const draft = draftOf(null, false);
    expect(draft).toMatchObject({ name: 'My cable', impedance: '50', velocityFactor: '0.83' });
    expect(draft.points).toHaveLength(3);
    expect(readDraft(draft, false, 'EUR').troubles.point0).toContain('at least one row');
  });

  it('is read with either decimal sign and its units', () => {
    const { cable, troubles } = readDraft(GOOD, false, 'EUR');
    expect(Object.values(troubles).filter(Boolean)).toEqual([]);
    expect(cable).toEqual({
      name: 'Loft cable',
      cable: {
        impedanceOhm: 50,
        velocityFactor: 0.83,
        attenuation: {
          points: [
            { frequencyMHz: 145, attenuationDbPer100m: 9.5 },
            { frequencyMHz: 433, attenuationDbPer100m: 17 },
          ],
        },
      },
    });
  });

  it('has a price only where one is typed, in the operator’s currency', () => {
    expect(readDraft({ ...GOOD, price: '2.5' }, false, 'NOK').cable?.price).toEqual({
      perM: 2.5,
      currency: 'NOK',
    });
    expect(readDraft(GOOD, false, 'NOK').cable).not.toHaveProperty('price');
  });

  it('reads feet where lengths are in feet', () => {
    const { cable } = readDraft({ ...GOOD, price: '1' }, true, 'EUR');
    expect(cable?.price?.perM).toBeCloseTo(3.28084, 4);
    expect(cable?.cable?.attenuation?.points?.[0]?.attenuationDbPer100m).toBeCloseTo(31.168, 2);
  });

  it('shows in feet what it reads in feet', () => {
    const { cable } = readDraft({ ...GOOD, price: '1' }, true, 'EUR');
    const again = draftOf({ id: 'own', ...cable }, true);
    expect(Number(again.price)).toBeCloseTo(1, 3);
    expect(Number(again.points[0]?.attenuation)).toBeCloseTo(9.5, 2);
  });

  it.each([
    ['name', { name: '  ' }, 'It needs a name.'],
    ['impedance', { impedance: 'fifty' }, 'fifty'],
    ['impedance', { impedance: '0' }, 'out of range'],
    ['velocityFactor', { velocityFactor: '83' }, 'out of range'],
    ['price', { price: 'cheap' }, 'cheap'],
    ['point0', { points: [{ frequency: '145', attenuation: '' }] }, ''],
    ['point0', { points: [{ frequency: 'high', attenuation: '9' }] }, 'high'],
  ])('says at its field what is wrong with its %s', (field, change, what) => {
    const { cable, troubles } = readDraft({ ...GOOD, ...change }, false, 'EUR');
    expect(cable).toBeNull();
    expect(troubles[field]).toContain(what);
  });
});
