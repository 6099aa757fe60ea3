/** What a room looks like from afar, so that what stands in for it while it is fetched moves little when it comes. */
export type ComingShape = 'people' | 'grid' | 'jars' | 'lanes' | 'jar' | 'chart' | 'tiles' | 'text';

const shapes: [RegExp, ComingShape][] = [
  [/^\/today\/intake\/report/, 'text'],
  [/^\/today\/intake/, 'chart'],
  [/^\/today/, 'people'],
  [/^\/week\/[^/]+\/sheet/, 'text'],
  [/^\/week/, 'grid'],
  [/^\/shelf\/ahead/, 'lanes'],
  [/^\/shelf\/[^/]+\/(log|check)/, 'text'],
  [/^\/shelf\/|^\/bench/, 'jar'],
  [/^\/shelf/, 'jars'],
  [/^\/formulas\/?$|^\/labels|^\/kitchen/, 'tiles'],
];

/** The shape of the room at an address. */
export const comingShape = (path: string): ComingShape => shapes.find(([address]) => address.test(path))?.[1] ?? 'text';

/** How many parts stand in for it, its heading among them. */
export const comingParts: Record<ComingShape, number> = {
  people: 4,
  grid: 29,
  jars: 8,
  lanes: 9,
  jar: 4,
  chart: 5,
  tiles: 8,
  text: 7,
};
