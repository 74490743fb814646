// @vitest-environment jsdom
import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { KeptFor, useKept } from './kept';

function kept<T>(owner: string | null, key: string) {
  return renderHook(() => useKept<T>(key), {
    wrapper: ({ children }) => <KeptFor value={owner}>{children}</KeptFor>,
  }).result.current;
}

describe('what is half-typed', () => {
  afterEach(() => {
    cleanup();
    localStorage.clear();
  });

  it('is there again after a reload', () => {
    kept('plan p1', 'length').keep({ text: 'ten' });
    expect(kept('plan p1', 'length').read()).toEqual({ text: 'ten' });
  });

  it('belongs to its field and to what it is typed into', () => {
    kept('plan p1', 'length').keep('ten');
    expect(kept('plan p1', 'power').read()).toBeNull();
    expect(kept('plan p2', 'length').read()).toBeNull();
  });

  it('is gone when it is forgotten', () => {
    const field = kept('plan p1', 'length');
    field.keep('ten');
    field.forget();
    expect(field.read()).toBeNull();
  });

  it('is kept nowhere where it belongs to nothing', () => {
    const field = kept(null, 'length');
    field.keep('ten');
    expect(field.read()).toBeNull();
    expect(localStorage).toHaveLength(0);
    field.forget();
  });

  it('is nothing where what is kept cannot be read', () => {
    localStorage.setItem('eskiz.typed.plan p1.length', '{half a');
    expect(kept('plan p1', 'length').read()).toBeNull();
  });

  it('does not stop the typing where the store is full', () => {
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(() => kept('plan p1', 'length').keep('ten')).not.toThrow();
  });
});
