import { ActionIcon, Button, Menu, Select } from '@mantine/core';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { IconDots, IconLock, IconMinus, IconPlus } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import type { DayMenu, Planned } from '@/core/facts/food';
import type { MenuEntry } from '@/core/food/menuSchema';
import { maySuit, PANTRY, SLOT_WORDS, SLOTS, type Slot } from '@/core/food/pantry';
import { mealsOf } from '@/core/menu/dayNeeds';
import { portionOf, thingOfFood } from '@/core/menu/portion';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './Provisions.module.css';

interface Props {
  menu: DayMenu;
  days: number;
  /** With null the line is taken out. */
  onChange: (index: number, patch: Partial<MenuEntry> | null) => void;
  onAdd: (entry: MenuEntry) => void;
  onCopy: (toDay: number) => void;
}

/** One day: what it asks for, what is planned, and its meals. */
export function DayColumn({ menu, days, onChange, onAdd, onCopy }: Props) {
  const { format } = usePlan();
  const { need, planned, energyKJ, rideCarbG, proteinG } = menu;
  const { day } = need;
  const meals = new Set<Slot>(['riding', 'drinks', ...mealsOf(day, days)]);
  if (day === days) meals.add('spare');
  const shown = SLOTS.filter((slot) => meals.has(slot) || planned.some(({ entry }) => entry.slot === slot));
  const share = energyKJ / Math.max(1, need.needKJ);
  return (
    <section className={styles.day} aria-label={`Day ${day}`}>
      <h2>
        Day {day}
        {days > 1 && planned.length > 0 && (
          <Menu position="bottom-end">
            <Menu.Target>
              <ActionIcon variant="subtle" color="gray" size="sm" aria-label={`Copy day ${day}`} ml="xs">
                <IconDots size={16} />
              </ActionIcon>
            </Menu.Target>
            <Menu.Dropdown>
              {Array.from({ length: days }, (_, k) => k + 1)
                .filter((to) => to !== day)
                .map((to) => (
                  <Menu.Item key={to} onClick={() => onCopy(to)}>
                    Eat the same on day {to}
                  </Menu.Item>
                ))}
            </Menu.Dropdown>
          </Menu>
        )}
      </h2>
      <div className={styles.sums}>
        <strong>{format.energy(energyKJ)}</strong> of {format.energy(need.needKJ)}
        <div className={styles.bar} aria-hidden>
          <span style={{ width: `${Math.min(100, 100 * share)}%` }} />
        </div>
        {need.carbG
          ? `On the bike ${Math.round(rideCarbG)} g carbohydrate, at least ${Math.round(need.carbG.least)}; `
          : `${need.ridingHours.toFixed(1)} h of riding; `}
        protein {Math.round(proteinG)} of {Math.round(need.proteinG)} g
      </div>
      {shown.map((slot) => (
        <SlotList
          key={slot}
          day={day}
          days={days}
          slot={slot}
          planned={planned.filter(({ entry }) => entry.slot === slot)}
          onChange={onChange}
          onAdd={onAdd}
        />
      ))}
    </section>
  );
}

interface SlotProps extends Pick<Props, 'days' | 'onChange' | 'onAdd'> {
  day: number;
  slot: Slot;
  planned: readonly Planned[];
}

function SlotList({ day, days, slot, planned, onChange, onAdd }: SlotProps) {
  const [adding, setAdding] = useState(false);
  const { setNodeRef, isOver } = useDroppable({ id: `${day} ${slot}`, data: { day, slot } });
  return (
    <div ref={setNodeRef} className={styles.slot} data-over={isOver || undefined}>
      <h3>
        {SLOT_WORDS[slot]}
        <ActionIcon
          variant="subtle"
          color="gray"
          size="sm"
          aria-label={`Add to ${SLOT_WORDS[slot].toLowerCase()} of day ${day}`}
          onClick={() => setAdding(!adding)}
        >
          <IconPlus size={15} />
        </ActionIcon>
      </h3>
      {adding && (
        <AddFood
          slot={slot}
          label={`Food for ${SLOT_WORDS[slot].toLowerCase()} of day ${day}`}
          onAdd={(thingId) => {
            onAdd({ thingId, day, slot, portions: 1, locked: false, boughtAt: null });
            setAdding(false);
          }}
          onClose={() => setAdding(false)}
        />
      )}
      <ul aria-label={`${SLOT_WORDS[slot]}, day ${day}`}>
        {planned.map((each) => (
          <Entry key={each.index} planned={each} days={days} onChange={onChange} />
        ))}
      </ul>
    </div>
  );
}

