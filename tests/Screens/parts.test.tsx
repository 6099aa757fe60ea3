import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Button, Input } from 'antd';
import { memo, useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { Refusal } from '../../web/src/api/client';
import { defineChange } from '../../web/src/api/change';
import { keys } from '../../web/src/api/keys';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Choice } from '../../web/src/app/Choice';
import { Deed, May } from '../../web/src/app/Deed';
import { SideDrawer } from '../../web/src/app/Dialog';
import { Field } from '../../web/src/app/Field';
import { NoticeBoard } from '../../web/src/app/NoticeBoard';
import { ask, notices } from '../../web/src/app/notices';
import { PartBoundary } from '../../web/src/app/PartBoundary';
import { useSteady } from '../../web/src/app/steady';
import { Chart, nearest, thinned, type Stop } from '../../web/src/drawings/Chart';

afterEach(() => {
  cleanup();
  notices.clear();
});

const described = (element: HTMLElement): string =>
  (element.getAttribute('aria-describedby') ?? '')
    .split(' ')
    .map((id) => document.getElementById(id)?.textContent ?? '')
    .join(' ')
    .trim();

test('a field is tied to the sentence about it, and to no other', () => {
  const refusal = new Refusal(422, 'Not so.', { grams: ['Enter a weight above zero.'] });
  render(
    <>
      <Field label="Weight" name="grams" refusal={refusal}>
        <Input />
      </Field>
      <Field label="Name" name="name" refusal={refusal}>
        <Input />
      </Field>
    </>,
  );
  const weight = screen.getByLabelText('Weight');
  expect(weight.getAttribute('aria-invalid')).toBe('true');
  expect(described(weight)).toBe('Enter a weight above zero.');
  const name = screen.getByLabelText('Name');
  expect(name.getAttribute('aria-invalid')).not.toBe('true');
  expect(described(name)).toBe('');
});

const useRefused = defineChange(
  'refused in a test',
  'kitchen',
  () => () => Promise.reject(new Refusal(422, 'Not so.', { second: ['Not this.'], third: ['Nor this.'] })),
  { waits: 'never' },
);

function Form() {
  const change = useRefused();

  return (
    <>
      {['first', 'second', 'third'].map((name) => (
        <Field key={name} label={name} name={name} refusal={change.error}>
          <Input />
        </Field>
      ))}
      <Button onClick={() => change.mutate(undefined)}>Save</Button>
    </>
  );
}

test('what was refused takes the cook to the first field that is named, once for each time it was sent', async () => {
  const user = userEvent.setup();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Form />
    </QueryClientProvider>,
  );
  for (let times = 0; times < 2; times += 1) {
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('second')));
    await user.click(screen.getByLabelText('first'));
    await user.keyboard('still typing');
    expect(document.activeElement).toBe(screen.getByLabelText('first'));
  }
});

test('a list says what is chosen, one or several, also from groups', () => {
  const options = [
    { label: 'Shelf', options: [{ value: 'a', label: 'Beet kvass' }] },
    { value: 'b', label: 'Whey' },
  ];
  const { rerender } = render(<Choice aria-label="Starter" value="a" options={options} />);
  const box = () => screen.getByRole('combobox', { name: 'Starter' });
  expect(described(box())).toBe('Beet kvass');
  rerender(<Choice aria-label="Starter" value="b" options={options} />);
  expect(described(box())).toBe('Whey');
  rerender(<Choice aria-label="Starter" mode="multiple" value={['a', 'b']} options={options} />);
  expect(described(box())).toContain('Beet kvass');
  expect(described(box())).toContain('Whey');
  rerender(<Choice aria-label="Starter" value={null} options={options} />);
  expect(described(box())).toBe('');
});

function Openers() {
  const [open, setOpen] = useState<string | null>(null);
  const [isThere, setIsThere] = useState(true);

  return (
    <>
      <main id="page" tabIndex={-1}>
        <button onClick={() => setOpen('first')}>Edit the first</button>
        {isThere && <button onClick={() => setOpen('second')}>Edit the second</button>}
      </main>
      {open !== null && (
        <SideDrawer title={`Edit ${open}`} onClose={() => setOpen(null)}>
          <button
            onClick={() => {
              setIsThere(false);
              setOpen(null);
            }}
          >
            Delete
          </button>
        </SideDrawer>
      )}
    </>
  );
}

test('a drawer gives the focus back to what opened it; where that is gone, to what had it before', async () => {
  const user = userEvent.setup();
  // Nothing is laid out here: what is connected counts as shown.
  Element.prototype.getClientRects = function () {
    return (this.isConnected ? [{}] : []) as unknown as DOMRectList;
  };
  render(<Openers />);
  const first = screen.getByRole('button', { name: 'Edit the first' });
  await user.click(first);
  await user.click(await screen.findByRole('button', { name: 'Close' }));
  await waitFor(() => expect(document.activeElement).toBe(first));

  await user.click(screen.getByRole('button', { name: 'Edit the second' }));
  await user.click(await screen.findByRole('button', { name: 'Delete' }));
  await waitFor(() => expect(document.activeElement).toBe(first));
});

