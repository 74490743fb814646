// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { planOfRun } from '../../../testing/plans';
import { draftOf, forgetDraft, keepDraft } from './drafts';

const draft = { version: 4, plan: planOfRun() };

describe('what is not saved yet', () => {
  afterEach(() => localStorage.clear());

  it('is kept for its own plan until it is forgotten', () => {
    keepDraft('p1', draft);
    expect(draftOf('p1')).toEqual(draft);
    expect(draftOf('p2')).toBeNull();
    forgetDraft('p1');
    expect(draftOf('p1')).toBeNull();
  });

  it('is the newest', () => {
    keepDraft('p1', draft);
    keepDraft('p1', { ...draft, version: 5 });
    expect(draftOf('p1')?.version).toBe(5);
  });

  it.each([
    ['no text of ours', '{half a'],
    ['nothing', 'null'],
    ['a draft without a version', JSON.stringify({ plan: draft.plan })],
    ['a draft without a document', JSON.stringify({ version: 4, plan: {} })],
    ['a draft without a plan', JSON.stringify({ version: 4 })],
  ])('is nothing where %s is kept', (_, text) => {
    localStorage.setItem('eskiz.draft.p1', text);
    expect(draftOf('p1')).toBeNull();
  });

  it('does not stop the work where the store is full', () => {
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(() => keepDraft('p1', draft)).not.toThrow();
    expect(draftOf('p1')).toBeNull();
  });
});
