'use client';

import { TextInput, type TextInputProps } from '@mantine/core';

interface Props extends Omit<TextInputProps, 'value' | 'onChange'> {
  /** Minutes after midnight. */
  value: number;
  onCommit: (minutes: number) => void;
}

const two = (n: number) => String(n).padStart(2, '0');

/** A time of day. */
export function TimeField({ value, onCommit, ...input }: Props) {
  return (
    <TextInput
      {...input}
      type="time"
      value={`${two(Math.floor(value / 60))}:${two(value % 60)}`}
      onChange={(event) => {
        const [hours, minutes] = event.currentTarget.value.split(':').map(Number);
        if (hours !== undefined && minutes !== undefined) onCommit(60 * hours + minutes);
      }}
    />
  );
}
