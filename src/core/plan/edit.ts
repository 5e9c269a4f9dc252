import { z } from 'zod';
import { bagSchema } from '@/core/bag/bag';
import { bikeSchema } from '@/core/bike/bike';
import { decisionsSchema, ownedThingSchema, thingSchema } from '@/core/kit/thing';
import { idSchema } from '@/core/units/measures';
import { isOneLine } from '@/core/units/text';
import { LIMITS } from './limits';
import { routePatchSchema, routeSchema } from '@/core/trip/route/route';
import { tripSchema } from '@/core/trip/trip';
import { fellowSchema, riderSchema, wishSchema, type Plan } from './plan';

const positions = z
  .array(z.int().min(0))
  .optional()
  .describe('Where each goes in the list; at the end without');

export const moveSchema = z.object({
  thingId: idSchema,
  to: z.union([z.object({ compartmentId: idSchema }), z.enum(['home', 'floor'])]),
  pinned: z.boolean().optional(),
});
export type Move = z.infer<typeof moveSchema>;

/**
 * A patch holds what is changed and nothing else: a field's default, which an older file needs, must not slip in.
 */
export function withoutDefaults<Shape extends z.ZodRawShape>(shape: Shape) {
  const bare = Object.fromEntries(
    Object.entries(shape).map(([key, field]) => [
      key,
      field instanceof z.ZodDefault ? field.unwrap() : field,
    ]),
  ) as Shape;
  return z.object(bare).partial();
}

const { id: _id, ...ownedShape } = ownedThingSchema.shape;
const { id: _bagId, ...bagShape } = bagSchema.shape;
const { id: _bikeId, build: bikeBuild, ...bikeShape } = bikeSchema.shape;
/** A bike's changed fields, and those of its build by themselves. */
const bikePatch = withoutDefaults(bikeShape).extend({
  build: withoutDefaults(bikeBuild.unwrap().shape).optional(),
});
export type BikePatch = z.infer<typeof bikePatch>;

/** Changed fields of some items, by their ids. */
const changesOf = <Shape extends z.ZodRawShape>(shape: Shape, most: number) =>
  z.array(z.object({ id: idSchema, patch: withoutDefaults(shape) })).max(most);

/**
 * Edits that stand for one act of the rider. `put` adds items; where they are there already it is taken as the change of the
 * fields that differ (`narrowed`), which is how changes are stored: an owned thing and a trip's decisions about it never
 * overwrite each other.
 */
const simpleEditSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('set trip'), patch: withoutDefaults(tripSchema.shape) }),
  z.object({ kind: z.literal('set rider'), patch: withoutDefaults(riderSchema.shape) }),
  z.object({ kind: z.literal('set bike'), bike: bikeSchema.nullable() }),
  z.object({ kind: z.literal('change bike'), id: idSchema, patch: bikePatch }),
  z.object({ kind: z.literal('put bags'), bags: z.array(bagSchema).max(LIMITS.bags), positions }),
  z.object({ kind: z.literal('change bags'), changes: changesOf(bagShape, LIMITS.bags) }),
  z.object({ kind: z.literal('remove bags'), ids: z.array(idSchema).max(LIMITS.bags) }),
  z.object({ kind: z.literal('put things'), things: z.array(thingSchema).max(LIMITS.things), positions }),
  z.object({ kind: z.literal('change things'), changes: changesOf(ownedShape, LIMITS.things) }),
  z.object({
    kind: z.literal('decide things'),
    changes: changesOf(decisionsSchema.shape, LIMITS.things),
  }),
  z.object({ kind: z.literal('remove things'), ids: z.array(idSchema).max(LIMITS.things) }),
  z.object({ kind: z.literal('set wishes'), wishes: z.array(wishSchema).max(LIMITS.wishes) }),
  z.object({ kind: z.literal('set route'), route: routeSchema.nullable() }),
  z.object({ kind: z.literal('change route'), patch: routePatchSchema }),
  z.object({ kind: z.literal('set fellows'), fellows: z.array(fellowSchema).max(LIMITS.fellows) }),
  z.object({ kind: z.literal('place'), moves: z.array(moveSchema).max(LIMITS.things) }),
]);
export type SimpleEdit = z.infer<typeof simpleEditSchema>;

/**
 * A change to a plan, as a small value: applied at once in the browser, sent to the server, stored for undo.
 * `several` binds edits into one step of the history; it does not nest.
 */
const labelSchema = z.string().max(200).refine(isOneLine, 'A label is one line of plain text.');

const editOf = (mostParts: number) =>
  z.union([
    simpleEditSchema,
    z.object({
      kind: z.literal('several'),
      label: labelSchema,
      edits: z.array(simpleEditSchema).max(mostParts, 'One step holds at most 200 changes.'),
    }),
  ]);
