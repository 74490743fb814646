import { vi } from 'vitest';
import { api } from '../api';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

interface Asked {
  method: Method;
  path: string;
  body: unknown;
  params: Record<string, string>;
}

/** Answers of a server, by method and address; what was asked of it is kept in order. */
export function answering(answers: Record<string, (body: never) => unknown>): Asked[] {
  const asked: Asked[] = [];
  for (const method of ['GET', 'POST', 'PUT', 'DELETE'] as const) {
    vi.spyOn(api, method).mockImplementation((async (path: string, init?: Init) => {
      asked.push({ method, path, body: init?.body, params: init?.params?.path ?? {} });
      const answer = answers[`${method} ${path}`];
      if (!answer) throw new Error(`nobody answers ${method} ${path}`);
      const data = answer(init?.body as never);
      if (data instanceof Problem) {
        return {
          error: data.problem,
          response: new Response(null, { status: data.problem.status }),
        };
      }
      return { data, response: new Response(null, { status: 200 }) };
    }) as never);
  }
  return asked;
}

interface Init {
  body?: unknown;
  params?: { path?: Record<string, string> };
}

/** A refusal, as the server says it. */
export class Problem {
  readonly problem;

  constructor(status: number, detail: string, more: Record<string, unknown> = {}) {
    this.problem = { status, title: '', detail, ...more };
  }
}
