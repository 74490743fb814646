// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { useSheetAddress, viewOf } from './useSheetAddress';

function at(address: string) {
  return renderHook(() => ({ address: useSheetAddress(), search: useLocation().search }), {
    wrapper: ({ children }: { children: React.ReactNode }) => (
      <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>
    ),
  });
}

describe('the address of a sheet', () => {
  afterEach(cleanup);

  it('says which view, band and row are looked at', () => {
    const { result } = at('/plans/x?view=value&band=b2&row=foam-10');
    expect(result.current.address).toMatchObject({
      view: 'value',
      bandId: 'b2',
      rowId: 'foam-10',
      own: null,
      isMixing: false,
      buys: 'loss',
    });
  });

  it('shows the ledger for what it does not know', () => {
    expect(viewOf('nonsense')).toBe('ledger');
    expect(viewOf(null)).toBe('ledger');
    expect(viewOf('paper')).toBe('paper');
  });

  it('keeps the filter of the rows', () => {
    const { result } = at('/plans/x?find=foam&hide=failing&base=rg-58&pin=rg-58%20foam-6');
    expect(result.current.address.filter).toEqual({
      find: 'foam',
      hideFailing: true,
      base: 'rg-58',
      pinned: ['rg-58', 'foam-6'],
    });
  });

  it('changes a part and leaves the others', () => {
    const { result } = at('/plans/x?view=value&row=foam-10');
    act(() => result.current.address.put({ row: 'rg-58', own: 'new' }));
    expect(result.current.search).toBe('?view=value&row=rg-58&own=new');
    act(() => result.current.address.put({ own: undefined, view: undefined }));
    expect(result.current.search).toBe('?row=rg-58');
  });

  it('leaves out of the filter what is usual', () => {
    const { result } = at('/plans/x?find=foam&hide=failing&pin=rg-58');
    act(() => result.current.address.sift({ find: '', hideFailing: false }));
    expect(result.current.search).toBe('?pin=rg-58');
    act(() => result.current.address.sift({ pinned: [], base: 'foam-6' }));
    expect(result.current.search).toBe('?base=foam-6');
  });

  it('is the same thing as long as it says the same, so that nothing is drawn anew for it', () => {
    const hook = at('/plans/x?row=foam-10');
    const before = hook.result.current.address;
    hook.rerender();
    expect(hook.result.current.address).toBe(before);
  });
});
