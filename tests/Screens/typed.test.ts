import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { forgetDrafts } from '../../web/src/app/persistentState';
import { useTyped } from '../../web/src/app/typed';

afterEach(() => {
  cleanup();
  sessionStorage.clear();
  localStorage.clear();
  window.history.replaceState(null, '', '/');
});

const typing = (name: string, begin = 'as it was') => renderHook(() => useTyped(name, begin));

it('brings back after a reload what was typed, on the page on which it was', () => {
  window.history.replaceState(null, '', '/kitchen?person=one');
  const before = typing('name one');
  act(() => before.result.current[1]('half a nam'));
  // A reload takes nothing down; what is begun anew finds it.
  expect(typing('name one').result.current[0]).toBe('half a nam');
  expect(typing('name two').result.current[0]).toBe('as it was');
  window.history.replaceState(null, '', '/shelf');
  expect(typing('name one').result.current[0]).toBe('as it was');
});

it('keeps nothing that was not touched, and forgets what was closed', () => {
  const untouched = typing('weight');
  expect(sessionStorage).toHaveLength(0);
  const name = typing('name');
  act(() => name.result.current[1]('kraut'));
  const grams = typing('grams', '30 g');
  act(() => grams.result.current[1]('45 g'));
  name.unmount();
  expect(typing('name').result.current[0]).toBe('as it was');
  expect(typing('grams').result.current[0]).toBe('45 g');
  untouched.unmount();
  expect(sessionStorage).toHaveLength(1);
});

it('goes back to what it was when that is typed again, and reads nonsense as nothing', () => {
  const name = typing('name');
  act(() => name.result.current[1]('kraut'));
  act(() => name.result.current[1]('as it was'));
  expect(typing('name').result.current[0]).toBe('as it was');
  sessionStorage.setItem('tempesal.typed', '{"page":');
  expect(typing('name').result.current[0]).toBe('as it was');
});

it('leaves nothing to whoever signs in next but what the device is like', () => {
  localStorage.setItem('tempesal.bench', '{"vegetableAmount":"444 g"}');
  localStorage.setItem('tempesal.scheme', 'dark');
  localStorage.setItem('other', 'stays');
  const name = typing('name');
  act(() => name.result.current[1]('kraut'));
  forgetDrafts();
  expect(Object.keys(localStorage).sort()).toEqual(['other', 'tempesal.scheme']);
  expect(sessionStorage).toHaveLength(0);
});
