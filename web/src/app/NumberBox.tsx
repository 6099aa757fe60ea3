import { InputNumber, type InputNumberProps } from 'antd';
import { useState } from 'react';
import { t } from '../messages/words';
import { number } from './numbers';
import { decimalMark, readNumber } from './readNumber';

/**
 * A number in a box, typed with a comma or a point and written by the reader's locale. What is no number is named below
 * the box, which keeps the number it had.
 */
export function NumberBox({ onInput, onBlur, onPressEnter, ...box }: InputNumberProps<number>) {
  const [typed, setTyped] = useState('');
  const [refused, setRefused] = useState('');
  const settle = () => {
    setRefused(readNumber(typed) === null ? typed.trim() : '');
    setTyped('');
  };

  return (
    <>
      <InputNumber<number>
        {...box}
        decimalSeparator={decimalMark()}
        parser={(text) => read(text ?? '') as number}
        status={refused === '' ? box.status : 'error'}
        aria-invalid={refused !== ''}
        onInput={(text) => {
          setTyped(text);
          setRefused('');
          onInput?.(text);
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
          {typeof box.value === 'number'
            ? t('number_box.kept', { typed: refused, value: number(box.value, 2) })
            : t('number_box.refused', { typed: refused, example: number(1.5) })}
        </span>
      )}
    </>
  );
}

/** As the component reads it: nothing in an empty box, no number where there is none. */
const read = (text: string): number | '' => (text.trim() === '' ? '' : (readNumber(text) ?? Number.NaN));
