import { lazy, Suspense, type ComponentType } from 'react';
import { everySentence } from '../messages/catalogue';
import { PartBoundary } from './PartBoundary';

/** Fetches a part of the application, and before it all that it may say. */
export async function fetched<Part>(load: () => Promise<Part>): Promise<Part> {
  await everySentence();

  return load();
}

/** A part of a page that is fetched when it is first shown; until then nothing stands in its place. */
export function later<Name extends string, Props extends object>(
  load: () => Promise<Record<Name, ComponentType<Props>>>,
  name: Name,
): (props: Props) => React.JSX.Element {
  const Part = lazy(async () => ({ default: (await fetched(load))[name] })) as unknown as ComponentType<Props>;

  return function Later(props: Props) {
    return (
      <PartBoundary>
        <Suspense fallback={null}>
          <Part {...props} />
        </Suspense>
      </PartBoundary>
    );
  };
}
