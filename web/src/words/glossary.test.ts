import { describe, expect, it } from 'vitest';
import { bitsOf, GLOSSARY } from './glossary';
import { cautionsOf, limitsOf, stepsOf } from './paper';
import type { Fitting } from './paper';

describe('the glossary', () => {
  it('has each word once, and says something of it', () => {
    expect(new Set(GLOSSARY.map((e) => e.id)).size).toBe(GLOSSARY.length);
    for (const entry of GLOSSARY) expect(entry.text.length, entry.name).toBeGreaterThan(20);
  });

  it('marks the longest form of a term, once in a sentence', () => {
    const bits = bitsOf('The SWR at the antenna is not the SWR at the radio, and no jumper helps.');
    expect(bits.filter((b) => b.term !== null)).toEqual([
      { text: 'SWR at the antenna', term: 'swr' },
      { text: 'jumper', term: 'jumper' },
    ]);
    expect(bits.map((b) => b.text).join('')).toBe(
      'The SWR at the antenna is not the SWR at the radio, and no jumper helps.',
    );
  });

  it('leaves words alone that only begin like a term', () => {
    expect(bitsOf('A masterpiece of reaching.').every((b) => b.term === null)).toBe(true);
  });
});

const FITTING: Fitting = {
  cable: undefined,
  cuts: ['23 m of Foam 10'],
  owned: [],
  connectors: [{ name: 'UHF', watertight: false }],
  hasArrestor: false,
  sends: true,
  fahrenheit: false,
};

describe('the run sheet', () => {
  it('has a step once, so that a tick means one', () => {
    const ids = stepsOf(FITTING).flatMap((p) => p.steps.map((s) => s.id));
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('cuts nothing where pieces are laid', () => {
    const ids = stepsOf({ ...FITTING, cuts: [], owned: ['Jetty 15'] }).flatMap((p) =>
      p.steps.map((s) => s.id),
    );
    expect(ids).toContain('fetch-1');
    expect(ids).not.toContain('strip');
  });

  it('never guesses a limit', () => {
    expect(limitsOf(undefined, false)).toEqual([
      'Nothing is known of this cable but what it loses: ask its seller.',
    ]);
  });

  it('warns a listener of masts and lightning, not of power', () => {
    const cautions = cautionsOf({ sends: false, near: null, voltage: null }).join(' ');
    expect(cautions).toContain('Lightning');
    expect(cautions).not.toContain('keyed');
  });
});
