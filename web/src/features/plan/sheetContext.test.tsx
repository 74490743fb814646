import { render } from '@testing-library/react';
import { memo, useEffect } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { sheetOf } from '../../testing/sheet';
import type { Sheet } from './sheetContext';
import { SheetProvider, useKept, useSheet } from './sheetContext';

const onDrawn = vi.fn();

const Ledger = memo(function Ledger() {
  useSheet();
  useEffect(() => onDrawn());
  return null;
});

function Kept({ sheet }: { sheet: Sheet }) {
  return (
    <SheetProvider value={useKept(sheet)}>
      <Ledger />
    </SheetProvider>
  );
}

describe('what is drawn of a sheet', () => {
  it('is drawn anew when something of it is another, and not else', () => {
    const sheet = sheetOf();
    const { rerender } = render(<Kept sheet={sheet} />);
    onDrawn.mockClear();
    rerender(<Kept sheet={{ ...sheet }} />);
    expect(onDrawn).not.toHaveBeenCalled();
    rerender(<Kept sheet={{ ...sheet, focus: sheet.focus + 1 }} />);
    expect(onDrawn).toHaveBeenCalled();
  });
});
