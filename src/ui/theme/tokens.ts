/** Every colour of the product by what it says; the only place they are written. */
export const LIGHT = {
  paper: '#f3efe4',
  sheet: '#fbf9f2',
  rule: '#d8d2c0',
  ink: '#1d282c',
  graphite: '#5f625f',
  new: '#176b5f',
  newWash: '#dcebe5',
  amber: '#7d4e00',
  amberWash: '#f6e7c8',
  stop: '#a82a18',
  tape: '#ece5d0',
  tick: '#9a917a',
  steel: '#e6dfcf',
};

export type Colours = typeof LIGHT;

export const DARK: Colours = {
  paper: '#14191b',
  sheet: '#1b2225',
  rule: '#37423f',
  ink: '#ece7d8',
  graphite: '#a9aca4',
  new: '#6fcab5',
  newWash: '#1f3a35',
  amber: '#f0b95a',
  amberWash: '#3a2d14',
  stop: '#ff8d7a',
  tape: '#232a2a',
  tick: '#6c6f64',
  steel: '#2d3535',
};

const declared = (colours: Colours): string =>
  Object.entries(colours)
    .map(([name, colour]) => `--${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}:${colour}`)
    .join(';');

/** The same for the style sheets: `newWash` is `var(--new-wash)`. */
export const TOKENS_CSS = `:root{${declared(LIGHT)};color-scheme:light}[data-theme='dark']{${declared(DARK)};color-scheme:dark}`;
