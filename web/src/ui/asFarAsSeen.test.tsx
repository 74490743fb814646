import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { EndOfSeen, useAsFarAsSeen } from './asFarAsSeen';

type Told = (entries: { isIntersecting: boolean }[]) => void;

const watching = new Map<Element, Told>();

class Observer {
  constructor(private readonly told: Told) {}
  observe(element: Element) {
    watching.set(element, this.told);
  }
  disconnect() {
    watching.clear();
  }
}

function List({ count }: { count: number }) {
  const { seen, end } = useAsFarAsSeen(
    Array.from({ length: count }, (_, i) => i),
    10,
  );
  return (
    <ul>
      {seen.map((i) => (
        <li key={i}>{i}</li>
      ))}
      {end && <EndOfSeen as="li" key={end.key} onNear={end.more} />}
    </ul>
  );
}

function comeNear() {
  const [told] = watching.values();
  act(() => told?.([{ isIntersecting: true }]));
}

afterEach(() => {
  cleanup();
  watching.clear();
});

it('draws more when its end comes near, and no end when all is drawn', () => {
  vi.stubGlobal('IntersectionObserver', Observer);
  render(<List count={25} />);
  expect(screen.getAllByRole('listitem')).toHaveLength(10);
  comeNear();
  expect(screen.getAllByRole('listitem')).toHaveLength(20);
  comeNear();
  expect(screen.getAllByRole('listitem')).toHaveLength(25);
  expect(watching.size).toBe(0);
});

it('draws a short list whole', () => {
  render(<List count={10} />);
  expect(screen.getAllByRole('listitem')).toHaveLength(10);
});
