import { InputNumber, type InputNumberProps } from 'antd';
import { useState } from 'react';
import { t } from '../messages/words';
import { number } from './numbers';
import { decimalMark, readNumber } from './readNumber';

/**
 * A number in a box, typed with a comma or a point and written by the reader's locale. What is no number is named below
 * the box, which goes back to the number it had: "10 d" does not leave a 10 behind.
 */
export function NumberBox({ onInput, onFocus, onBlur, onPressEnter, ...box }: InputNumberProps<number>) {
  const [typed, setTyped] = useState('');
  const [before, setBefore] = useState<number | null>(null);
  const [refused, setRefused] = useState('');
  const settle = () => {
    const isRefused = typed.trim() !== '' && readNumber(typed) === null;
    setRefused(isRefused ? typed.trim() : '');
    setTyped('');
    if (isRefused) {
      box.onChange?.(before);
    }
  };

  return (
    <>
      <InputNumber<number>
        {...box}
        decimalSeparator={decimalMark()}
        parser={(text) => read(text ?? '') as number}
        status={refused === '' ? box.status : 'error'}
        aria-invalid={refused !== '' || (box['aria-invalid'] ?? false)}
        onInput={(text) => {
          setTyped(text);
          setRefused('');
          onInput?.(text);
        }}
        onFocus={(event) => {
          setBefore(box.value ?? null);
          onFocus?.(event);
        }}
        onBlur={(event) => {
          settle();
          onBlur?.(event);
        }}
        onPressEnter={(event) => {
          settle();
          onPressEnter?.(event);
        }}
      />
      {refused !== '' && (
        <span role="alert" className="complaint">
          {before === null
            ? t('number_box.refused', { typed: refused, example: number(1.5) })
            : t('number_box.kept', { typed: refused, value: number(before, 2) })}
        </span>
      )}
    </>
  );
}

/** As the component reads it: nothing in an empty box, no number where there is none. */
const read = (text: string): number | '' => (text.trim() === '' ? '' : (readNumber(text) ?? Number.NaN));
