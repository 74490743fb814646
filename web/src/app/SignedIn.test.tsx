// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answered, api } from '../api';
import { answering, Problem } from '../testing/answers';
import { SessionProvider, useSession } from './session';
import { SignedIn } from './SignedIn';

const ROWAN = { id: 'a', name: 'Rowan' };
const MEMBER = {
  open: true,
  operator: ROWAN,
  workshop: { id: 'w', name: 'Workshop' },
  role: 'MEMBER',
  workshops: [],
  csrf: 'token',
};

/** A server that says who is at work, until they are not. */
function at(session: unknown, then: unknown = session) {
  let isAsked = false;
  answering({
    'GET /api/session': () => {
      const answer = isAsked ? then : session;
      isAsked = true;
      return answer;
    },
    'GET /api/people': () => new Problem(401, 'sign in first'),
  });
}

function Role() {
  const { may } = useSession();
  return <p>{may('KEEPER') ? 'keeps' : may('MEMBER') ? 'works' : 'looks'}</p>;
}

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <SessionProvider>
        <SignedIn>
          <input aria-label="typed" defaultValue="" />
          <Role />
        </SignedIn>
      </SessionProvider>
    </QueryClientProvider>,
  );
}

describe('what is for those who have signed in', () => {
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  it('is there at once where nobody signs in', async () => {
    at({ ...MEMBER, open: false, operator: null, role: 'KEEPER' });
    show();
    expect(await screen.findByText('keeps')).toBeTruthy();
  });

  it('is not there for a stranger', async () => {
    at({ ...MEMBER, operator: null, role: null });
    show();
    expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeTruthy();
    expect(screen.queryByLabelText('typed')).toBeNull();
  });

  it('keeps what was typed when a session ends', async () => {
    at(MEMBER, { ...MEMBER, operator: null, role: null, csrf: null });
    show();
    expect(await screen.findByText('works')).toBeTruthy();
    const field = screen.getByLabelText<HTMLInputElement>('typed');
    field.value = 'half a sentence';
    await act(() => answered(api.GET('/api/people')).catch(() => undefined));
    expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('typed').value).toBe('half a sentence');
  });
});
