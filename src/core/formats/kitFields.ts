import type { Dimension } from '@/core/units/parse';

/** What a column of a kit list can mean. */
export const KIT_FIELDS = [
  'name',
  'system',
  'quantity',
  'mass',
  'volume',
  'loose volume',
  'form',
  'length',
  'width',
  'height',
  'call',
  'stay dry',
  'dry sack',
  'carry',
  'need',
  'provides',
  'water',
  'view',
  'traits',
] as const;
export type KitField = (typeof KIT_FIELDS)[number];

/** What a field measures, and the unit of a bare number where the header names none. */
export const FIELD_UNITS: Partial<
  Record<KitField, { dimension: Exclude<Dimension, 'temperature'>; bare: string }>
> = {
  mass: { dimension: 'mass', bare: 'g' },
  volume: { dimension: 'volume', bare: 'ml' },
  'loose volume': { dimension: 'volume', bare: 'ml' },
  water: { dimension: 'volume', bare: 'ml' },
  length: { dimension: 'length', bare: 'mm' },
  width: { dimension: 'length', bare: 'mm' },
  height: { dimension: 'length', bare: 'mm' },
};

/** Header words that mean a field, besides its own name. Compared without case, spaces and units. */
export const FIELD_SYNONYMS: Record<KitField, readonly string[]> = {
  name: ['item', 'thing', 'gear', 'what', 'description', 'itemname'],
  system: ['category', 'group', 'type', 'section'],
  quantity: ['qty', 'count', 'pieces', 'number', 'amount', 'pcs'],
  mass: ['weight', 'masseach', 'weighteach', 'grams', 'itemweight'],
  volume: ['packedvolume', 'size', 'litres', 'liters', 'packedsize', 'capacity'],
  'loose volume': ['loose', 'uncompressedvolume'],
  form: ['shape', 'packs'],
  length: ['long', 'longest'],
  width: ['diameter', 'dia', 'wide'],
  height: ['thickness', 'depth', 'thick'],
  call: ['neededwhen', 'wanted', 'when', 'use'],
  'stay dry': ['dry', 'waterproof', 'muststaydry', 'keepdry'],
  'dry sack': ['sacked', 'drybag', 'indrysack'],
  carry: ['worn', 'wornorcarried', 'carried'],
  need: ['needed', 'priority', 'importance'],
  view: ['clearview', 'needsview'],
  provides: ['gives', 'role'],
  traits: ['nature', 'properties', 'hazards'],
  water: ['waterml', 'contents', 'wateratstart'],
};
