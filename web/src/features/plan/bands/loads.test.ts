import { describe, expect, it } from 'vitest';
import { asKind, kindOfLoad, loadText } from './loads';

describe('what is known of an antenna', () => {
  it('is told in short', () => {
    expect(loadText({ swr: 1.5 })).toBe('SWR 1.5');
    expect(loadText({ swrAtRadio: 2.25 })).toBe('SWR 2.25 at the radio');
    expect(loadText({ resistanceOhm: 90, reactanceOhm: -320.4 })).toBe('90 − j320 Ω');
    expect(loadText({ resistanceOhm: 8.25, reactanceOhm: 4 })).toBe('8.3 + j4.0 Ω');
  });

  it('keeps what the other end shows when it is told from there', () => {
    const shown = { atRadio: 1.2345, atAntenna: 2.5 };
    expect(asKind('swrAtRadio', { swr: 2.5 }, shown)).toEqual({ swrAtRadio: 1.23 });
    expect(asKind('swr', { swrAtRadio: 1.23 }, shown)).toEqual({ swr: 2.5 });
    expect(asKind('impedance', { swr: 2.5 }, shown)).toEqual({
      resistanceOhm: 125,
      reactanceOhm: 0,
    });
    expect(
      asKind('swr', { resistanceOhm: 1, reactanceOhm: 9000 }, { ...shown, atAntenna: null }),
    ).toEqual({ swr: 1000 });
    expect(asKind('swr', { swr: 1.1 }, shown)).toEqual({ swr: 1.1 });
  });

  it('is of one of three kinds', () => {
    expect(kindOfLoad(undefined)).toBe('swr');
    expect(kindOfLoad({ swrAtRadio: 1 })).toBe('swrAtRadio');
    expect(kindOfLoad({ resistanceOhm: 50, reactanceOhm: 0 })).toBe('impedance');
  });
});
