import { Input } from '@chakra-ui/react';

/** A field that narrows what stands under it as it is typed. */
export function SearchField({
  label,
  placeholder = label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly placeholder?: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  return (
    <Input
      type="search"
      aria-label={label}
      placeholder={placeholder}
      bg="sheet"
      maxW="26rem"
      mb={4}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}
