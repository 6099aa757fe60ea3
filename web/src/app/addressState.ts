import { useCallback, useState } from 'react';
import { useSearchParams } from 'react-router';

/**
 * Something chosen on a page that its address carries, so that a reload and the way back bring it back; what is usual is not
 * written down.
 */
export function useAddressState<Usual extends string>(name: string, usual: Usual): [string, (value: string) => void] {
  const [asked, ask] = useSearchParams();
  // The address follows in its own time; who types sees each letter at once.
  const [value, setValue] = useState(asked.get(name) ?? usual);
  const choose = useCallback(
    (value: string) => {
      setValue(value);
      ask(
        (now) => {
          if (value === usual) {
            now.delete(name);
          } else {
            now.set(name, value);
          }
          return now;
        },
        { replace: true },
      );
    },
    [ask, name, usual],
  );

  return [value, choose];
}

/** The same for a choice between yes and no. */
export function useAddressFlag(name: string): [boolean, (is: boolean) => void] {
  const [value, choose] = useAddressState(name, '');

  return [value === 'yes', (is) => choose(is ? 'yes' : '')];
}
