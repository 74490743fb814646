import { describe, expect, it, vi } from 'vitest';
import { Keys } from './useShortcuts';
import type { Shortcuts } from './useShortcuts';

const sheet: Shortcuts = { p: vi.fn(), n: vi.fn(), 'Ctrl+Z': vi.fn() };
const shell: Shortcuts = { 'g p': vi.fn() };

describe('keys', () => {
  it('alone do what the sheet says', () => {
    expect(new Keys().pressed('p', 0, sheet, true)).toBe(sheet['p']);
  });

  it('after g belong to it, whatever the sheet has them for, and over a new table', () => {
    const ofSheet = new Keys();
    const ofShell = new Keys();
    expect(ofSheet.pressed('g', 0, sheet, true)).toBeUndefined();
    expect(ofShell.pressed('g', 0, shell, true)).toBeUndefined();
    expect(ofSheet.pressed('p', 200, { ...sheet }, true)).toBeUndefined();
    expect(ofShell.pressed('p', 200, { ...shell }, true)).toBe(shell['g p']);
  });

  it('stand alone again once the first is long ago', () => {
    const keys = new Keys();
    keys.pressed('g', 0, sheet, true);
    expect(keys.pressed('p', 5000, sheet, true)).toBe(sheet['p']);
  });

  it('of one letter are off where the settings say so, the others are not', () => {
    const keys = new Keys();
    expect(keys.pressed('n', 0, sheet, false)).toBeUndefined();
    expect(keys.pressed('Ctrl+Z', 5000, sheet, false)).toBe(sheet['Ctrl+Z']);
  });
});
