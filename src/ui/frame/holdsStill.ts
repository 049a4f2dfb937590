/** Where there is room for a page that holds still; the same as in workbench.css. */
export const HOLDS_STILL = '(min-width: 901px) and (min-height: 620px)';
