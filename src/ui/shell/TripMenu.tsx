import { ActionIcon, Menu, SegmentedControl, useMantineColorScheme } from '@mantine/core';
import { IconKeyboard, IconMenu2, IconMoonStars, IconSearch } from '@tabler/icons-react';
import Link from 'next/link';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './TripShell.module.css';

const NEXT_SCHEME = { light: 'dark', dark: 'auto', auto: 'light' } as const;

/** Units, colour scheme, files and the way out; open from the start, since it is loaded by the press that asks for it. */
export function TripMenu({ onPalette, onKeys }: { onPalette: () => void; onKeys: () => void }) {
  const { store, units, setUnits } = usePlan();
  const { setColorScheme, colorScheme } = useMantineColorScheme();
  return (
    <Menu defaultOpened position="bottom-end" width={240}>
      <Menu.Target>
        <ActionIcon variant="default" size="lg" aria-label="More">
          <IconMenu2 size={18} />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>Units</Menu.Label>
        <div className={styles.menuRow}>
          <SegmentedControl
            fullWidth
            size="xs"
            value={units}
            onChange={(value) => setUnits(value as typeof units)}
            data={[
              { value: 'metric', label: 'Metric' },
              { value: 'imperial', label: 'Imperial' },
            ]}
            aria-label="Units"
          />
        </div>
        <Menu.Item
          leftSection={<IconMoonStars size={16} />}
          closeMenuOnClick={false}
          onClick={() => setColorScheme(NEXT_SCHEME[colorScheme])}
        >
          Scheme: {colorScheme === 'auto' ? 'as the device' : colorScheme}
        </Menu.Item>
        <Menu.Item leftSection={<IconSearch size={16} />} onClick={onPalette}>
          Find anything
        </Menu.Item>
        <Menu.Item leftSection={<IconKeyboard size={16} />} onClick={onKeys}>
          Keys
        </Menu.Item>
        <Menu.Divider />
        <Menu.Item component="a" href={`/api/trips/${store.tripId}/plan`}>
          Save the plan as a file
        </Menu.Item>
        <Menu.Item component="a" href={`/api/trips/${store.tripId}/kit`}>
          Save the kit as CSV
        </Menu.Item>
        <Menu.Item component={Link} href="/">
          All trips
        </Menu.Item>
        <Menu.Item component={Link} href="/account">
          Account
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
