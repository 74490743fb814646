// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { listOf, useAddress } from './useAddress';

function at(address: string) {
  return renderHook(() => ({ address: useAddress(), search: useLocation().search }), {
    wrapper: ({ children }: { children: React.ReactNode }) => (
      <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>
    ),
  });
}

describe('an address', () => {
  afterEach(cleanup);

  it('keeps every click, even those that come before the one before was drawn', () => {
    const { result } = at('/bench?method=SHORTED');
    const early = result.current.address;
    act(() => {
      early.toggle('tests', 'a', 6);
      early.toggle('tests', 'b', 6);
      early.put({ outcome: 'WORSE' });
      early.toggle('tests', 'a', 6);
    });
    expect(result.current.search).toBe('?method=SHORTED&tests=b&outcome=WORSE');
  });

  it('lets the first go when a list has more than the most', () => {
    const { result } = at('/bench?tests=a+b');
    act(() => result.current.address.toggle('tests', 'c', 2));
    expect(listOf(result.current.address.params, 'tests')).toEqual(['b', 'c']);
  });

  it('takes a list away with its last', () => {
    const { result } = at('/bench?tests=a');
    act(() => result.current.address.toggle('tests', 'a', 2));
    expect(result.current.search).toBe('');
  });

  it('begins anew', () => {
    const { result } = at('/bench?tests=a&method=SHORTED');
    act(() => result.current.address.beginAnew({ outcome: 'WORSE' }));
    expect(result.current.search).toBe('?outcome=WORSE');
  });
});
