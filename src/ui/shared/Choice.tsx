import { NativeSelect, type NativeSelectProps } from '@mantine/core';

interface Props<Value extends string> extends Omit<NativeSelectProps, 'value' | 'onChange' | 'data'> {
  value: Value;
  options: readonly Value[];
  /** How an option reads, where it is not its own word. */
  words?: Partial<Record<Value, string>>;
  onChoose: (value: Value) => void;
}

/** One of a few words. The device's own control: quick by keyboard, and large on a phone. */
export function Choice<Value extends string>({
  value,
  options,
  words = {},
  onChoose,
  ...input
}: Props<Value>) {
  return (
    <NativeSelect
      {...input}
      value={value}
      onChange={(event) => onChoose(event.currentTarget.value as Value)}
      data={options.map((option) => ({
        value: option,
        label: (words as Record<string, string>)[option] ?? option,
      }))}
    />
  );
}
