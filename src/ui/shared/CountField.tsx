import { TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'onBlur'> {
  value: number;
  least: number;
  most: number;
  /** "nights", for the message. */
  what: string;
  onCommit: (value: number) => void;
}

/** A whole number. What is out of range, or no number, stays in the field with its message, and changes nothing. */
export function CountField({ value, least, most, what, onCommit, ...input }: Props) {
  const [text, setText] = useState<string | null>(null);
  const number = text === null ? value : /^\s*\d{1,9}\s*$/.test(text) ? Number(text) : null;
  const problem =
    number === null
      ? `Write a whole number of ${what}, ${least} to ${most}.`
      : number < least || number > most
        ? `${least} to ${most} ${what}.`
        : null;
  return (
    <TextInput
      {...input}
      inputMode="numeric"
      autoComplete="off"
      value={text ?? String(value)}
      error={problem}
      onChange={(event) => {
        const typed = event.currentTarget.value;
        setText(typed);
        const next = /^\s*\d{1,9}\s*$/.test(typed) ? Number(typed) : null;
        if (next !== null && next >= least && next <= most && next !== value) onCommit(next);
      }}
      onBlur={() => !problem && setText(null)}
      onKeyDown={(event) => event.key === 'Escape' && setText(null)}
    />
  );
}
