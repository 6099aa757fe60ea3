import { expect, it } from 'vitest';
import { answered, Refusal } from '../../web/src/api/client';

const answer = (status: number, error?: unknown, data?: unknown) =>
  answered(Promise.resolve({ data, error, response: new Response(null, { status }) }));

it('gives the body of an answer', async () => {
  await expect(answer(200, undefined, { id: 'b1' })).resolves.toEqual({ id: 'b1' });
});

it('says what was refused, by field', async () => {
  const refusal = await answer(422, {
    message: { code: 'text.quoted', values: { text: 'Not so.' } },
    errors: {
      'shares[1].grams': [
        { code: 'text.quoted', values: { text: 'More.' } },
        { code: 'text.quoted', values: { text: 'Less.' } },
      ],
    },
  }).catch((one: unknown) => one as Refusal);

  expect(refusal).toBeInstanceOf(Refusal);
  expect(refusal).toMatchObject({ status: 422, message: 'Not so.', written: null });
  expect((refusal as Refusal).of('shares[1].grams')).toBe('More.');
  expect((refusal as Refusal).of('shares[0].grams')).toBeUndefined();
});

it('has a sentence where the server has none, and where there is no server', async () => {
  // What stands before the server speaks a language of its own.
  for (const said of [undefined, 'Bad gateway', { message: 'Internal server error' }]) {
    await expect(answer(500, said)).rejects.toMatchObject({
      status: 500,
      message: 'Something went wrong on the way. Try again: nothing is saved twice.',
    });
  }
  await expect(answered(Promise.reject(new TypeError('Failed to fetch')))).rejects.toMatchObject({
    status: 0,
    message: 'No connection to Tempesal. What you typed is kept. Try again in a moment.',
  });
});