export const editSchema = editOf(200);
/** An edit as it is kept: split into changed fields, and inverted, it can have more parts than the rider sent. */
export const storedEditSchema = editOf(Number.MAX_SAFE_INTEGER);
export type Edit = z.infer<typeof editSchema>;

const count = (n: number, one: string, many = `${one}s`): string => (n === 1 ? `1 ${one}` : `${n} ${many}`);

/**
 * What an edit does, in a rider's words, for the history and the undo button. Named against the plan it is
 * about to change.
 *
 * @example editLabel(plan, { kind: 'place', moves: [{ thingId: 'quilt', to: 'floor' }] }) // 'Quilt to the floor'
 */
export function editLabel(plan: Plan, edit: Edit): string {
  switch (edit.kind) {
    case 'set trip':
      return `Trip: ${Object.keys(edit.patch).map(fieldWords).join(', ')}`;
    case 'set rider':
      return 'Rider';
    case 'set bike':
      return edit.bike ? `Bike: ${edit.bike.name}` : 'Bike removed';
    case 'change bike':
      return `${plan.bike?.name ?? 'Bike'} changed`;
    case 'put bags': {
      const first = edit.bags[0];
      if (!first || edit.bags.length > 1) return count(edit.bags.length, 'bag');
      return plan.bags.some((bag) => bag.id === first.id) ? `${first.name} changed` : `${first.name} added`;
    }
    case 'change bags':
      return edit.changes.length === 1
        ? `${bagName(plan, edit.changes[0]!.id)} changed`
        : `${count(edit.changes.length, 'bag')} changed`;
    case 'remove bags':
      return `${edit.ids.map((id) => plan.bags.find((bag) => bag.id === id)?.name ?? 'bag').join(', ')} removed`;
    case 'put things': {
      const first = edit.things[0];
      if (!first || edit.things.length > 1) return `${count(edit.things.length, 'thing')} into the kit`;
      return plan.things.some((thing) => thing.id === first.id)
        ? `${first.name} changed`
        : `${first.name} added`;
    }
    case 'change things':
    case 'decide things':
      return edit.changes.length === 1
        ? `${thingName(plan, edit.changes[0]!.id)} changed`
        : `${count(edit.changes.length, 'thing')} changed`;
    case 'remove things':
      return edit.ids.length === 1
        ? `${thingName(plan, edit.ids[0]!)} removed from the kit`
        : `${count(edit.ids.length, 'thing')} removed from the kit`;
    case 'place': {
      const move = edit.moves[0];
      if (!move || edit.moves.length > 1) return `${count(edit.moves.length, 'thing')} moved`;
      return `${thingName(plan, move.thingId)} ${destinationWords(plan, move)}`;
    }
    case 'set wishes':
      return 'Wishes for the loader';
    case 'set route':
      return edit.route ? `Route: ${edit.route.name}` : 'Route removed';
    case 'change route':
      return `Route: ${Object.keys(edit.patch).map(fieldWords).join(', ')}`;
    case 'set fellows': {
      const joined = edit.fellows.find(({ id }) => !plan.fellows.some((known) => known.id === id));
      if (joined) return `${joined.name} rides along`;
      const gone = plan.fellows.find(({ id }) => !edit.fellows.some((kept) => kept.id === id));
      return gone ? `${gone.name} stays at home` : 'Fellow riders';
    }
    case 'several':
      return edit.label;
  }
}

const bagName = (plan: Plan, id: string): string => plan.bags.find((bag) => bag.id === id)?.name ?? 'A bag';

const thingName = (plan: Plan, id: string): string =>
  plan.things.find((thing) => thing.id === id)?.name ?? 'A thing';

function destinationWords(plan: Plan, move: Move): string {
  if (move.to === 'home') return 'left at home';
  if (move.to === 'floor') return 'to the floor';
  const { compartmentId } = move.to;
  const entry = plan.load.find((candidate) => candidate.thingId === move.thingId);
  if (entry && entry.to !== 'home' && entry.to.compartmentId === compartmentId) {
    return move.pinned ? 'pinned where it is' : 'no longer pinned';
  }
  return `to ${compartmentName(plan, compartmentId)}`;
}

/** "Seat pack", "Frame bag, left pocket" where the bag has more than one compartment, "Robin: seat pack" on another's bike. */
export function compartmentName(plan: Plan, compartmentId: string): string {
  for (const { bags, name } of [{ bags: plan.bags, name: '' }, ...plan.fellows]) {
    for (const bag of bags) {
      const compartment = bag.compartments.find((candidate) => candidate.id === compartmentId);
      if (!compartment) continue;
      const own = bag.compartments.length > 1 ? `${bag.name}, ${compartment.name}` : bag.name;
      return name ? `${name}: ${own}` : own;
    }
  }
  return 'a bag';
}

const fieldWords = (field: string): string =>
  field
    .replace(/(C|G|Mm|Ml|Min)$/, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();
