import type { PlaceKind } from '@/core/trip/route/route';

/** One letter or sign for each kind of place, the same on the map and in the list. */
export const PLACE_SIGNS: Record<PlaceKind, string> = {
  water: 'W',
  shop: 'S',
  café: 'C',
  campsite: 'Λ',
  hut: 'H',
  hotel: 'B',
  'wild camp': 'λ',
  socket: 'E',
  station: 'T',
  'bike repair': 'R',
  pharmacy: 'P',
  'medical help': '+',
  other: '·',
};
