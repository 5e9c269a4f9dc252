/** What the fonts that every PDF reader has can show: letters outside Western European lose their marks. */
export const latin = (text: string): string =>
  text
    .replace(/[≈]/g, '~')
    .replace(/[−]/g, '-')
    .replace(/[^\u0020-\u00ff€–—‘’“”•…×]/gu, (letter) => {
      const plain = letter.normalize('NFD').replace(/\p{M}/gu, '');
      return /^[\u0020-\u00ff]+$/.test(plain) ? plain : '?';
    });