function Entry({
  planned: { entry, index, thing, portion },
  days,
  onChange,
}: {
  planned: Planned;
  days: number;
  onChange: Props['onChange'];
}) {
  const { format, draft } = usePlan();
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: String(index) });
  const place = draft.plan.route?.places.find(({ id }) => id === entry.boughtAt);
  const { tabIndex: _tab, role: _role, ...described } = attributes;
  return (
    <li
      ref={setNodeRef}
      {...described}
      {...listeners}
      className={styles.entry}
      style={
        transform ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 3 } : undefined
      }
    >
      <span>
        {entry.portions > 1 && <strong>{entry.portions} × </strong>}
        {thing.name} {entry.locked && <IconLock size={13} aria-label="locked" />}
        <br />
        <small>
          {portion.isKnown ? '' : '≈ '}
          {format.energy(entry.portions * portion.energyKJ)}, {format.mass(entry.portions * portion.massG)}
          {place && `, bought at ${place.name}`}
        </small>
      </span>
      <span>
        <ActionIcon
          variant="subtle"
          color="gray"
          size="sm"
          aria-label={`One portion fewer of ${thing.name}`}
          onClick={() => onChange(index, entry.portions > 1 ? { portions: entry.portions - 1 } : null)}
        >
          <IconMinus size={14} />
        </ActionIcon>
        <ActionIcon
          variant="subtle"
          color="gray"
          size="sm"
          aria-label={`One portion more of ${thing.name}`}
          disabled={entry.portions >= 50}
          onClick={() => onChange(index, { portions: entry.portions + 1 })}
        >
          <IconPlus size={14} />
        </ActionIcon>
        <Menu position="bottom-end">
          <Menu.Target>
            <ActionIcon variant="subtle" color="gray" size="sm" aria-label={`More for ${thing.name}`}>
              <IconDots size={14} />
            </ActionIcon>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item onClick={() => onChange(index, { locked: !entry.locked })}>
              {entry.locked ? 'Let the solver change it' : 'Lock: keep it when the menu is filled'}
            </Menu.Item>
            {Array.from({ length: days }, (_, k) => k + 1)
              .filter((day) => day !== entry.day)
              .map((day) => (
                <Menu.Item key={day} onClick={() => onChange(index, { day })}>
                  Move to day {day}
                </Menu.Item>
              ))}
            <Menu.Item onClick={() => onChange(index, null)}>Take out of the menu</Menu.Item>
          </Menu.Dropdown>
        </Menu>
      </span>
    </li>
  );
}

interface AddProps {
  slot: Slot;
  label: string;
  onAdd: (thingId: string) => void;
  onClose: () => void;
}

/** Food of the kit first, then of the pantry; a pantry food joins the kit. */
function AddFood({ slot, label, onAdd, onClose }: AddProps) {
  const { draft, store, format } = usePlan();
  const { things, trip } = draft.plan;
  const options = useMemo(() => {
    const inKit = things.filter((thing) => portionOf(thing));
    const kinds = new Set(inKit.map(({ kind }) => kind));
    const { diet, avoids } = trip.eating;
    const pantry = PANTRY.filter((food) => !kinds.has(food.id) && maySuit(food, diet, avoids)).sort(
      (a, b) => Number(b.slots.includes(slot)) - Number(a.slots.includes(slot)),
    );
    return [
      { group: 'In the kit', items: inKit.map(({ id, name }) => ({ value: id, label: name })) },
      {
        group: 'In the pantry',
        items: pantry.map(({ id, name, massG, kJPer100G }) => ({
          value: id,
          label: `${name} (${format.mass(massG)}, ${format.energy((massG * kJPer100G) / 100)})`,
        })),
      },
    ];
  }, [things, trip, slot, format]);
  return (
    <span style={{ display: 'flex', gap: 4 }}>
      <Select
        aria-label={label}
        placeholder="Type a food"
        searchable
        defaultDropdownOpened
        autoFocus
        data={options}
        limit={40}
        onChange={(value) => {
          if (value === null) return;
          const food = PANTRY.find(({ id }) => id === value);
          if (!food) return onAdd(value);
          const id = crypto.randomUUID();
          if (store.edit({ kind: 'put things', things: [thingOfFood(id, food, 1)] })) onAdd(id);
        }}
      />
      <Button variant="subtle" color="gray" size="compact-sm" onClick={onClose}>
        Close
      </Button>
    </span>
  );
}
