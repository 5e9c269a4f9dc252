/** How much worse the next best place for a thing is, in words; its points are under "why". */
export const secondBestWords = (extraPoints: number): string =>
  extraPoints < 1 ? 'about as good' : extraPoints < 6 ? 'a little worse' : 'clearly worse';
