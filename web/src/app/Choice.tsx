import { Select, type RefSelectProps, type SelectProps } from 'antd';
import type { ReactNode, Ref } from 'react';
import { useId } from 'react';

interface Option {
  value?: unknown;
  label?: ReactNode;
  options?: Option[];
}

type Props<Value> = Omit<SelectProps<Value>, 'options'> & {
  options: Option[];
  ref?: Ref<RefSelectProps>;
};

/** One or several of a list. What is chosen is said to those who hear the screen, which the component alone does not do. */
export function Choice<Value = unknown>({ 'aria-describedby': describedBy, options, ...select }: Props<Value>) {
  const id = useId();
  const chosen = [select.value ?? []].flat();
  const labels = options
    .flatMap((option) => option.options ?? [option])
    .filter(({ value }) => chosen.includes(value as never))
    .map(({ value, label }) => <span key={String(value)}>{label ?? String(value)} </span>);

  return (
    <>
      <Select<Value>
        {...select}
        options={options as NonNullable<SelectProps<Value>['options']>}
        aria-describedby={[id, describedBy].filter(Boolean).join(' ')}
      />
      <span id={id} hidden>
        {labels}
      </span>
    </>
  );
}
