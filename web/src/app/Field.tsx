import { cloneElement, useId, type ReactElement, type ReactNode } from 'react';
import type { Refusal } from '../api/client';

interface Props {
  label: ReactNode;
  /** Its path in the request, to find the sentence about it. */
  name?: string;
  refusal?: Refusal | null;
  wide?: boolean;
  children: ReactElement<{ id?: string }>;
}

/** A field with its name above and what is wrong with it below. */
export function Field({ label, name, refusal, wide, children }: Props) {
  const id = useId();
  const complaint = name === undefined ? undefined : refusal?.of(name);

  return (
    <div className={`field${wide ? ' is-wide' : ''}`}>
      <label htmlFor={id}>{label}</label>
      {cloneElement(children, { id })}
      {complaint && (
        <p className="complaint" role="alert">
          {complaint}
        </p>
      )}
    </div>
  );
}
