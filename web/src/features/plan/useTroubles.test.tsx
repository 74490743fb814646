// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useTroubles } from './useTroubles';

describe('what is not understood', () => {
  afterEach(cleanup);

  it('is any until every field is right again', () => {
    const { result } = renderHook(() => useTroubles());
    expect(result.current.isAny).toBe(false);
    act(() => result.current.trouble('length 1', 'not a length'));
    act(() => result.current.trouble('power', 'not a power'));
    act(() => result.current.trouble('length 1', null));
    expect(result.current.isAny).toBe(true);
    act(() => result.current.trouble('power', null));
    expect(result.current.isAny).toBe(false);
  });

  it('is told again without drawing anything', () => {
    let drawn = 0;
    const { result } = renderHook(() => {
      drawn++;
      return useTroubles();
    });
    act(() => result.current.trouble('power', 'not a power'));
    const before = drawn;
    act(() => result.current.trouble('power', 'not a power'));
    act(() => result.current.trouble('length', null));
    expect(drawn - before).toBeLessThanOrEqual(1);
  });
});