test('what is said is read out; what was refused at once', async () => {
  render(<NoticeBoard />);
  notices.done('Saved.');
  notices.refused('There is no such jar.');
  notices.say({ id: 'kraut', content: 'Kraut asks for a taste.' });
  notices.say({ id: 'kraut', content: 'Kraut is ready.' });
  const live = async (text: string) =>
    (await screen.findByText(text)).closest('[aria-live]')?.getAttribute('aria-live');
  expect(await live('Saved.')).toBe('polite');
  expect(await live('There is no such jar.')).toBe('assertive');
  // Under one name stands one thing.
  expect(await live('Kraut is ready.')).toBe('polite');
  expect(screen.queryByText('Kraut asks for a taste.')).toBeNull();
  notices.clear();
  await waitFor(() => expect(screen.queryByText('Saved.')).toBeNull());
});

test('a question is answered by its way on, its way back, or by closing it', async () => {
  const user = userEvent.setup();
  render(<NoticeBoard />);
  for (const [name, answer] of [
    ['Bottle it', true],
    ['Measure first', false],
    ['Close', false],
  ] as const) {
    const question = ask({ title: 'Bottle it without a reading?', yes: 'Bottle it', no: 'Measure first' });
    await user.click(await screen.findByRole('button', { name }));
    expect(await question).toBe(answer);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  }
});

const stops: Stop[] = [10, 50, 90].map((x, at) => ({ x, says: `day ${String(at)}` }));

test('a chart is read with the arrow keys, and stands there as a table', async () => {
  const user = userEvent.setup();
  render(
    <Chart
      label="Sodium by day"
      width={100}
      height={40}
      stops={stops}
      table={{
        head: ['Day', 'Sodium'],
        rows: [
          ['Mon', '900 mg'],
          ['Tue', '1,200 mg'],
        ],
      }}
    >
      <path d="M0 0" />
    </Chart>,
  );
  expect(screen.getByRole('img', { name: 'Sodium by day' })).toBeTruthy();
  const along = screen.getByRole('slider');
  expect(along.getAttribute('aria-valuetext')).toBe('day 2');
  await user.tab();
  expect(document.activeElement).toBe(along);
  expect(screen.getAllByText('day 2').length).toBeGreaterThan(0);
  await user.click(screen.getByText('As a table'));
  const rows = within(screen.getByRole('table')).getAllByRole('row');
  expect(rows.map((row) => row.textContent)).toEqual(['DaySodium', 'Mon900 mg', 'Tue1,200 mg']);
});

test('the nearest place is read, and a long table keeps its last row', () => {
  expect([-5, 29, 31, 69, 71, 500].map((x) => nearest(stops, x))).toEqual([0, 0, 1, 1, 2, 2]);
  expect(nearest([], 5)).toBeNull();
  const days = Array.from({ length: 40 }, (_, day) => day);
  for (const most of [1, 7, 16, 39, 40, 60]) {
    const kept = thinned(days, most);
    expect(kept.length).toBeLessThanOrEqual(most);
    expect(kept.at(-1)).toBe(39);
    expect(new Set(kept.slice(1).map((day, at) => day - (kept[at] ?? 0))).size).toBeLessThanOrEqual(1);
  }
});

function Broken(): never {
  throw new Error('It could not be fetched.');
}

test('a page that fails says so and leaves the rest; the next one is shown', () => {
  const silent = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const page = (address: string, isBroken: boolean) => (
    <>
      <nav>Today</nav>
      <PartBoundary page={address}>{isBroken ? <Broken /> : <h1>The shelf</h1>}</PartBoundary>
    </>
  );
  const { rerender } = render(page('/week', true));
  expect(screen.getByRole('alert').textContent).toContain('Try again');
  expect(screen.getByText('Today')).toBeTruthy();
  rerender(page('/shelf', false));
  expect(screen.getByRole('heading', { name: 'The shelf' })).toBeTruthy();
  expect(silent).toHaveBeenCalled();
});

test.each([
  ['read', []],
  ['log', ['Eaten']],
  ['keep', ['Eaten', 'Plan the week', 'Move it']],
] as const)('who may %s has the buttons for that and no others', (access, shown) => {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(keys.session(), { household: { access } });
  render(
    <QueryClientProvider client={client}>
      <Deed needs="log">Eaten</Deed>
      <Deed>Plan the week</Deed>
      <May>
        <button type="button">Move it</button>
      </May>
    </QueryClientProvider>,
  );
  expect(screen.queryAllByRole('button').map(({ textContent }) => textContent)).toEqual(shown);
});

test('what is done stays the same function, and does what was last meant', async () => {
  const drawn = vi.fn();
  const Button = memo(function Button({ hands }: { hands: { say: () => void } }) {
    drawn();
    return <button onClick={hands.say}>Say</button>;
  });
  const said: number[] = [];
  function Counter() {
    const [count, setCount] = useState(0);
    const hands = useSteady({ say: () => void said.push(count) });
    return (
      <>
        <button onClick={() => setCount(count + 1)}>More</button>
        <Button hands={hands} />
      </>
    );
  }
  render(<Counter />);
  await userEvent.click(screen.getByText('More'));
  await userEvent.click(screen.getByText('More'));
  await userEvent.click(screen.getByText('Say'));
  expect(said).toEqual([2]);
  expect(drawn).toHaveBeenCalledTimes(1);
});
