/** A moment of the trip, with all that has changed until then. What is not listed is as it was when setting out. */
export interface Moment {
  /** The same for the same moment of the same trip. */
  id: string;
  kind: 'setting out' | 'stop' | 'evening' | 'morning' | 'end';
  /** "Day 2, leaving Farm shop". */
  label: string;
  /** 1 for the first. */
  day: number;
  /** Along the route; null where there is none. */
  alongM: number | null;
  /** Minutes after that day's midnight; null where it is not known. */
  clockMin: number | null;
  /** Portions eaten of each thing. */
  eaten: ReadonlyMap<string, number>;
  /** Things still to be bought. */
  unbought: ReadonlySet<string>;
  /** In all vessels together; null where nothing is known of water on the way, and it stays as it is. */
  waterMl: number | null;
  /** Of gas, since setting out. */
  burntG: number;
  /** The shelter was packed wet. */
  isShelterWet: boolean;
}

/** Setting out, where nothing has changed; what a plan without days or route has for a moment. */
export const SETTING_OUT: Moment = {
  id: 'start',
  kind: 'setting out',
  label: 'Setting out',
  day: 1,
  alongM: 0,
  clockMin: null,
  eaten: new Map(),
  unbought: new Set(),
  waterMl: null,
  burntG: 0,
  isShelterWet: false,
};
