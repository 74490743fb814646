// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { saveFile, savePng, saveSvg } from './saving';

const saved: { name: string; blob: Blob }[] = [];

describe('a file for the operator', () => {
  beforeEach(() => {
    saved.length = 0;
    const blobs = new Map<string, Blob>();
    vi.stubGlobal('URL', {
      createObjectURL: (blob: Blob) => {
        const address = `blob:${blobs.size}`;
        blobs.set(address, blob);
        return address;
      },
      revokeObjectURL: (address: string) => blobs.delete(address),
    });
    vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (
      this: HTMLAnchorElement,
    ) {
      const blob = blobs.get(this.getAttribute('href') ?? '');
      if (!blob) throw new Error('there is nothing at this address any more');
      saved.push({ name: this.download, blob });
    });
  });

  afterEach(() => {
    vi.unstubAllGlobals();
    document.documentElement.removeAttribute('style');
  });

  it('has its name, its type and what was written', async () => {
    saveFile('Roof.csv', 'text/csv', 'a,b\r\n');
    expect(saved[0]?.name).toBe('Roof.csv');
    expect(saved[0]?.blob.type).toBe('text/csv');
    await expect(text(saved[0]?.blob)).resolves.toBe('a,b\r\n');
  });

  it('has no name that a disk would refuse', () => {
    saveFile('6 m: roof/mast "new"?.csv', 'text/csv', '');
    expect(saved[0]?.name).toBe('6 m- roof-mast -new--.csv');
  });

  it('of a drawing has its colours written out', async () => {
    document.documentElement.style.setProperty('--copper', '#b5541c');
    document.body.innerHTML = '<div><svg><rect fill="var(--copper)"/></svg></div>';
    saveSvg('Roof', document.querySelector('svg'));
    expect(saved[0]?.name).toBe('Roof.svg');
    const drawn = await text(saved[0]?.blob);
    expect(drawn).toContain('fill="#b5541c"');
    expect(drawn).toContain('xmlns="http://www.w3.org/2000/svg"');
    expect(document.querySelector('rect')?.getAttribute('fill')).toBe('var(--copper)');
  });

  it('is none where nothing is drawn', async () => {
    saveSvg('Roof', null);
    await savePng('Roof', null);
    expect(saved).toEqual([]);
  });
});

function text(blob: Blob | undefined): Promise<string> {
  if (!blob) throw new Error('nothing was saved');
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error('cannot be read'));
    reader.readAsText(blob);
  });
}
