import { describe, expect, it } from 'vitest';
import type { FoundKit, Piece, PieceEvent } from '../../api';
import { bestInText, eventText, outText, standingReason, trendSentence } from '../../words';
import { spanOf } from './locker';

function piece(label: string, standing: Piece['standing'], change: Partial<Piece> = {}): Piece {
  return {
    label,
    standing,
    cableName: 'RG-58',
    keptAt: 'shed',
    outTo: null,
    outBy: null,
    outSince: null,
    note: null,
    reasons: [],
    trend: null,
    lastTestedOn: null,
    ...change,
  } as Piece;
}

describe('the locker', () => {
  it('draws a life from its first day to today, and never a line without length', () => {
    const events = [{ on: '2026-01-01', until: null }] as PieceEvent[];
    const span = spanOf(events, '2026-03-01');
    expect(new Date(span.from).toISOString()).toContain('2026-01-01');
    expect(new Date(span.to).toISOString()).toContain('2026-03-01');
    const young = spanOf([], '2026-03-01');
    expect(young.to).toBeGreaterThan(young.from);
  });

  it('is honest about a trend', () => {
    expect(trendSentence(piece('A', 'DUE'))).toBe('Nothing is known of how it ages.');
    expect(trendSentence(piece('A', 'FINE', { lastTestedOn: '2026-01-01' }))).toContain(
      'Too few tests',
    );
    const slope = { percentPerYear: -1.25, percentAtLastTest: 99, least: null, most: null };
    expect(trendSentence(piece('A', 'FINE', { trend: slope }))).toBe(
      'It changes by −1.3 % of its sheet a year; with fewer than five tests nobody can say how surely.',
    );
  });

  it('says why, with the number', () => {
    expect(standingReason({ code: 'PAST_LIMIT', on: null, amount: 2.2 })).toBe(
      'It has had its day: 2.20 dB more than at its first test.',
    );
  });

  it('tells who has it out', () => {
    const out = { outSince: '2026-05-01', outTo: 'Seal Rock', outBy: null };
    expect(outText(out)).toBe('out since 2026-05-01, Seal Rock');
    expect(outText({ ...out, outBy: 'Wren' })).toBe('out with Wren since 2026-05-01, Seal Rock');
  });

  it('tells what happened', () => {
    const event = {
      kind: 'OUTING',
      on: '2026-05-01',
      until: '2026-05-02',
      to: 'Seal Rock',
      wet: true,
      frozen: false,
      trodden: true,
    } as PieceEvent;
    expect(eventText(event, 'm')).toBe('out, Seal Rock, till 2026-05-02; wet, trodden on');
    expect(eventText({ ...event, by: 'Wren' }, 'm')).toContain('trodden on (Wren)');
    expect(
      eventText({ ...event, kind: 'NEW_END', lengthBeforeM: 18.8, lengthAfterM: 18.2 }, 'm'),
    ).toBe('new end: 18.8 m became 18.2 m');
  });

  it('says what a kit is best in, and whether that is sure', () => {
    const kit = { bestIn: ['LEAST_LOSS', 'LEAST_MASS'], provenIn: ['LEAST_LOSS'] } as FoundKit;
    expect(bestInText(kit)).toBe('least loss, lightest, as far as was found');
  });
});
