import {
  IconBook,
  IconBowlSpoon,
  IconDroplet,
  IconFirstAidKit,
  IconFlame,
  IconMoon,
  IconPlug,
  IconShirt,
  IconBath,
  IconTent,
  IconTicket,
  IconTool,
} from '@tabler/icons-react';
import type { ComponentType } from 'react';
import type { System } from '@/core/kit/thing';

const GLYPHS: Record<System, ComponentType<{ size?: number; stroke?: number; 'aria-hidden'?: boolean }>> = {
  sleep: IconMoon,
  shelter: IconTent,
  clothes: IconShirt,
  cook: IconFlame,
  food: IconBowlSpoon,
  water: IconDroplet,
  tools: IconTool,
  'first aid': IconFirstAidKit,
  hygiene: IconBath,
  electronics: IconPlug,
  papers: IconTicket,
  luxuries: IconBook,
};

/** The small glyph of a system; always beside its name, never instead of it. */
export function SystemGlyph({ system, size = 16 }: { system: System; size?: number }) {
  const Glyph = GLYPHS[system];
  return <Glyph size={size} stroke={1.6} aria-hidden />;
}
