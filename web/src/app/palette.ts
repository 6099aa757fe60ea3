/** The colours of the kitchen, in daylight and in the evening; style sheets know each as a variable of its name. */
export interface Palette {
  /** What everything lies on, and what lies on it. */
  paper: string;
  panel: string;
  /** Fields and what floats above the page. */
  field: string;
  raised: string;
  ink: string;
  inkSoft: string;
  /** On a filled button. */
  inkOnBeet: string;
  line: string;
  lineStrong: string;
  beet: string;
  turmeric: string;
  chilli: string;
  leaf: string;
  wood: string;
  woodDark: string;
  inkOnWood: string;
  /** A paper tag on a jar, the same at night. */
  tag: string;
  tagEdge: string;
  inkOnTag: string;
  glass: string;
  glassLine: string;
  rest: string;
  written: string;
  /** A row of choices, the chosen one, and what is written on them. */
  track: string;
  chosen: string;
  inkOnTrack: string;
}

export const daylight: Palette = {
  paper: '#f3ede2',
  panel: '#fbf8f1',
  field: '#fffdf8',
  raised: '#fffdf8',
  ink: '#2a2320',
  inkSoft: '#65584f',
  inkOnBeet: '#ffffff',
  line: '#d8ccba',
  lineStrong: '#a8998a',
  beet: '#7a2340',
  turmeric: '#96600b',
  chilli: '#a0301a',
  leaf: '#4d6a2c',
  wood: '#b58a5c',
  woodDark: '#8f6a43',
  inkOnWood: '#221508',
  tag: '#f7efd9',
  tagEdge: '#a98f63',
  inkOnTag: '#3b2a17',
  glass: '#e9efe6',
  glassLine: '#5f6b63',
  rest: '#b9ab99',
  written: '#8b7f93',
  track: '#e4d9c8',
  chosen: '#fffdf8',
  inkOnTrack: '#54483f',
};

export const evening: Palette = {
  paper: '#1a1715',
  panel: '#231f1c',
  field: '#2b2622',
  raised: '#322c28',
  ink: '#f0e8db',
  inkSoft: '#b9ab9c',
  inkOnBeet: '#231f1c',
  line: '#453c35',
  lineStrong: '#7d7065',
  beet: '#e79ab5',
  turmeric: '#dca545',
  chilli: '#e98a72',
  leaf: '#9dbb6c',
  wood: '#6f5438',
  woodDark: '#4d3925',
  inkOnWood: '#fff6e8',
  tag: '#f7efd9',
  tagEdge: '#a98f63',
  inkOnTag: '#3b2a17',
  glass: '#333936',
  glassLine: '#a9b5ac',
  rest: '#7a6d60',
  written: '#8d83a0',
  track: '#39322c',
  chosen: '#5a4f46',
  inkOnTrack: '#d6cabb',
};

const variables = (palette: Palette): string =>
  Object.entries(palette)
    .map(([name, colour]) => `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}:${String(colour)}`)
    .join(';');

/** Both as a style sheet, for the head of the page: by what the device asks for until the cook's choice is known. */
export const paletteSheet = `:root{${variables(daylight)}}
@media (prefers-color-scheme:dark){:root:not([data-scheme='light']){${variables(evening)}}}
:root[data-scheme='dark']{${variables(evening)}}`;
