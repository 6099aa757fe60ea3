import { createContext, useContext, useEffect, useId, type ReactNode } from 'react';
import { pointsAtField } from '../api/change';
import type { Refusal } from '../api/client';

/** What is wrong with something that was entered or asked for; nothing where nothing is. */
export function Complaint({
  of,
  children,
}: {
  /** The id of the field that it is about. */ of?: string;
  children: ReactNode;
}) {
  return children === undefined || children === null || children === '' ? null : (
    <p className="complaint" role="alert" id={of && aboutField(of)}>
      {children}
    </p>
  );
}

const aboutField = (id: string): string => `${id}-complaint`;

/**
 * What a refusal says of a field, and the attributes that tie the sentence to it. The first field that is named in the
 * refusal of something sent takes the focus.
 */
export function useComplaint(refusal: Refusal | null, name: string | undefined) {
  const id = useId();
  const complaint = name === undefined ? undefined : refusal?.of(name);
  const isWrong = complaint !== undefined;
  useEffect(() => {
    if (isWrong && refusal !== null && pointsAtField(refusal)) {
      const field = document.getElementById(id);
      (field?.matches('input, textarea, button')
        ? field
        : field?.querySelector<HTMLElement>('input, textarea, button')
      )?.focus();
    }
  }, [id, isWrong, refusal]);

  return {
    id,
    complaint,
    marks: isWrong ? { status: 'error' as const, 'aria-invalid': true, 'aria-describedby': aboutField(id) } : {},
  };
}

/** The refusal of a form whose sentences stand elsewhere than below each field. */
export const RefusedForm = createContext<Refusal | null>(null);

/** The id of the sentence about a field of such a form. */
export const aboutPath = (path: string): string => `said-${path}`;

/** The attributes that tie a field of such a form, by its path in the request, to the sentence about it. */
export function useMarks(path: string | undefined) {
  const refusal = useContext(RefusedForm);

  return path !== undefined && refusal?.of(path) !== undefined
    ? { status: 'error' as const, 'aria-invalid': true, 'aria-describedby': aboutPath(path) }
    : {};
}
