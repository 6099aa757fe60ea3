import { vi } from 'vitest';

/** A request as it was sent. */
export interface Sent {
  method: string;
  path: string;
  key: string | null;
  /** When it was done, of what waited. */
  doneAt: string | null;
  body: unknown;
}

export type Answer = { status: number; body: unknown } | 'lost';

/** Stands in for the server: takes down what is sent and answers as it is told, by the number of the request. */
export function server(answer: (number: number, sent: Sent) => Answer): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const text = await request.text();
    const body: unknown = text.startsWith('{') ? JSON.parse(text) : null;
    const one = {
      method: request.method,
      path: new URL(request.url).pathname,
      key: request.headers.get('Idempotency-Key') ?? (body as { requestKey?: string } | null)?.requestKey ?? null,
      doneAt: request.headers.get('Done-At'),
      body,
    };
    sent.push(one);
    const told = answer(sent.length, one);
    if (told === 'lost') {
      throw new TypeError('Failed to fetch');
    }
    return new Response(JSON.stringify(told.body), {
      status: told.status,
      headers: { 'Content-Type': 'application/json' },
    });
  });
  return sent;
}

export const ok = (body: unknown = { id: '01ANSWERED', name: 'a name' }): Answer => ({ status: 200, body });
