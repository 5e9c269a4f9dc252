'use client';

import { TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';
import { plainText } from '@/core/units/text';

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'onBlur'> {
  value: string;
  onCommit: (value: string) => void;
  /** A sentence when the text cannot be taken, else null. */
  check?: (text: string) => string | null;
}

/** Text that is taken when the field is left or Enter is pressed; what is half typed stays. */
export function TextField({ value, onCommit, check, ...input }: Props) {
  const [text, setText] = useState<string | null>(null);
  const problem = text === null ? null : (check?.(text) ?? null);
  const commit = () => {
    if (text === null || problem) return;
    const plain = plainText(text);
    if (plain !== value) onCommit(plain);
    setText(null);
  };
  return (
    <TextInput
      {...input}
      value={text ?? value}
      onChange={(event) => setText(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setText(null);
      }}
      error={problem}
      autoComplete="off"
    />
  );
}

export const needsName = (text: string): string | null => (plainText(text) === '' ? 'Give it a name.' : null);
