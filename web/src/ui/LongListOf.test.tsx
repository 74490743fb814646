import { render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LongListOf } from './LongListOf';

const ROW_PX = 20;
const SEEN_PX = 200;

/** A page without a layout: what scrolls, and each of its rows, is as high as said here. */
beforeEach(() => {
  vi.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(SEEN_PX);
  vi.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(ROW_PX);
});

afterEach(() => vi.restoreAllMocks());

function show(count: number, more: (() => void) | null) {
  const items = Array.from({ length: count }, (_, i) => `plan ${i + 1}`);
  render(
    <LongListOf label="plans" items={items} keyOf={(i) => i} rowPx={ROW_PX} more={more} scrolls>
      {(item, placed) => <li {...placed}>{item}</li>}
    </LongListOf>,
  );
}

describe('a long list', () => {
  it('draws what is seen and a little more, and says how long it is', () => {
    show(10_000, null);
    const drawn = screen.getAllByRole('listitem');
    expect(drawn.length).toBeGreaterThanOrEqual(SEEN_PX / ROW_PX);
    expect(drawn.length).toBeLessThan(60);
    expect(screen.getByText('plan 1').getAttribute('aria-setsize')).toBe('10000');
    expect(screen.queryByText('plan 9999')).toBeNull();
  });

  it('asks for more when its end comes near, and not before', () => {
    const more = vi.fn();
    show(10_000, more);
    expect(more).not.toHaveBeenCalled();
    show(30, more);
    expect(more).toHaveBeenCalled();
  });
});
