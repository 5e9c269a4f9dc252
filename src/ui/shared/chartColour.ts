/** A colour of the page, in the scheme that is on: a canvas takes no variables. @example colour('--accent') */
export const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();
