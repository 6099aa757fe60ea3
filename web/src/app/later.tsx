import { lazy, Suspense, type ComponentType } from 'react';

/** A part of a page that is fetched when it is first shown; until then nothing stands in its place. */
export function later<Name extends string, Props extends object>(
  load: () => Promise<Record<Name, ComponentType<Props>>>,
  name: Name,
): (props: Props) => React.JSX.Element {
  const Part = lazy(async () => ({ default: (await load())[name] })) as unknown as ComponentType<Props>;

  return function Later(props: Props) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}
